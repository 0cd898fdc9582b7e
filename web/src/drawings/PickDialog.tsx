import { useMemo, useState } from 'react';
import { planDistance, type Metres, type PathCorner, type PlanPoint, type SnapKind } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { askDrawing } from './drawings.ts';
import { useDrawings, useUnderlay } from './useDrawings.ts';
import { Board } from '../board/LazyBoard.tsx';
import { joinScenes, type SceneSymbol } from '../board/scene.ts';
import { controlScene, outlineScene } from '../board/siteScene.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../ui/Field.tsx';
import type { FoundOutline } from './foundOutline.ts';
import { snappedWords, snapWords } from './snaps.ts';

interface PickDialogProps {
  readonly drawing: Fact<'drawing'>;
  readonly rule: FactBody<'package'>['items'][number]['rule'];
  onClose(): void;
  onTake(found: Omit<FoundOutline, 'drawing'>): void;
}

/** A finger is about this wide on the plan. */
const TOUCH_PX = 22;

/** Points picked on the drawing, one by one with snapping, or whole lines and rings. */
export function PickDialog({ drawing, rule, onClose, onTake }: PickDialogProps) {
  const { state } = useSite();
  const units = useUnits();
  const underlay = useUnderlay();
  const shown = useDrawings().find(({ fact }) => fact.id === drawing.id)?.state;
  const extent = shown?.status === 'open' ? shown.summary.extent : null;
  const [mode, setMode] = useState<'points' | 'whole'>(rule === 'outline' || rule === 'along' ? 'whole' : 'points');
  const [snaps, setSnaps] = useState<ReadonlySet<SnapKind>>(new Set(['point', 'end', 'crossing', 'centre', 'middle']));
  const [picked, setPicked] = useState<readonly (PathCorner & { readonly kind: string })[]>([]);
  const [stem, setStem] = useState('P1');
  const [said, setSaid] = useState<string | null>(null);
  const [whole, setWhole] = useState<{ readonly layer: string; readonly closed: boolean } | null>(null);
  const hidden = drawing.body.hidden;
  const touch = async (point: PlanPoint, pixel: Metres) => {
    const radius = TOUCH_PX * pixel;
    if (mode === 'whole') {
      const found = await askDrawing('touched', { key: drawing.id, point, radius, hidden });
      if (!found) return setSaid(msg('drawings.nothingOfTheDrawingIsThereTouch'));
      setSaid(null);
      if (found.kind === 'path') {
        setWhole({ layer: found.layer, closed: found.closed });
        setPicked(found.corners.map((corner) => ({ ...corner, kind: 'corner' })));
      } else {
        const at = found.kind === 'point' ? found.at : found.centre;
        setWhole(null);
        setPicked([
          ...picked,
          { name: nameAfter(picked, stem), e: at.e, n: at.n, kind: found.kind === 'point' ? 'point' : 'centre' },
        ]);
      }
      return;
    }
    const snap = await askDrawing('snap', {
      key: drawing.id,
      point,
      radius,
      from: picked.at(-1) ?? null,
      wanted: [...snaps],
      hidden,
    });
    if (!snap) return setSaid(msg('drawings.nothingToSnapToIsThereTouch'));
    if (picked.some((each) => planDistance(each, snap) < 0.0005))
      return setSaid(msg('drawings.thatPlaceIsPickedAlready'));
    setSaid(null);
    setWhole(null);
    setPicked([...picked, { name: nameAfter(picked, stem), e: snap.e, n: snap.n, kind: snappedWords()[snap.kind] }]);
  };
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), controlScene(state.control, null), {
        lines: whole && picked.length > 1 ? [{ points: picked, ink: 'spruce', closed: whole.closed, width: 2.5 }] : [],
        symbols: picked.map((each): SceneSymbol => ({
          id: each.name,
          at: each,
          symbol: 'toSet',
          label: each.name,
          ink: 'spruce',
          pickable: false,
        })),
      }),
    [state.packages, state.control, picked, whole],
  );
  const take = () => {
    const corners = picked.map(({ name, e, n, z, bulge }) => ({
      name,
      e,
      n,
      ...(z === undefined || z === null ? {} : { z }),
      ...(bulge ? { bulge } : {}),
    }));
    const hasArcs = corners.some((corner) => 'bulge' in corner);
    const taken = whole
      ? whole.closed && !hasArcs && rule !== 'along'
        ? 'outline'
        : 'along'
      : rule === 'outline' && corners.length < 3
        ? 'points'
        : rule;
    onTake({ name: whole?.layer ?? drawing.body.name, corners, rule: taken, isGrid: false });
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('drawings.pickOn', { name: drawing.body.name })}
      foot={
        <>
          <span className="mr-auto text-ink2">
            {whole
              ? msg('drawings.cornersOfAOn', {
                  picked: picked.length,
                  closed: whole.closed ? 'ring' : 'line',
                  layer: whole.layer,
                })
              : msg('drawings.points', { picked: picked.length })}
          </span>
          <Button
            disabled={picked.length === 0}
            onClick={() => (whole ? (setPicked([]), setWhole(null)) : setPicked(picked.slice(0, -1)))}
          >
            {whole ? msg('drawings.anotherOne') : msg('drawings.takeTheLastBack')}
          </Button>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={picked.length === 0} onClick={take}>
            {msg('drawings.takeThem')}
          </Button>
        </>
      }
    >
      <div className="mb-2 flex flex-wrap items-end gap-x-4 gap-y-1">
        <Choice
          label={msg('drawings.aTouchPicks')}
          value={mode}
          options={[
            ['points', msg('drawings.onePlace')],
            ['whole', msg('drawings.theWholeLineOrRing')],
          ]}
          onChange={setMode}
        />
        {mode === 'points' && (
          <Field
            label={msg('drawings.nextName')}
            value={nameAfter(picked, stem)}
            className="w-28"
            maxLength={40}
            onChange={(event) => setStem(event.target.value)}
          />
        )}
        {mode === 'points' && (
          <fieldset className="flex flex-wrap gap-x-3">
            <legend className="text-[13px] text-ink2">{msg('drawings.snapTo')}</legend>
            {(Object.entries(snapWords()) as [SnapKind, string][]).map(([kind, words]) => (
              <Tick
                key={kind}
                label={words}
                checked={snaps.has(kind)}
                onChange={(on) => setSnaps(new Set(on ? [...snaps, kind] : [...snaps].filter((each) => each !== kind)))}
              />
            ))}
          </fieldset>
        )}
      </div>
      <div className="relative h-[44dvh] min-h-[240px] border border-ink2">
        <Board
          scene={scene}
          underlay={underlay}
          description={msg('drawings.theDrawingOnThePlanATouch')}
          onPlace={(point, pixel) => void touch(point, pixel)}
          fitTo={extent ? fitOf(extent) : []}
          fitKey={extent ? 'drawing' : 'none'}
        />
      </div>
      <p aria-live="polite" className="mt-1 min-h-6 text-[14px] font-medium text-ochre">
        {said}
      </p>
      <ol className="figures max-h-40 overflow-auto text-[14px]" tabIndex={0} aria-label={msg('drawings.pickedPlaces')}>
        {picked.map((each) => (
          <li key={each.name}>
            <strong>{each.name}</strong>{' '}
            {units.axes.map((axis) => `${axis === 'e' ? 'E' : 'N'} ${units.length(each[axis])}`).join('  ')}{' '}
            <span className="text-ink2">{each.kind}</span>
          </li>
        ))}
      </ol>
    </Dialog>
  );
}

const fitOf = ([e0, n0, e1, n1]: readonly [number, number, number, number]): PlanPoint[] => [
  { e: e0, n: n0 },
  { e: e1, n: n1 },
];

/** Counts on from a stem with a number at its end: P3 after P2. */
function nameAfter(picked: readonly { readonly name: string }[], stem: string): string {
  const [, word = stem, digits] = /^(.*?)(\d+)$/.exec(stem.trim() || 'P1') ?? [];
  const names = new Set(picked.map(({ name }) => name));
  for (let i = Number(digits ?? 1); ; i++) {
    const name = digits === undefined && i === 1 ? word : `${word}${i}`;
    if (!names.has(name)) return name;
  }
}
