/** How a point is found again with two tapes, in the crew's language. */
import { formatLength, type LengthUnit, type TapedPair } from '@idle-marker/core';
import { filled, type CrewWords } from './languages/index.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

/** The steps for one pair; without any pair what to do instead. */
export function tapeBackWords(pair: TapedPair | null, point: string, unit: LengthUnit, { tape }: CrewWords): string[] {
  if (pair === null) return [filled(tape.none, { point })];
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  const { a, b, tapes, good } = pair;
  const facts = {
    point,
    a: a.name,
    b: b.name,
    fromA: length(tapes.fromA),
    fromB: length(tapes.fromB),
    apart: length(tapes.apart),
  };
  const check = filled(tape.check, facts);
  switch (tapes.side) {
    case 'between':
      return [check, filled(tape.between, facts)];
    case 'beyondA':
      return [check, filled(tape.beyond, { ...facts, from: b.name, over: a.name, length: facts.fromA })];
    case 'beyondB':
      return [check, filled(tape.beyond, { ...facts, from: a.name, over: b.name, length: facts.fromB })];
    case 'left':
    case 'right':
      return [
        check,
        filled(tape.arcs, { ...facts, side: tape.side[tapes.side] }),
        ...(good ? [] : [filled(tape.weak, { times: tapes.spread.toFixed(0) })]),
        tape.third,
      ];
  }
}
