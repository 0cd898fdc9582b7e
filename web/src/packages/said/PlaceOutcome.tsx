import { useMemo, useState } from 'react';
import { azimuth, compassWord, planDistance, type Corner, type Metres, type PlanPoint } from '@idle-marker/core';
import { placeDoubt } from '@idle-marker/records';
import { msg, placeDoubtWords } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes, type Scene } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useUnits } from '../../field/useUnits.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import type { NamedPoint } from './namedPoints.ts';

/** What is done with a place, and what it is compared with. */
export interface Taking {
  onPlace(corner: Corner): void;
  readonly label?: string | undefined;
  /** Points that have coordinates: one of the same name, or right there, is compared. */
  readonly listed: readonly NamedPoint[];
}

/** Nearer than this a listed point may be the one that is meant. */
const BESIDE: Metres = 0.5;

interface PlaceOutcomeProps extends Taking {
  /** With its height, where the way it is said gives one. */
  readonly place: (PlanPoint & Pick<Corner, 'z'>) | null;
  /** What it was measured from. */
  readonly drawn: Partial<Scene>;
  readonly mirrored: PlanPoint | null;
  onMirror?(): void;
  readonly suggested: string;
}

/** Where it comes to lie, and what speaks against it, before it is taken. */
export function PlaceOutcome({
  place,
  mirrored,
  onMirror,
  drawn,
  suggested,
  onPlace,
  label,
  listed,
}: PlaceOutcomeProps) {
  const { packages } = useSite().state;
  const units = useUnits();
  const [typed, setTyped] = useState('');
  const doubt = place && placeDoubt(place, mirrored, packages);
  const name = typed.trim() || suggested;
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(packages), drawn, {
        symbols: place ? [{ id: 'place', at: place, symbol: 'toSet', label: name, ink: 'pencil', chosen: true }] : [],
      }),
    [packages, drawn, place, name],
  );
  const fitTo = useMemo(
    () => [...(drawn.lines ?? []).flatMap(({ points }) => points), ...(place ? [place] : [])],
    [drawn, place],
  );
  const compared =
    place &&
    // A name that is only suggested says nothing of what is meant.
    (listed.find((each) => each.name === typed.trim()) ??
      listed
        .filter((each) => planDistance(each, place) < BESIDE)
        .sort((a, b) => planDistance(a, place) - planDistance(b, place))[0]);
  const comparedWords = (point: NamedPoint, at: PlanPoint & Pick<Corner, 'z'>): string => {
    const away = planDistance(at, point);
    const rise = (point.z ?? null) === null || (at.z ?? null) === null ? null : point.z! - at.z!;
    return msg('packages.listedAt', {
      name: point.name,
      away:
        away < 0.0005
          ? msg('packages.atThePlaceItself')
          : msg('packages.awayToThe', {
              length: units.length(away),
              unit: units.unit,
              compass: compassWord(azimuth(at, point)),
            }),
      rise:
        rise === null
          ? ''
          : msg('packages.listedHigher', {
              length: units.length(Math.abs(rise)),
              unit: units.unit,
              way: rise < 0 ? 'lower' : 'higher',
            }),
    });
  };
  const take = () => {
    if (!place || name === '') return;
    onPlace({ name, ...place });
    setTyped('');
  };
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      <div className="relative h-[210px] w-full border border-ink2">
        <Board
          scene={scene}
          description={place ? msg('design.planWithThePlaceThatIsSaid') : msg('design.planNoPlaceIsSaidYet')}
          fitTo={fitTo}
          fitKey={JSON.stringify(fitTo)}
        />
      </div>
      <Field
        label={msg('design.nameOfThePoint')}
        value={typed}
        placeholder={suggested}
        maxLength={80}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      <p className="figures min-h-11 content-center">
        {place
          ? units.axes.map((axis) => `${axis === 'e' ? 'E' : 'N'} ${units.length(place[axis])}`).join('  ') +
            ((place.z ?? null) === null
              ? ''
              : `  ${msg('design.elevationOfPoint', { length: units.length(place.z!) })}`)
          : msg('design.noPlaceYet')}
      </p>
      <Button disabled={!place || name === ''} onClick={take}>
        {label ?? msg('design.addThePoint')}
      </Button>
      {compared && place && (
        <p className="w-full text-[15px] font-medium" data-testid="compared">
          {comparedWords(compared, place)}
        </p>
      )}
      {doubt && (
        <p className="w-full text-[14px] font-medium text-ochre">
          {placeDoubtWords(doubt, units.lengthUnit)}{' '}
          {doubt.code === 'MIRRORED' && onMirror && (
            <Button look="quiet" onClick={onMirror}>
              {msg('design.otherSide')}
            </Button>
          )}
        </p>
      )}
    </div>
  );
}
