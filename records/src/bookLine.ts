/** One line of the field book for each fact: where it belongs, what it says. */
import { formatLength, formatSigned } from '@idle-marker/core';
import {
  durationWords,
  ALIGNMENT_KIND,
  AREA_KIND,
  CARE,
  angleAsRead,
  cutFillWords,
  FACE_EDGE,
  EQUIPMENT_KIND,
  EVENT_WORDS,
  FIX_WORD,
  PROOF_OUTCOME,
  goodToWords,
  roadPlaceWords,
  SITE_SETTING,
  UNIT_ABBREVIATION,
  usualStationFormat,
  withoutStop,
} from '@idle-marker/words';
import type { AnyFact, Fact, FactBody } from '@idle-marker/contract';
import { goodToOf } from './checked.ts';
import { stampOf } from './stampedAhead.ts';
import type { SiteState } from './state.ts';

export const BOOK_TOPICS = ['site', 'control', 'station', 'proof', 'mark', 'handover', 'note'] as const;
export type BookTopic = (typeof BOOK_TOPICS)[number];

export interface BookLine {
  readonly topic: BookTopic;
  readonly text: string;
}

function planName(state: SiteState, packageId: string, key: string): string {
  const found = state.timeline.find((each) => each.id === packageId);
  return (found?.type === 'package' && found.body.plans.find((plan) => plan.key === key)?.name) || key;
}

const setName = (state: SiteState, id: string): string => {
  const found = state.timeline.find((each) => each.id === id);
  return found?.type === 'mark' ? found.body.name : 'an unknown mark';
};

const directionName = (state: SiteState, id: string | null | undefined): string =>
  state.directions.find((each) => each.id === id)?.body.name ?? 'a fixed direction';

function targetName(state: SiteState, target: FactBody<'sight'>['target']): string {
  switch (target.kind) {
    case 'control':
      return state.control.find((each) => each.id === target.mark)?.revision.body.name ?? 'an unknown mark';
    case 'plan':
      return planName(state, target.package, target.key);
    case 'mark':
      return setName(state, target.mark);
    case 'direction':
    case 'spot':
      return target.name;
    case 'line':
      return `the line ${target.from} ${target.to}`;
  }
}

function correctionSaid(body: FactBody<'correction'>, length: (metres: number) => string, station: (id: string) => string): string {
  const sights = `${body.sights.length} ${body.sights.length === 1 ? 'sight' : 'sights'}`;
  switch (body.what) {
    case 'targetHeight':
      return `target height of ${sights} corrected to ${length(body.value)}`;
    case 'prismConstant':
      return `prism constant of ${sights} corrected to ${formatSigned(body.value * 1000, 1)} mm`;
    case 'station':
      return `${sights} found to have been taken from ${station(body.station)}`;
    case 'instrumentHeight':
      return `instrument height corrected to ${length(body.value)}`;
  }
}

/** A set-up, a control mark or a stake. */
const photographed = (state: SiteState, id: string): string =>
  state.occupations.find((each) => each.id === id)?.body.name ?? state.control.find((each) => each.id === id)?.revision.body.name ?? setName(state, id);

function siteSaid(state: SiteState, { id, body }: Fact<'site'>): string {
  const all = state.timeline.filter((fact): fact is Fact<'site'> => fact.type === 'site');
  const before = all[all.findIndex((each) => each.id === id) - 1]?.body;
  if (!before) return `Site settings: ${body.name}`;
  // Every setting has its words, or this does not compile.
  const words: Readonly<Record<keyof FactBody<'site'>, string>> = SITE_SETTING;
  const changed = (Object.keys(words) as (keyof FactBody<'site'>)[]).filter((key) => JSON.stringify(before[key]) !== JSON.stringify(body[key]));
  return changed.length === 0 ? 'Site settings kept as they were' : `Site settings changed: ${changed.map((key) => words[key]).join(', ')}`;
}

function withdrawalSaid(state: SiteState, { body }: Fact<'withdrawal'>): string {
  const taken = state.timeline.find((each) => each.id === (body.record ?? body.occupation));
  const what = !taken ? '' : taken.type === 'occupation' ? `: the set-up ${taken.body.name}` : `: “${bookLine(state, taken).text}”`;
  return `Withdrawn, ${withoutStop(body.reason)}${what}`;
}

