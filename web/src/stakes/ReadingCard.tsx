import { useMemo } from 'react';
import { planScene, sectionScene } from '@idle-marker/paper';
import type { LengthUnit, Standing, StakeReading } from '@idle-marker/core';
import { filled, readingSentences, type CrewWords, type ReadingSentence } from '@idle-marker/words';
import { measureOnScreen, SceneView } from '../print/SceneView.tsx';

interface ReadingCardProps {
  readonly reading: StakeReading;
  readonly words: CrewWords;
  readonly unit: LengthUnit;
  readonly standing: Standing | 'destroyed';
  readonly who: string;
}

/** How one stake is read: warnings, a section and a plan from its own figures, and the steps. */
export function ReadingCard({ reading, words, unit, standing, who }: ReadingCardProps) {
  const [section, plan] = useMemo(() => {
    const drawn = { words, unit, measure: measureOnScreen };
    return [sectionScene(reading, drawn), planScene(reading, drawn)];
  }, [reading, words, unit]);
  const sentences = readingSentences(reading, { words, unit, standing, who });
  const of = (...kinds: ReadingSentence['kind'][]) => sentences.filter(({ kind }) => kinds.includes(kind));
  return (
    <section lang={words.code} aria-label={filled(words.reading.title, { name: reading.name })}>
      {of('warning').map(({ text }) => (
        <p
          key={text}
          className="mb-2 border-2 border-brick bg-brick-tint px-3 py-2 text-[17px] font-semibold text-brick"
          role="alert"
        >
          {text}
        </p>
      ))}
      <div className="grid grid-cols-[repeat(auto-fit,minmax(250px,1fr))] gap-3">
        <SceneView scene={section} className="h-auto w-full border border-rule bg-sheet" />
        <SceneView scene={plan} className="h-auto w-full border border-rule bg-sheet" />
      </div>
      <ol className="mt-3 list-decimal pl-6 text-[17px] leading-snug">
        {of('step').map(({ text }) => (
          <li key={text} className="mb-1.5">
            {text}
          </li>
        ))}
      </ol>
      <ul className="text-[13px] text-ink2">
        {of('words', 'note').map(({ text }) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
}
