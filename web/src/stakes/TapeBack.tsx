import { useMemo, useState } from 'react';
import { tapedPairs, type AngleUnit, type LengthUnit } from '@idle-marker/core';
import type { PointToFind } from '@idle-marker/records';
import { coarseAngle, filled, tapeBackWords, type CrewWords } from '@idle-marker/words';
import { tapeScene } from '@idle-marker/paper';
import { measureOnScreen, SceneView } from '../print/SceneView.tsx';
import { Choice } from '../ui/Field.tsx';

interface TapeBackProps {
  readonly point: PointToFind;
  readonly unit: LengthUnit;
  readonly angleUnit: AngleUnit;
  readonly words: CrewWords;
}

/** A point found again from any two of the marks that are left. */
export function TapeBack({ point, unit, angleUnit, words }: TapeBackProps) {
  const [chosen, setChosen] = useState('0');
  const pairs = useMemo(() => tapedPairs(point.point, point.marks), [point]);
  const pair = pairs[Number(chosen)] ?? pairs[0] ?? null;
  const title = filled(words.tape.title, { point: point.corner });
  const scene = useMemo(
    () =>
      pair && tapeScene({ point: { ...point.point, name: point.corner }, pair, title, unit, measure: measureOnScreen }),
    [point, pair, title, unit],
  );
  return (
    <div lang={words.code}>
      {point.gone.length > 0 && (
        <p className="mb-2 font-medium text-brick">
          {point.gone.map(({ name, why }) => `${name}: ${words.tape.gone[why]}`).join('; ')}.
        </p>
      )}
      {pair === null ? (
        <p className="text-ink2">{tapeBackWords(null, point.corner, unit, words)[0]}</p>
      ) : (
        <>
          <Choice
            label={words.tape.from}
            value={String(pairs.indexOf(pair))}
            options={pairs.map(({ a, b, good, tapes }, i) => [
              String(i),
              `${a.name} + ${b.name}${good ? '' : ` (${words.tape.flat} ${coarseAngle(tapes.crossing, angleUnit)})`}`,
            ])}
            onChange={setChosen}
          />
          <div className="mt-3 grid gap-x-6 gap-y-2 lg:grid-cols-[480px_1fr]">
            {scene && <SceneView scene={scene} className="h-auto w-full max-w-[480px] border border-rule bg-sheet" />}
            <ol className="list-decimal pl-6 text-[17px] leading-snug">
              {tapeBackWords(pair, point.corner, unit, words).map((line) => (
                <li key={line} className="mb-1.5">
                  {line}
                </li>
              ))}
            </ol>
          </div>
        </>
      )}
    </div>
  );
}
