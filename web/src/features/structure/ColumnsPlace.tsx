import { useMemo, useState } from 'react';
import { compassWord, polar, type Metres } from '@idle-marker/core';
import { columnsAlong, gridOf, type ColumnRow, classOf, usualClass, spreadOf } from '@idle-marker/records';
import { msg, faceWords, smallLength, type FACE_EDGE } from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { gridScene } from '../../board/gridScene.ts';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Card, Slip, Workspace } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { useKey } from '../../ui/useKey.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { MeasuringNotice } from '../../pole/MeasuringNotice.tsx';
import { TakeBack } from '../../pole/TakeBack.tsx';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { useMeasuring, type Shots } from '../../pole/useMeasuring.ts';

type Edge = keyof typeof FACE_EDGE;
type Level = 'low' | 'high';

/** What is shot at a column, in this order; the upper ones tell whether it leans, and may be left. */
const SEQUENCE: readonly (readonly [Edge, Level])[] = [
  ['first', 'low'],
  ['second', 'low'],
  ['first', 'high'],
  ['second', 'high'],
];
/** A small prism's centre stands about this far before the face that it is held against. */
const USUAL_TARGET: Metres = 0.015;
/** Of a column nobody has taped yet, to stand the simulated pole near it. */
const USUAL_WIDTH: Metres = 0.3;
const HIGH: Metres = 2.5;

