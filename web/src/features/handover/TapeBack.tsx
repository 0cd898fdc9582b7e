import { useState } from 'react';
import { RADIANS_PER_DEGREE, type LengthUnit } from '@idle-marker/core';
import type { PointToFind } from '@idle-marker/records';
import { tapeBackWords, type CrewWords } from '@idle-marker/words';
import { Choice } from '../../ui/Field.tsx';

interface TapeBackProps {
  readonly point: PointToFind;
  readonly unit: LengthUnit;
  readonly words: CrewWords;
}

/** A point found again from any two of the marks that are left. */
export function TapeBack({ point, unit, words }: TapeBackProps) {
  const [chosen, setChosen] = useState('0');
  const pair = point.pairs[Number(chosen)] ?? point.pairs[0] ?? null;
  return (
    <div lang={words.code}>
      {point.gone.length > 0 && (
        <p className="mb-2 font-medium text-brick">{point.gone.map(({ name, why }) => `${name}: ${words.tape.gone[why]}`).join('; ')}.</p>
      )}
      {pair === null ? (
        <p className="text-ink2">{tapeBackWords(null, point.corner, unit, words)[0]}</p>
      ) : (
        <>
          <Choice
            label={words.tape.from}
            value={String(point.pairs.indexOf(pair))}
            options={point.pairs.map(({ a, b, good, tapes }, i) => [
              String(i),
              `${a.name} + ${b.name}${good ? '' : ` (${words.tape.flat} ${Math.round(tapes.crossing / RADIANS_PER_DEGREE)}°)`}`,
            ])}
            onChange={setChosen}
          />
          <ol className="mt-2 list-decimal pl-6 text-[17px] leading-snug">
            {tapeBackWords(pair, point.corner, unit, words).map((line) => (
              <li key={line} className="mb-1.5">
                {line}
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  );
}
