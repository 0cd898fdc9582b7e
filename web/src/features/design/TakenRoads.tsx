import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import type { ReadAlignment } from '@idle-marker/formats';
import { alignmentPart, alikeName, keepsSections, roadOf, roadRemarks, toolFor, type Road } from '@idle-marker/records';
import { msg, roadFaultWords, roadRemarkWords, shortStation, worded } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle } from '../../site/useRoads.ts';
import { useUnits, type Units } from '../../field/useUnits.ts';
import { Choice, Tick } from '../../ui/Field.tsx';

/** A line with stations of a file, as it would be taken. */
export interface TakenRoad {
  readonly read: ReadAlignment;
  readonly taken: boolean;
  readonly profile: number;
  /** The line of the site that it would be a newer revision of. */
  readonly replaces: Fact<'alignment'> | null;
  readonly fault: string | null;
  /** Made ready to be drawn; null where it can't be. */
  readonly road: Road | null;
  change(next: { readonly taken?: boolean; readonly profile?: number }): void;
}

/** How far beside a line things are looked for along it, metres and feet. */
const CORRIDOR = [25, 80] as const;

const bodyOf = (read: ReadAlignment, profile: number, corridor: number) => ({
  name: read.name,
  ...alignmentPart(read, profile),
  strings: [],
  kerbs: [],
  shift: 0,
  corridor,
});

/**
 * Lines of a file: each is taken unless somebody says no; one that was taken from an older revision of it becomes its
 * newer one.
 */
export function useTakenRoads(
  alignments: readonly ReadAlignment[],
  drawing: Fact<'drawing'> | null,
): readonly TakenRoad[] {
  const { state } = useSite();
  const units = useUnits();
  const [chosen, setChosen] = useState<ReadonlyMap<string, { readonly taken: boolean; readonly profile: number }>>(
    new Map(),
  );
  return useMemo(() => {
    const revisions = new Set(
      state.timeline.flatMap((fact) =>
        drawing && fact.type === 'drawing' && fact.body.drawing === drawing.body.drawing ? [fact.id] : [],
      ),
    );
    return alignments.map((read): TakenRoad => {
      const replaces =
        state.alignments.find(
          ({ body }) => body.drawing !== null && revisions.has(body.drawing) && body.sourceName === read.name,
        ) ?? null;
      const { taken, profile } = chosen.get(read.name) ?? { taken: true, profile: 0 };
      const alike = alikeName(
        read.name,
        state.alignments.filter((each) => each !== replaces).map(({ body }) => body.name),
      );
      const fault =
        taken && !replaces && alike !== null ? msg('design.thereIsALineAlreadyReplaceThe', { alike }) : null;
      const road = roadOf(bodyOf(read, profile, units.round(...CORRIDOR)));
      return {
        read,
        taken,
        profile,
        replaces,
        fault,
        road: road.ok ? road.value : null,
        change: (next) => setChosen(new Map(chosen).set(read.name, { taken, profile, ...next })),
      };
    });
  }, [alignments, drawing, state, chosen, units]);
}

/** What is kept of them beside the drawing. */
export function roadBodies(
  roads: readonly TakenRoad[],
  units: Pick<Units, 'round'>,
  drawing: Pick<Fact<'drawing'>, 'id' | 'body'>,
): FactBody<'alignment'>[] {
  return roads
    .filter(({ taken }) => taken)
    .map(({ read, profile, replaces }) => ({
      alignment: replaces?.body.alignment ?? newId(),
      name: replaces?.body.name ?? read.name.slice(0, 80).trim(),
      kind: replaces?.body.kind ?? 'road',
      ...alignmentPart(read, profile),
      strings: replaces?.body.strings ?? [],
      kerbs: replaces?.body.kerbs ?? [],
      corridor: replaces?.body.corridor ?? units.round(...CORRIDOR),
      shift: replaces?.body.shift ?? 0,
      ...(replaces?.body.shiftReason ? { shiftReason: replaces.body.shiftReason } : {}),
      source: drawing.body.fileName,
      drawing: drawing.id,
      sourceName: read.name,
      retired: false,
      supersedes: replaces?.id ?? null,
    }));
}

const toolHint = worded(
  () =>
    ({
      road: msg('design.hasCurvesSpiralsOrJumpingStationsIt'),
      referenceLine: msg('design.isOneStraightLineAReferenceLine'),
      referenceArc: msg('design.isOneArcAReferenceArcWould'),
    }) as const,
);

/** The lines that came in, which of them to take, and what each of them needs. */
export function TakenRoads({ roads }: { readonly roads: readonly TakenRoad[] }) {
  const units = useUnits();
  const style = useStationStyle();
  if (roads.length === 0) return null;
  return (
    <fieldset className="mt-3 border-t border-rule pt-2">
      <legend className="pr-2 text-[15px] font-semibold">{msg('design.withStations', { roads: roads.length })}</legend>
      {roads.map((each) => {
        const { read } = each;
        const body = bodyOf(read, each.profile, units.round(...CORRIDOR));
        const road = roadOf(body);
        const spirals = body.elements.filter(({ kind }) => kind === 'spiral').length;
        return (
          <div key={read.name} className="mb-2">
            <Tick
              label={
                <>
                  <strong>{read.name}</strong>
                  {road.ok &&
                    msg('design.long', {
                      shortStation: shortStation(body.startStation, style),
                      length: units.length(road.value.alignment.length, 1),
                      unit: units.unit,
                    })}
                  {each.replaces && (
                    <span className="text-ochre">
                      {' '}
                      {msg('design.replacesAsItIsNow', { name: each.replaces.body.name })}
                    </span>
                  )}
                </>
              }
              checked={each.taken}
              onChange={(taken) => each.change({ taken })}
            />
            <p className="ml-8 text-[14px] text-ink2">
              {msg('design.elementsIt', {
                elements: body.elements.length,
                spirals: spirals > 0 ? msg('design.ofThemSpirals', { spirals }) : '',
                tool: toolHint()[toolFor(body)],
                ok: road.ok
                  ? roadRemarks(road.value)
                      .map((remark) => ` ${roadRemarkWords(remark, style)}`)
                      .join('')
                  : ` ${roadFaultWords(road.error, style)}`,
                crossSections:
                  read.crossSections.length > 0 &&
                  msg('design.crossSections', {
                    crossSections: read.crossSections.length,
                    keepsSections: keepsSections(read.crossSections) ? '' : msg('design.areTooManyToBeKeptBeside'),
                  }),
              })}
            </p>
            {read.profiles.length > 1 && (
              <Choice
                className="ml-8"
                label={msg('design.heightsFromTheProfile')}
                value={String(each.profile)}
                options={read.profiles.map((profile, i) => [String(i), profile.name] as const)}
                onChange={(next) => each.change({ profile: Number(next) })}
              />
            )}
            {each.fault && <p className="ml-8 text-[14px] font-medium text-brick">{each.fault}</p>}
          </div>
        );
      })}
    </fieldset>
  );
}
