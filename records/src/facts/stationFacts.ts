/** Placing the instrument, sighting, solving and deciding. */
import { formatSigned } from '@idle-marker/core';
import { angleAsRead, EVENT_WORDS, FIX_WORD, goodToWords, UNIT_ABBREVIATION } from '@idle-marker/words';
import type { Fact, FactBody } from '@idle-marker/contract';
import { goodToOf } from '../checked.ts';
import type { Book } from './book.ts';
import type { Activity, BookTopic, Kinds } from './kind.ts';
import { figuresOf } from '../stored.ts';

type Purpose = FactBody<'sight'>['purpose'];

const SIGHT_TOPIC: Readonly<Record<Purpose, BookTopic>> = {
  station: 'station',
  proof: 'proof',
  resight: 'proof',
  control: 'mark',
  mark: 'mark',
  driven: 'mark',
  ground: 'mark',
  spot: 'mark',
  asBuilt: 'mark',
};
const SIGHT_ACTIVITY: Readonly<Record<Purpose, Activity>> = {
  station: 'setUp',
  proof: 'proof',
  resight: 'proof',
  control: 'control',
  mark: 'marking',
  driven: 'marking',
  ground: 'marking',
  spot: 'marking',
  asBuilt: 'marking',
};

function sightSaid({ body }: Fact<'sight'>, book: Book): string {
  const { read } = body;
  const angle = (value: number) => angleAsRead(value, read, book.state.settings.angleUnit);
  const slope = read.slope === null ? 'no distance' : `slope ${read.slope.toFixed(read.lengthDecimals)} ${UNIT_ABBREVIATION[read.lengthUnit]}`;
  return `${book.occupation(body.occupation)}: sight to ${book.target(body.target)}, circle ${angle(read.circle)}, zenith ${angle(read.zenith)}, ${slope}, target ${book.length(body.targetHeight)}`;
}

function positionSaid({ body }: Fact<'position'>, { occupation, target, length }: Book): string {
  const { read } = body;
  const old = read.correctionAge === null ? 'no corrections' : `corrections ${read.correctionAge.toFixed(1)} s old`;
  return `${occupation(body.occupation)}: receiver at ${target(body.target)}, E ${length(read.e)}, N ${length(read.n)}, height ${length(read.z)}, ${FIX_WORD[read.fix]}, ${old}, antenna ${length(body.antennaHeight)}`;
}

function solutionSaid(fact: Fact<'solution'>, { state, control, length }: Book): string {
  const { id, body } = fact;
  const { name, result, uses, method } = body;
  const decided = [...state.accepted, ...state.refused].find((each) => each.fact.id === id);
  const used = [...new Set(uses.filter((use) => use.plan || use.height).map((use) => control(use.control)))].join(', ');
  if (method === 'paired') return `${name}: heights from ${used}, plan from the receiver; height ${length(result.z)}`;
  const goodTo = goodToWords(decided ? goodToOf(decided) : figuresOf(fact).radius95, state.settings.lengthUnit);
  return `${name} solved from ${used}: E ${length(result.e)}, N ${length(result.n)}, height ${length(result.z)}, 95 % ${goodTo}`;
}

function correctionSaid(body: FactBody<'correction'>, { length, solution }: Book): string {
  const sights = `${body.sights.length} ${body.sights.length === 1 ? 'sight' : 'sights'}`;
  switch (body.what) {
    case 'targetHeight':
      return `target height of ${sights} corrected to ${length(body.value)}`;
    case 'prismConstant':
      return `prism constant of ${sights} corrected to ${formatSigned(body.value * 1000, 1)} mm`;
    case 'station':
      return `${sights} found to have been taken from ${solution(body.station)}`;
    case 'instrumentHeight':
      return `instrument height corrected to ${length(body.value)}`;
  }
}

export const STATION_FACTS: Kinds<'occupation' | 'sight' | 'pairing' | 'position' | 'solution' | 'decision' | 'correction' | 'event' | 'close'> = {
  occupation: {
    topic: 'station',
    activity: 'setUp',
    line: ({ body: { name, instrument, temperatureC, pressureHPa, ppm, ground, windy } }) =>
      `${name} set up: ${instrument.name}, ${temperatureC} °C, ${pressureHPa} hPa, ${ppm.toFixed(1)} ppm, on ${ground}${windy ? ', windy' : ''}`,
  },
  sight: { topic: ({ body }) => SIGHT_TOPIC[body.purpose], activity: ({ body }) => SIGHT_ACTIVITY[body.purpose], line: sightSaid },
  pairing: {
    topic: 'station',
    activity: 'setUp',
    line: ({ body: { occupation, name, receiver, offset, antennaHeight, fit, note } }, book) =>
      `${book.occupation(occupation)}: plan from receiver ${receiver} (${name}), offset ${book.length(offset)}, antenna ${book.length(antennaHeight)}; fitted to the site within ${fit.sdPlanMm} mm plan, ${fit.sdHeightMm} mm height${note ? `; ${note}` : ''}`,
  },
  position: { topic: ({ body }) => (body.purpose === 'proof' ? 'proof' : 'mark'), activity: 'marking', line: positionSaid },
  solution: { topic: 'station', activity: 'setUp', line: solutionSaid },
  decision: {
    topic: 'station',
    activity: 'setUp',
    isDone: true,
    line: ({ body: { solution, verdict, reason } }, book) => `${book.solution(solution)} ${verdict}${reason ? `: ${reason}` : ''}`,
  },
  correction: {
    topic: 'station',
    activity: 'office',
    line: ({ body }, book) => `${book.occupation(body.occupation)}: ${correctionSaid(body, book)}: ${body.reason}`,
  },
  event: {
    topic: 'station',
    // A pause, or plant that passes: the work stands still.
    activity: ({ body }) => (body.kind === 'pause' || body.kind === 'plant' ? 'waiting' : 'setUp'),
    isDone: ({ body }) => body.kind === 'pause' || body.kind === 'plant',
    line: ({ body: { occupation, kind, note } }, book) => `${book.occupation(occupation)}: ${EVENT_WORDS[kind].book}${note ? `, ${note}` : ''}`,
  },
  close: {
    topic: 'station',
    activity: 'setUp',
    line: ({ body: { occupation, note } }, book) => `${book.occupation(occupation)} closed${note ? `: ${note}` : ''}`,
  },
};
