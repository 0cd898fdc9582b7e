/** Placing the instrument, sighting, solving and deciding. */
import { formatSigned } from '@idle-marker/core';
import {
  msg,
  angleAsRead,
  eventWords,
  fixWords,
  goodToWords,
  unitAbbreviationWords,
  smallLength,
  airWords,
} from '@idle-marker/words';
import type { Fact, FactBody } from '@idle-marker/contract';
import { goodToOf } from '../station/checked.ts';
import type { Book } from './book.ts';
import type { Activity, BookTopic, Kinds } from './kind.ts';
import { figuresOf } from '../site/stored.ts';

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
  const slope =
    read.slope === null
      ? msg('book.noDistance')
      : msg('book.slope', {
          slope: read.slope.toFixed(read.lengthDecimals),
          unitAbbreviation: unitAbbreviationWords()[read.lengthUnit],
        });
  return msg('book.sightToCircleZenithTarget', {
    occupation: book.occupation(body.occupation),
    target: book.target(body.target),
    angle: angle(read.circle),
    angle2: angle(read.zenith),
    slope,
    length: book.length(body.targetHeight),
  });
}

function positionSaid({ body }: Fact<'position'>, { occupation, target, length, place }: Book): string {
  const { read } = body;
  const old =
    read.correctionAge === null
      ? msg('book.noCorrections')
      : msg('book.correctionsSOld', { correctionAge: read.correctionAge.toFixed(1) });
  return msg('book.receiverAtENHeightAntenna', {
    occupation: occupation(body.occupation),
    target: target(body.target),
    place: place(read.e, read.n),
    length3: length(read.z),
    fixWord: fixWords()[read.fix],
    old,
    length4: length(body.antennaHeight),
  });
}

function solutionSaid(fact: Fact<'solution'>, { state, control, length, place }: Book): string {
  const { id, body } = fact;
  const { name, result, uses, method } = body;
  const decided = [...state.accepted, ...state.refused].find((each) => each.fact.id === id);
  const used = [...new Set(uses.filter((use) => use.plan || use.height).map((use) => control(use.control)))].join(', ');
  if (method === 'paired')
    return msg('book.heightsFromPlanFromTheReceiverHeight', { name, used, length: length(result.z) });
  const goodTo = goodToWords(decided ? goodToOf(decided) : figuresOf(fact).radius95, state.settings.lengthUnit);
  return msg('book.solvedFromENHeight95', {
    name,
    used,
    place: place(result.e, result.n),
    length3: length(result.z),
    goodTo,
  });
}

function correctionSaid(body: FactBody<'correction'>, { length, solution }: Book): string {
  const sights = msg('book.countOfSights', { sights: body.sights.length });
  switch (body.what) {
    case 'targetHeight':
      return msg('book.targetHeightOfCorrectedTo', { sights, length: length(body.value) });
    case 'prismConstant':
      return msg('book.prismConstantOfCorrectedToMm', { sights, signed: formatSigned(body.value * 1000, 1) });
    case 'station':
      return msg('book.foundToHaveBeenTakenFrom', { sights, solution: solution(body.station) });
    case 'instrumentHeight':
      return msg('book.instrumentHeightCorrectedTo', { length: length(body.value) });
  }
}

export const STATION_FACTS: Kinds<
  'occupation' | 'sight' | 'pairing' | 'position' | 'solution' | 'decision' | 'correction' | 'event' | 'close'
> = {
  occupation: {
    topic: 'station',
    activity: 'setUp',
    line: ({ body: { name, instrument, temperatureC, pressureHPa, ppm, ground, windy } }, book) =>
      msg('book.setUpCHpaPpmOn', {
        name,
        name2: instrument.name,
        air: airWords(temperatureC, pressureHPa, book.state.settings.lengthUnit),
        ppm: ppm.toFixed(1),
        ground,
        windy: windy ? ', windy' : '',
      }),
  },
  sight: {
    topic: ({ body }) => SIGHT_TOPIC[body.purpose],
    activity: ({ body }) => SIGHT_ACTIVITY[body.purpose],
    line: sightSaid,
  },
  pairing: {
    topic: 'station',
    activity: 'setUp',
    line: ({ body: { occupation, name, receiver, offset, antennaHeight, fit, note } }, book) =>
      msg('book.planFromReceiverOffsetAntennaFittedTo', {
        occupation: book.occupation(occupation),
        receiver,
        name,
        length: book.length(offset),
        length2: book.length(antennaHeight),
        plan: smallLength(fit.sdPlanMm / 1000, book.state.settings.lengthUnit),
        elevation: smallLength(fit.sdHeightMm / 1000, book.state.settings.lengthUnit),
        note: note ? `; ${note}` : '',
      }),
  },
  position: {
    topic: ({ body }) => (body.purpose === 'proof' ? 'proof' : 'mark'),
    activity: 'marking',
    line: positionSaid,
  },
  solution: { topic: 'station', activity: 'setUp', line: solutionSaid },
  decision: {
    topic: 'station',
    activity: 'setUp',
    isDone: true,
    line: ({ body: { solution, verdict, reason } }, book) =>
      `${book.solution(solution)} ${verdict}${reason ? `: ${reason}` : ''}`,
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
    line: ({ body: { occupation, kind, note } }, book) =>
      `${book.occupation(occupation)}: ${eventWords()[kind].book}${note ? `, ${note}` : ''}`,
  },
  close: {
    topic: 'station',
    activity: 'setUp',
    line: ({ body: { occupation, note } }, book) =>
      msg('book.closed', { occupation: book.occupation(occupation), note: note ? `: ${note}` : '' }),
  },
};
