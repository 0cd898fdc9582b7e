import { useMemo, useState } from 'react';
import { lengthFromMetres, offsetHubs, type PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { alikeName, USUAL_AREA, type AreaKind } from '@idle-marker/records';
import { msg, areaKindWords, outlineErrorWords, worded } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { areaScene } from '../../board/areaScene.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft, lengthOf, type Draft } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits, type Units } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { cornersDraft, readCorners, withCorner, withoutLast, withText } from './cornerText.ts';

const MOST_CORNERS = 500;
const kindChoices = worded(() => Object.entries(areaKindWords()) as [AreaKind, string][]);
const named = (corners: readonly PlanPoint[]) => corners.map((corner, i) => ({ name: String(i + 1), ...corner }));

/** Draws ground that marks keep out of: corners touched on the plan, or typed. */
/** Whole feet on sites in feet. */
const usualMargin = (metres: number, units: Pick<Units, 'round'>) =>
  units.round(metres, Math.round(lengthFromMetres(metres, 'foot')));

export function EditArea({ area, onClose }: { area: Fact<'area'> | null; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const before = area?.body;
  const [kind, setKind] = useState<AreaKind>(before?.kind ?? 'spoilHeap');
  const [name, setName] = useState(before?.name ?? '');
  const [margin, setMargin] = useState<Draft<number>>(() =>
    lengthDraft(before?.margin ?? usualMargin(USUAL_AREA.spoilHeap.margin, units), units),
  );
  const [blocksSight, setBlocksSight] = useState(before?.blocksSight ?? USUAL_AREA.spoilHeap.blocksSight);
  const [corners, setCorners] = useState(() => cornersDraft(named(before?.corners ?? []), units));
  const [tried, setTried] = useState(false);
  const read = useMemo(() => readCorners(corners, units, true), [corners, units]);
  const places = useMemo((): PlanPoint[] => (read.ok ? read.value.map(({ e, n }) => ({ e, n })) : []), [read]);
  // What is wrong with an outline is wrong with an area too: too few corners, no ground between them, sides that cross.
  const shape = useMemo(() => offsetHubs(read.ok ? read.value : [], 1), [read]);
  const marginRead = lengthOf(margin, units);
  const choose = (next: AreaKind) => {
    setKind(next);
    setMargin(lengthDraft(usualMargin(USUAL_AREA[next].margin, units), units));
    setBlocksSight(USUAL_AREA[next].blocksSight);
  };
  const alike = alikeName(
    name,
    state.areas.filter((each) => each.body.area !== before?.area).map((each) => each.body.name),
  );
  const errors = {
    name:
      name.trim() === ''
        ? msg('design.giveItANameThatTheCrew')
        : alike === null
          ? null
          : msg('design.thereIsAnAreaAlreadyTwoNames', { alike }),
    margin: marginRead === null || marginRead < 0 || marginRead > 100 ? msg('design.giveALength0OrMore') : null,
    corners: !read.ok
      ? read.error === 'No corners yet.'
        ? msg('design.touchThePlanAtItsCornersOne')
        : read.error
      : places.length > MOST_CORNERS
        ? msg('design.anAreaHasAtMostCornersLeave', { mostCorners: MOST_CORNERS })
        : shape.ok
          ? null
          : outlineErrorWords(shape.error),
  };
  const shown = (error: string | null) => (tried ? error : null);
  const keep = async (retired: boolean) => {
    setTried(true);
    if (Object.values(errors).some((error) => error !== null)) return;
    const body: FactBody<'area'> = {
      area: before?.area ?? newId(),
      name: name.trim(),
      kind,
      corners: places,
      margin: marginRead!,
      blocksSight,
      source: before?.source ?? msg('design.drawnOnThePlan'),
      retired,
      supersedes: area?.id ?? null,
    };
    await say({ type: 'area', body });
    onClose();
  };
  const add = (place: PlanPoint) => {
    const next = { name: String(places.length + 1), e: Number(place.e.toFixed(2)), n: Number(place.n.toFixed(2)) };
    setCorners(withCorner(corners, next, units));
  };
  // Beside the works is where heaps and machines stand.
  const around = useMemo(
    () => [...(before?.corners ?? []), ...state.packages.flatMap((work) => work.body.plans.map((plan) => plan.place))],
    [before, state.packages],
  );
  const others = state.areas.filter((each) => each.body.area !== before?.area).map((each) => each.body);
  const scene = useMemo(
    () =>
      joinScenes(
        outlineScene(state.packages),
        areaScene([...others, { name: name.trim() || areaKindWords()[kind], corners: places }]),
        controlScene(state.control, null),
      ),
    // oxlint-disable-next-line react/exhaustive-deps -- `others` follows from the state
    [state, name, kind, places],
  );
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={area ? msg('design.change', { name: area.body.name }) : msg('design.newAreaToKeepOutOf')}
      foot={
        <>
          {area && (
            <Button className="mr-auto" onClick={() => void keep(true)}>
              {msg('design.removeArea')}
            </Button>
          )}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep(false)}>
            {msg('design.keepTheArea')}
          </Button>
        </>
      }
    >
      <div className="grid gap-4 md:grid-cols-[2fr_3fr]">
        <div className="grid content-start gap-3">
          <Choice label={msg('design.type')} value={kind} options={kindChoices()} onChange={choose} />
          <Field
            label={msg('common.name')}
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
            error={shown(errors.name)}
            autoFocus
          />
          <DraftField
            label={msg('design.marksAreLostUpToThisFar')}
            unit={units.unit}
            draft={margin}
            onDraft={setMargin}
            error={errors.margin}
          />
          <Tick label={msg('design.nothingIsSeenThroughIt2')} checked={blocksSight} onChange={setBlocksSight} />
          <div>
            <label className="block text-[13px] text-ink2" htmlFor="area-corners">
              {msg('design.cornersInOrderOneALineNumber', {
                axes: units.axes[0] === 'e' ? 'E, N' : 'N, E',
                unit: units.unit,
              })}
            </label>
            <textarea
              id="area-corners"
              rows={5}
              value={corners.text}
              onChange={(event) => setCorners(withText(corners, event.target.value))}
              className="figures w-full rounded-sm border border-ink2 bg-sheet p-2"
              spellCheck={false}
            />
            {(tried || corners.text.trim() !== '') && errors.corners && (
              <p className="text-[13px] font-medium text-brick">{errors.corners}</p>
            )}
          </div>
          <Button onClick={() => setCorners(withoutLast(corners))} disabled={corners.text.trim() === ''}>
            {msg('design.takeTheLastCornerAway')}
          </Button>
        </div>
        <div className="relative min-h-[320px] border border-ink2">
          <Board
            scene={scene}
            description={msg('design.planTouchItToPlaceTheNext')}
            onPlace={add}
            fitTo={around}
            fitKey={area?.id ?? msg('design.newArea2')}
          />
        </div>
      </div>
    </Dialog>
  );
}
