import { useMemo, useState } from 'react';
import type { Corner, PlanPoint } from '@idle-marker/core';
import { placeDoubt } from '@idle-marker/records';
import { msg, placeDoubtWords } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes, type Scene } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useUnits } from '../../field/useUnits.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';

interface PlaceOutcomeProps {
  /** With its height, where the way it is said gives one. */
  readonly place: (PlanPoint & Pick<Corner, 'z'>) | null;
  /** What it was measured from. */
  readonly drawn: Partial<Scene>;
  readonly mirrored: PlanPoint | null;
  onMirror?(): void;
  readonly suggested: string;
  onPlace(corner: Corner): void;
}

/** Where it comes to lie, and what speaks against it, before it is taken. */
export function PlaceOutcome({ place, mirrored, onMirror, drawn, suggested, onPlace }: PlaceOutcomeProps) {
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
        {msg('design.addThePoint')}
      </Button>
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