/** Does each column stand on its lines, straight and plumb? One row after the other along a grid line. */
export function Place() {
  const { state, inForce, say } = useSite();
  const units = useUnits();
  const underlay = useUnderlay();
  const grids = state.grids.flatMap((fact) => {
    const grid = gridOf(fact.body);
    return grid.ok ? [{ fact, grid: grid.value }] : [];
  });
  const [gridId, setGrid] = useRemembered('columns grid', grids[0]?.fact.body.grid ?? '');
  const chosenGrid = grids.find(({ fact }) => fact.body.grid === gridId) ?? grids[0] ?? null;
  const labels = chosenGrid ? [...chosenGrid.grid.letters, ...chosenGrid.grid.numbers].map(({ label }) => label) : [];
  const [label, setLabel] = useRemembered('columns line', labels[0] ?? '');
  const line = labels.includes(label) ? label : (labels[0] ?? '');
  const [widths, setWidths] = useState<Readonly<Record<string, string>>>({});
  const { readLength } = units;
  const taped = useMemo(() => typedWidths(widths, readLength), [widths, readLength]);
  const rows = useMemo(
    () => (chosenGrid ? (columnsAlong(state, chosenGrid.fact, line, taped) ?? []) : []),
    [state, chosenGrid, line, taped],
  );
  const [crossing, setCrossing] = useRemembered<string | null>('column', null);
  const row =
    rows.find((each) => each.crossing.label === crossing) ?? rows.find((each) => !isDone(each)) ?? rows[0] ?? null;
  const [side, setSide] = useRemembered<'right' | 'left'>('columns side', 'right');
  const [target, setTarget] = useRemembered('columns target', units.edit(USUAL_TARGET));
  const [classId, setClass] = useState(usualClass(state, 'steel').id);
  const [use, setUse] = useState('');
  const [shots, setShots] = useRemembered<Shots>('columns shots', '3');
  const [withLean, setWithLean] = useRemembered<'no' | 'yes'>('columns lean', 'no');
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const busy = shooting.doing !== null;
  const tolerance = classOf(state, classId).plan;
  const widthText = row ? (widths[row.name] ?? units.edit(row.width)) : '';
  const width = widthText.trim() === '' ? null : units.readLength(widthText);
  const targetOffset = units.readLength(target);
  const due = row
    ? SEQUENCE.find(([edge, level]) => (level === 'low' || withLean === 'yes') && !hasShot(row, edge, level))
    : undefined;
  const take = async (edge: Edge, level: Level) => {
    if (!row || !chosenGrid || targetOffset === null || !inForce) return;
    const name = `${row.name} ${edge} ${level}`;
    const half = (width ?? USUAL_WIDTH) / 2;
    const out = (side === 'right' ? 1 : -1) * (half + targetOffset);
    const along = row.crossingAlong + (edge === 'first' ? -half : edge === 'second' ? half : 0);
    const base = polar(row.line.from, row.line.azimuth, along);
    const at = polar(base, row.line.azimuth + Math.PI / 2, out);
    await measuring.take({
      name,
      code: 'column face',
      against: {
        kind: 'face',
        grid: chosenGrid.fact.body.grid,
        line: row.line.label,
        crossing: row.crossing.label,
        edge,
        level,
        targetOffset,
        width,
      },
      supersedes: null,
      shots,
      note: use.trim(),
      onto: { name, hub: { e: at.e, n: at.n, z: null, above: level === 'high' ? HIGH : 0 } },
    });
    setCrossing(row.crossing.label);
  };
  /** Shots of this column that were kept with another width, or another target: the same sights, with what is right. */
  const reckonAnew = async (change: { readonly width: Metres | null } | { readonly targetOffset: Metres }) => {
    for (const { id, body } of row?.shots ?? []) {
      const { against } = body;
      if (
        against?.kind !== 'face' ||
        Object.entries(change).every(([field, value]) => against[field as keyof typeof change] === value)
      )
        continue;
      await say({ type: 'asBuilt', body: { ...body, against: { ...against, ...change }, supersedes: id } });
    }
  };
  const otherTarget =
    targetOffset !== null &&
    row?.shots.some(({ body }) => body.against?.kind === 'face' && body.against.targetOffset !== targetOffset);
  const next = () => {
    const at = rows.findIndex((each) => each === row);
    const following =
      [...rows.slice(at + 1), ...rows.slice(0, at)].find((each) => !isDone(each)) ?? rows[(at + 1) % rows.length];
    if (following) setCrossing(following.crossing.label);
  };
  const act = () => (due ? void take(...due) : next());
  useKey(' ', busy || !row ? null : act);
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), chosenGrid ? gridScene(chosenGrid.grid) : {}, {
        lines: row ? [{ points: [row.line.from, row.line.to], ink: 'spruce', width: 3 }] : [],
        symbols: rows.map((each): SceneSymbol => ({
          id: each.crossing.label,
          at: polar(each.line.from, each.line.azimuth, each.crossingAlong),
          symbol: each.shots.length > 0 ? 'set' : 'toSet',
          label: each.name,
          ink: each.shots.length > 0 ? 'ink' : 'pencil',
          chosen: each === row,
        })),
        instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
      }),
    [state.packages, chosenGrid, rows, row, inForce],
  );
  if (!chosenGrid || !row)
    return (
      <EmptyTo
        title={msg('structure.noGridYet')}
        place="design"
        label={msg('structure.drawAGrid')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('structure.columnsAreMeasuredAgainstTheLinesOf')}
      </EmptyTo>
    );
  if (!inForce)
    return (
      <EmptyTo
        title={msg('common.stationTheInstrumentFirst')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('structure.howFarAFaceStandsOffA')}
      </EmptyTo>
    );
  const { azimuth } = row.line;
  const edgeWord = (edge: Edge) =>
    edge === 'middle'
      ? 'middle'
      : msg('structure.edge', { compassWord: compassWord(edge === 'first' ? azimuth + Math.PI : azimuth) });
  const judged =
    row.face &&
    faceWords(row.face, {
      line: row.line.label,
      azimuth,
      crossing: row.crossing.label,
      crossingAlong: row.crossingAlong,
      tolerance,
      unit: units.lengthUnit,
      angleUnit: units.angleUnit,
    });
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            underlay={underlay}
            description={msg('structure.planWithTheColumnsAlongLinePicking', { line })}
            onPick={setCrossing}
            fitTo={[row.line.from, row.line.to]}
            fitKey={`${gridId} ${line}`}
          />
        }
        slip={
          <Slip
            topic={row.name}
            head={
              <>
                <MarkWays />
                <h1 className="text-xl">
                  {msg('structure.column', { name: row.name })}{' '}
                  <span className="ml-1 text-[15px] font-normal text-ink2">
                    {msg('structure.ofDone', { rows: rows.filter(isDone).length, rows2: rows.length })}
                  </span>
                </h1>
                <p className="text-ink2">{msg('structure.smallPrismFlatOnTheFaceTurned')}</p>
              </>
            }
            foot={
              <>
                {busy ? (
                  <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>
                ) : (
                  <Button onClick={next}>{msg('structure.nextColumn')}</Button>
                )}
                <Button
                  look="primary"
                  hint={msg('common.space')}
                  disabled={busy || targetOffset === null}
                  onClick={act}
                >
                  {due
                    ? msg('structure.shootThe', {
                        edgeWord: edgeWord(due[0]),
                        withLean: withLean === 'yes' ? `, ${due[1]}` : '',
                      })
                    : msg('structure.nextColumn')}
                </Button>
              </>
            }
          >
            <div aria-live="polite">
              <MeasuringNotice measuring={measuring} />
              {judged && (
                <Card tone={judged.tone} title={judged.title}>
                  {judged.lines.map((text) => (
                    <p key={text}>{text}</p>
                  ))}
                  <p className="mt-2 border-l-4 border-pencil pl-3">
                    <span className="block text-[13px] text-ink2">{msg('structure.writeOnTheColumn')}</span>
                    {judged.write.map((text) => (
                      <strong key={text} className="figures block">
                        {text}
                      </strong>
                    ))}
                  </p>
                </Card>
              )}
            </div>
            <div className="grid grid-cols-2 gap-3">
              {grids.length > 1 && (
                <Choice
                  label={msg('structure.grid')}
                  value={chosenGrid.fact.body.grid}
                  options={grids.map(({ fact }) => [fact.body.grid, fact.body.name] as const)}
                  onChange={setGrid}
                />
              )}
              <Choice
                label={msg('structure.alongLine')}
                value={line}
                options={labels.map((each) => [each, each] as const)}
                onChange={(next) => {
                  setLabel(next);
                  setCrossing(null);
                }}
              />
              <Choice
                label={msg('structure.theFaceLooks')}
                value={side}
                options={[
                  ['right', compassWord(azimuth + Math.PI / 2)],
                  ['left', compassWord(azimuth - Math.PI / 2)],
                ]}
                onChange={setSide}
              />
              <Field
                label={msg('structure.tapedWidthAcrossTheLine')}
                unit={units.unit}
                value={widthText}
                inputMode="decimal"
                onChange={(event) => setWidths({ ...widths, [row.name]: event.target.value })}
                onBlur={() => (width !== null || widthText.trim() === '') && void reckonAnew({ width })}
                error={widthText.trim() !== '' && width === null ? msg('structure.giveTheWidthOrLeaveItEmpty') : null}
              />
              <Field
                label={msg('structure.faceToCentreOfThePrism')}
                unit={units.unit}
                value={target}
                inputMode="decimal"
                onChange={(event) => setTarget(event.target.value)}
                error={targetOffset === null ? msg('structure.giveIt0ForAFoil') : null}
              />
              <Choice
                label={msg('common.toleranceClass')}
                value={classId}
                options={state.settings.classes.map((each) => [each.id, each.name] as const)}
                onChange={setClass}
              />
              <ShotsChoice shots={shots} onShots={setShots} />
              <Choice
                label={msg('structure.leanToo')}
                value={withLean}
                options={[
                  ['no', msg('structure.oneHeight')],
                  ['yes', msg('structure.lowAndHigh')],
                ]}
                onChange={setWithLean}
              />
              <Field
                label={msg('structure.whatTheMarkIsFor')}
                value={use}
                maxLength={200}
                placeholder={msg('common.plumbingTheSteelAbove')}
                onChange={(event) => setUse(event.target.value)}
              />
            </div>
            {otherTarget && (
              <Button look="quiet" onClick={() => void reckonAnew({ targetOffset })}>
                {msg('structure.reckonTheShotsOfWithThisTarget', { name: row.name })}
              </Button>
            )}
            {row.shots.length > 0 && (
              <ul className="mt-3 text-[14px]">
                {row.shots.map((fact) => {
                  const face = fact.body.against?.kind === 'face' ? fact.body.against : null;
                  return (
                    <li
                      key={fact.id}
                      className="flex flex-wrap items-baseline justify-between gap-2 border-b border-rule"
                    >
                      <span>
                        {face && edgeWord(face.edge)}, {face?.level}
                        {spreadOf(fact).plan !== null && (
                          <span className="text-ink2">
                            {' '}
                            {msg('structure.shotsWithin', {
                              sights: fact.body.sights.length,
                              smallLength: smallLength(spreadOf(fact).plan ?? 0, units.lengthUnit),
                            })}
                          </span>
                        )}
                      </span>
                      <span className="flex gap-3">
                        {face && (
                          <Button look="quiet" disabled={busy} onClick={() => void take(face.edge, face.level)}>
                            {msg('common.shootAgain')}
                          </Button>
                        )}
                        <TakeBack fact={fact} />
                      </span>
                    </li>
                  );
                })}
              </ul>
            )}
            <ColumnTable rows={rows} chosen={row} onChoose={setCrossing} />
          </Slip>
        }
      />
      <TypedReading title={msg('common.readingAt', { name: row.name })} />
    </>
  );
}