/** What an entry says, and whether a clock that was ahead has stamped it. */
export function bookLine(state: SiteState, fact: AnyFact): BookLine {
  const line = saidLine(state, fact);
  const stamp = stampOf(fact);
  if (stamp === null) return line;
  const ahead = durationWords(Date.parse(stamp) - Date.parse(fact.at));
  return { ...line, text: `${line.text} [stamped ${ahead} ahead by a wrong clock; it stands where the server received it]` };
}

function saidLine(state: SiteState, fact: AnyFact): BookLine {
  const unit = state.settings.lengthUnit;
  const stationStyle = { unit, format: state.settings.stationFormat ?? usualStationFormat(unit) };
  const length = (metres: number | null) => (metres === null ? 'none' : `${formatLength(metres, unit, 3)} ${UNIT_ABBREVIATION[unit]}`);
  const occupation = (id: string) => state.occupations.find((each) => each.id === id)?.body.name ?? 'an unknown station';
  const mark = (id: string) => state.control.find((each) => each.id === id)?.revision.body.name ?? 'an unknown mark';
  const solution = (id: string) => {
    const found = state.timeline.find((each) => each.id === id);
    return found?.type === 'solution' ? found.body.name : 'an unknown station';
  };
  switch (fact.type) {
    case 'site':
      return { topic: 'site', text: siteSaid(state, fact) };
    case 'member':
      return { topic: 'site', text: `${fact.body.name} joins` };
    case 'report':
      return {
        topic: 'mark',
        text: `${setName(state, fact.body.mark)} is said to be ${fact.body.kind === 'destroyed' ? 'gone' : 'hit or moved'}${fact.body.who ? `, by ${fact.body.who}` : ''}${fact.body.text ? `: ${fact.body.text}` : ''}`,
      };
    case 'writing':
      return { topic: 'mark', text: `The stake of ${setName(state, fact.body.mark)} is written anew: ${fact.body.stakeText.join(' · ')}` };
    case 'dayEnd':
      return {
        topic: 'note',
        text: `The day ends${fact.body.unfinished ? `, unfinished: ${fact.body.unfinished}` : ''}${fact.body.note ? `. For who comes next: ${fact.body.note}` : ''}`,
      };
    case 'convention':
      return {
        topic: 'site',
        text: `How stakes are written: ${fact.body.rules.name}${fact.body.retired ? ', put aside' : fact.body.supersedes ? ', changed' : ''}`,
      };
    case 'control': {
      const { name, e, n, z, condition, supersedes, source, note } = fact.body;
      const what = supersedes ? 'new revision' : 'listed';
      return {
        topic: 'control',
        text: `${name} ${what}: E ${length(e)}, N ${length(n)}, height ${length(z)}, ${condition}; ${source}${note ? `; ${note}` : ''}`,
      };
    }
    case 'occupation': {
      const { name, instrument, temperatureC, pressureHPa, ppm } = fact.body;
      return {
        topic: 'station',
        text: `${name} set up: ${instrument.name}, ${temperatureC} °C, ${pressureHPa} hPa, ${ppm.toFixed(1)} ppm, on ${fact.body.ground}${fact.body.windy ? ', windy' : ''}`,
      };
    }
    case 'sight': {
      const { read, target, purpose } = fact.body;
      const to = targetName(state, target);
      const angle = (value: number) => angleAsRead(value, read, state.settings.angleUnit);
      const slope = read.slope === null ? 'no distance' : `slope ${read.slope.toFixed(read.lengthDecimals)} ${UNIT_ABBREVIATION[read.lengthUnit]}`;
      return {
        topic: purpose === 'proof' || purpose === 'resight' ? 'proof' : purpose === 'station' ? 'station' : 'mark',
        text: `${occupation(fact.body.occupation)}: sight to ${to}, circle ${angle(read.circle)}, zenith ${angle(read.zenith)}, ${slope}, target ${length(fact.body.targetHeight)}`,
      };
    }
    case 'pairing': {
      const { name, receiver, offset, antennaHeight, fit, note } = fact.body;
      return {
        topic: 'station',
        text: `${occupation(fact.body.occupation)}: plan from receiver ${receiver} (${name}), offset ${length(offset)}, antenna ${length(antennaHeight)}; fitted to the site within ${fit.sdPlanMm} mm plan, ${fit.sdHeightMm} mm height${note ? `; ${note}` : ''}`,
      };
    }
    case 'position': {
      const { read, target, antennaHeight } = fact.body;
      const old = read.correctionAge === null ? 'no corrections' : `corrections ${read.correctionAge.toFixed(1)} s old`;
      return {
        topic: fact.body.purpose === 'proof' ? 'proof' : 'mark',
        text: `${occupation(fact.body.occupation)}: receiver at ${targetName(state, target)}, E ${length(read.e)}, N ${length(read.n)}, height ${length(read.z)}, ${FIX_WORD[read.fix]}, ${old}, antenna ${length(antennaHeight)}`,
      };
    }
    case 'solution': {
      const { name, result, uses } = fact.body;
      const decided = [...state.accepted, ...state.refused].find((each) => each.fact.id === fact.id);
      const used = new Set(uses.filter((use) => use.plan || use.height).map((use) => mark(use.control)));
      if (fact.body.method === 'paired')
        return { topic: 'station', text: `${name}: heights from ${[...used].join(', ')}, plan from the receiver; height ${length(result.z)}` };
      return {
        topic: 'station',
        text: `${name} solved from ${[...used].join(', ')}: E ${length(result.e)}, N ${length(result.n)}, height ${length(result.z)}, 95 % ${goodToWords(decided ? goodToOf(decided) : result.ellipse95.aMm / 1000, unit)}`,
      };
    }
    case 'decision':
      return { topic: 'station', text: `${solution(fact.body.solution)} ${fact.body.verdict}${fact.body.reason ? `: ${fact.body.reason}` : ''}` };
    case 'proof':
      return {
        topic: 'proof',
        text: `${solution(fact.body.solution)} proved on ${fact.body.control === null ? directionName(state, fact.body.direction) : mark(fact.body.control)}: plan ${PROOF_OUTCOME[fact.body.plan]}, height ${PROOF_OUTCOME[fact.body.height]}`,
      };
    case 'direction':
      return { topic: 'proof', text: `${solution(fact.body.solution)}: fixed direction to ${fact.body.name} taken` };
    case 'resight':
      return {
        topic: 'proof',
        text: `${setName(state, fact.body.mark)} sighted again from ${solution(fact.body.solution)}: plan ${PROOF_OUTCOME[fact.body.plan]}, height ${PROOF_OUTCOME[fact.body.height]}`,
      };
    case 'finding':
      return {
        topic: 'control',
        text: `${withoutStop(fact.body.reason)}. ${fact.body.effects.length} ${fact.body.effects.length === 1 ? 'mark' : 'marks'} looked at`,
      };
    case 'deferral':
      return { topic: 'proof', text: `${solution(fact.body.solution)}: proof put off, ${fact.body.reason}` };
    case 'tape': {
      const { from, to, taped, measured, within } = fact.body;
      return {
        topic: 'proof',
        text: `Taped ${setName(state, from)} to ${setName(state, to)}: ${length(taped)}, from coordinates ${length(measured)}${within ? '' : ', outside the tolerance'}`,
      };
    }
    case 'correction':
      return {
        topic: 'station',
        text: `${occupation(fact.body.occupation)}: ${correctionSaid(fact.body, length, solution)}: ${fact.body.reason}`,
      };
    case 'visit': {
      const { outcome, labelRead, note } = fact.body;
      return { topic: 'control', text: `${mark(fact.body.mark)} ${outcome}${labelRead ? ', label read' : ''}${note ? `: ${note}` : ''}` };
    }
    case 'photo':
      return {
        topic: 'control',
        text: `${fact.body.written ? 'Photo of what was written at' : 'Photo of'} ${photographed(state, fact.body.mark)}${fact.body.caption ? `: ${fact.body.caption}` : ''}`,
      };
    case 'equipment': {
      const { what, retired, supersedes } = fact.body;
      return { topic: 'site', text: `${EQUIPMENT_KIND[what.kind]} ${what.name} ${retired ? 'taken off the list' : supersedes ? 'changed' : 'listed'}` };
    }
    case 'alignment': {
      const { name, kind, elements, source, shift, retired, supersedes } = fact.body;
      const what = retired ? 'taken off the list' : supersedes ? 'changed' : 'taken';
      return {
        topic: 'site',
        text: `${ALIGNMENT_KIND[kind]} ${name} ${what}: ${elements.length} ${elements.length === 1 ? 'element' : 'elements'}, from ${source}${shift === 0 ? '' : `; shifted ${length(Math.abs(shift))} to the ${shift > 0 ? 'right' : 'left'}`}`,
      };
    }
    case 'event':
      return {
        topic: 'station',
        text: `${occupation(fact.body.occupation)}: ${EVENT_WORDS[fact.body.kind].book}${fact.body.note ? `, ${fact.body.note}` : ''}`,
      };
    case 'close':
      return { topic: 'station', text: `${occupation(fact.body.occupation)} closed${fact.body.note ? `: ${fact.body.note}` : ''}` };
    case 'package':
      return {
        topic: 'site',
        text: `Work package ${fact.body.name} ${fact.body.supersedes ? 'revised' : 'made'}: ${fact.body.plans.length} marks for ${fact.body.crew}`,
      };
    case 'mark': {
      const { name, state: markState, dEMm, dNMm, hubZ, cutFill } = fact.body;
      const off = `off E ${formatSigned(dEMm, 0)} mm, N ${formatSigned(dNMm, 0)} mm`;
      return { topic: 'mark', text: `${name} ${markState}, ${off}${hubZ === null ? '' : `, hub ${length(hubZ)}, ${cutFillWords(cutFill, unit)}`}` };
    }
    case 'grid': {
      const { name, letters, numbers, retired, supersedes } = fact.body;
      const span = [letters, numbers].map(({ labels }) => (labels.length === 1 ? labels[0]! : `${labels[0]!} to ${labels.at(-1)!}`)).join(' by ');
      return { topic: 'site', text: `Grid ${name} ${retired ? 'taken off the plan' : `${supersedes ? 'revised' : 'drawn'}: ${span}`}` };
    }
    case 'area': {
      const { name, kind, retired, supersedes } = fact.body;
      return { topic: 'site', text: `${AREA_KIND[kind]} ${name} ${retired ? 'is gone' : supersedes ? 'changed on the plan' : 'drawn on the plan'}` };
    }
    case 'asBuilt': {
      const { name, code, place, against } = fact.body;
      const what =
        against?.kind === 'face'
          ? `face of column ${against.line}-${against.crossing}, ${FACE_EDGE[against.edge]}, ${against.level}`
          : against?.kind === 'line'
            ? `against ${against.name}`
            : against?.kind === 'surface'
              ? `against the surface ${against.name}${against.z === null ? ', off it' : `, ${length(against.z)} there`}`
              : against?.kind === 'plan'
                ? `against the design of ${planName(state, against.package, against.key)}`
                : against?.kind === 'road'
                  ? `along ${against.name} at ${roadPlaceWords(against.displayed, against.offset, stationStyle)}${against.slope ? `, where its ${against.slope.kind} is caught` : ''}`
                  : 'as it stands';
      return {
        topic: 'mark',
        text: `${name}${code ? ` (${code})` : ''} measured ${what}: E ${length(place.e)}, N ${length(place.n)}, height ${length(place.z)}`,
      };
    }
    case 'drawing': {
      const { name, fileName, retired, supersedes, elements } = fact.body;
      return {
        topic: 'site',
        text: `Drawing ${name} ${retired ? 'is no longer used' : `${supersedes ? 'replaced' : 'taken'}: ${fileName}, ${elements} elements`}`,
      };
    }
    case 'care':
      return { topic: 'note', text: `${CARE[fact.body.what]}${fact.body.text ? `: ${fact.body.text}` : ''}` };
    case 'obstruction':
      return { topic: 'mark', text: `${fact.body.name} can’t be set: ${fact.body.what} in the way` };
    case 'handover':
      return {
        topic: 'handover',
        text: `Cut sheet ${fact.body.number}, revision ${fact.body.revision}: ${fact.body.marks.length} ${fact.body.marks.length === 1 ? 'mark' : 'marks'}${fact.body.withheld.length > 0 ? `, ${fact.body.withheld.length} withheld` : ''}`,
      };
    case 'withdrawal':
      return { topic: 'note', text: withdrawalSaid(state, fact) };
    case 'note':
      return { topic: 'note', text: fact.body.text };
  }
}
