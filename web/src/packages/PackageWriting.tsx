/**
 * What the dialogs of work packages share about their stakes: what kind of mark, by which convention, how finely, and
 * what is the point.
 */
import { useState } from 'react';
import type { PointOnMark } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { conventionFor, conventionsOf, pointOf } from '@idle-marker/records';
import { msg, crewWords, markKindWords, ROUNDING, type Rounding } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Choice } from '../ui/Field.tsx';

type Package = FactBody<'package'>;
type MarkKind = NonNullable<Package['markKind']>;

const USUAL = 'usual';

export interface PackageWriting {
  readonly markKind: MarkKind;
  readonly rounding: Rounding | typeof USUAL;
  readonly convention: string;
  readonly point: PointOnMark | typeof USUAL;
  change(next: Partial<Pick<PackageWriting, 'markKind' | 'rounding' | 'convention' | 'point'>>): void;
  /** As it is kept with the package: what is as usual is not said. */
  readonly body: Pick<Package, 'markKind' | 'rounding' | 'convention' | 'point'>;
}

export function usePackageWriting(before: Package | null | undefined): PackageWriting {
  const [chosen, setChosen] = useState<Pick<PackageWriting, 'markKind' | 'rounding' | 'convention' | 'point'>>({
    markKind: before?.markKind ?? 'hubAndLath',
    rounding: before?.rounding ?? USUAL,
    convention: before?.convention ?? USUAL,
    point: before?.point ?? USUAL,
  });
  const { markKind, rounding, convention, point } = chosen;
  return {
    ...chosen,
    change: (next) => setChosen({ ...chosen, ...next }),
    body: {
      markKind,
      ...(rounding === USUAL ? {} : { rounding }),
      ...(convention === USUAL ? {} : { convention }),
      ...(point === USUAL ? {} : { point }),
    },
  };
}

export function PackageWritingFields({ writing }: { readonly writing: PackageWriting }) {
  const { state } = useSite();
  const usual = conventionFor(state, null).convention.name;
  const words = crewWords('en');
  return (
    <>
      <Choice
        label={msg('packages.whatKindOfMark')}
        value={writing.markKind}
        options={Object.entries(markKindWords()) as [MarkKind, string][]}
        onChange={(markKind) => writing.change({ markKind })}
      />
      <Choice
        label={msg('packages.stakesAreWritten')}
        value={writing.convention}
        options={[
          [USUAL, msg('packages.asUsualHere', { usual })],
          ...conventionsOf(state).map(({ id, convention }) => [id, convention.name] as const),
        ]}
        onChange={(convention) => writing.change({ convention })}
      />
      <Choice
        label={msg('packages.figuresAreWritten')}
        value={writing.rounding}
        options={[[USUAL, msg('packages.asTheConventionSays')], ...ROUNDING(state.settings.lengthUnit)]}
        onChange={(rounding) => writing.change({ rounding })}
      />
      <Choice
        label={msg('packages.everyFigureStartsAt')}
        value={writing.point}
        options={[
          [USUAL, msg('packages.theAsUsual', { point: words.point[pointOf({ markKind: writing.markKind })] })],
          ...(Object.entries(words.point) as [PointOnMark, string][]).map(
            ([point, name]) => [point, msg('packages.the', { name })] as const,
          ),
        ]}
        onChange={(point) => writing.change({ point })}
      />
    </>
  );
}