/** Widths that are in the fields now: they count while they are typed. */
function typedWidths(
  widths: Readonly<Record<string, string>>,
  read: (text: string) => Metres | null,
): ReadonlyMap<string, Metres | null> {
  return new Map(
    Object.entries(widths).flatMap(([name, text]): [string, Metres | null][] => {
      const width = text.trim() === '' ? null : read(text);
      return width === null && text.trim() !== '' ? [] : [[name, width]];
    }),
  );
}

const hasShot = (row: ColumnRow, edge: Edge, level: Level): boolean =>
  row.face?.sides.some((each) => each.edge === edge && each.level === level) ?? false;
const isDone = (row: ColumnRow): boolean =>
  row.face !== null && row.face.twist !== null && row.face.centreOffset !== null;

/** All columns of the line: what is asked for and what was found, filled in one after the other. */
function ColumnTable({
  rows,
  chosen,
  onChoose,
}: {
  rows: readonly ColumnRow[];
  chosen: ColumnRow;
  onChoose(crossing: string): void;
}) {
  const units = useUnits();
  const edge = (row: ColumnRow, which: Edge) => {
    const found =
      row.face?.sides.find((each) => each.edge === which && each.level === 'low') ??
      row.face?.sides.find((each) => each.edge === which);
    return found ? units.length(Math.abs(found.offset)) : '–';
  };
  return (
    <table className={`${TABLE} mt-3`}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('structure.column2')}</th>
          <th className={TH}>{msg('common.asked')}</th>
          <th className={TH}>{msg('structure.firstEdge')}</th>
          <th className={TH}>{msg('common.second')}</th>
          <th className={TH}>{msg('common.state')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name} className={row === chosen ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
            <td className={TD_WORD}>
              <button
                type="button"
                className="min-h-11 w-full text-left font-semibold"
                aria-current={row === chosen}
                onClick={() => onChoose(row.crossing.label)}
              >
                {row.name}
              </button>
            </td>
            <td className={TD}>{row.width === null ? '–' : units.length(row.width / 2)}</td>
            <td className={TD}>{edge(row, 'first')}</td>
            <td className={TD}>{edge(row, 'second')}</td>
            <td className={TD}>
              {isDone(row) ? (
                <span className="text-good">{msg('structure.done')}</span>
              ) : row.shots.length > 0 ? (
                'begun'
              ) : (
                'open'
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
