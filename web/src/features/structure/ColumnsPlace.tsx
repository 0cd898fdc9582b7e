import { compassWord, formatSigned } from '@idle-marker/core';
import { type ColumnRow, spreadOf } from '@idle-marker/records';
import { msg, faceWords, smallLength, walkingFigures } from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { DraftField } from '../../field/DraftField.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Card, Slip, Workspace } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { MeasuringNotice } from '../../pole/MeasuringNotice.tsx';
import { TakeBack } from '../../pole/TakeBack.tsx';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { MeasureAtPole } from '../../pole/view/MeasureAtPole.tsx';
import { useColumnsPlace, NO_PRISM, type Edge, isDone } from './useColumnsPlace.ts';

/** Does each column stand on its lines, straight and plumb? One row after the other along a grid line. */
export function Place() {
  const model = useColumnsPlace();
  const { isCarried, inForce, chosenGrid, row } = model;
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
  if (isCarried) return <ColumnsAtPole model={model} row={row} />;
  const { rows, busy, shooting, next, targetOffset, act } = model;
  return (
    <>
      <Workspace
        board={<ColumnBoard model={model} row={row} />}
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
                  {actionWords(model, row)}
                </Button>
              </>
            }
          >
            <ColumnBody model={model} row={row} />
          </Slip>
        }
      />
      <TypedReading title={msg('common.readingAt', { name: row.name })} />
    </>
  );
}

type Model = ReturnType<typeof useColumnsPlace>;
interface ColumnProps {
  readonly model: Model;
  readonly row: ColumnRow;
}

function edgeWords(edge: Edge, { line: { azimuth } }: ColumnRow): string {
  return edge === 'middle'
    ? 'middle'
    : msg('structure.edge', { compassWord: compassWord(edge === 'first' ? azimuth + Math.PI : azimuth) });
}

/** What comes next at the column. */
function actionWords({ due, withLean }: Model, row: ColumnRow): string {
  return due
    ? msg('structure.shootThe', {
        edgeWord: edgeWords(due[0], row),
        withLean: withLean === 'yes' ? `, ${due[1]}` : '',
      })
    : msg('structure.nextColumn');
}

/** What its shots say of a column, and what is written on it; null before there are any. */
function judgedOf({ tolerance, units }: Model, row: ColumnRow) {
  return (
    row.face &&
    faceWords(row.face, {
      line: row.line.label,
      azimuth: row.line.azimuth,
      crossing: row.crossing.label,
      crossingAlong: row.crossingAlong,
      tolerance,
      unit: units.lengthUnit,
      angleUnit: units.angleUnit,
    })
  );
}

/** Everything about one column, and all of its line. */
function ColumnBody({ model, row }: ColumnProps) {
  const {
    state,
    units,
    grids,
    setGrid,
    chosenGrid,
    labels,
    setLabel,
    line,
    widths,
    setWidths,
    rows,
    setCrossing,
    side,
    setSide,
    target,
    setTarget,
    classId,
    setClass,
    use,
    setUse,
    shots,
    setShots,
    withLean,
    setWithLean,
    measuring,
    busy,
    widthDraft,
    isWidthGood,
    width,
    targetOffset,
    take,
    reckonAnew,
    otherTarget,
    prisms,
    prismItem,
    setPrism,
  } = model;
  const { azimuth } = row.line;
  const edgeWord = (edge: Edge) => edgeWords(edge, row);
  const judged = judgedOf(model, row);
  return (
    <>
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
            value={chosenGrid!.fact.body.grid}
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
        <DraftField
          label={msg('structure.tapedWidthAcrossTheLine')}
          unit={units.unit}
          draft={widthDraft}
          onDraft={(draft) => setWidths({ ...widths, [row.name]: draft })}
          onBlur={() => row.name in widths && isWidthGood && void reckonAnew({ width })}
          error={!isWidthGood ? msg('structure.giveTheWidthOrLeaveItEmpty') : null}
        />
        <DraftField
          label={msg('structure.faceToCentreOfThePrism')}
          unit={units.unit}
          draft={target}
          onDraft={setTarget}
          error={targetOffset === null ? msg('structure.giveIt0ForAFoil') : null}
        />
        <Choice
          label={msg('structure.prismOnFace')}
          value={prismItem}
          options={[
            ...prisms.map(
              ({ item, name, constantMm }) =>
                [item, msg('structure.prismConstant', { name, constant: formatSigned(constantMm, 1) })] as const,
            ),
            [NO_PRISM, msg('pole.anotherConstant0')],
          ]}
          onChange={setPrism}
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
      {otherTarget && targetOffset !== null && (
        <Button look="quiet" onClick={() => void reckonAnew({ targetOffset })}>
          {msg('structure.reckonTheShotsOfWithThisTarget', { name: row.name })}
        </Button>
      )}
      {row.shots.length > 0 && (
        <ul className="mt-3 text-[14px]">
          {row.shots.map((fact) => {
            const face = fact.body.against?.kind === 'face' ? fact.body.against : null;
            return (
              <li key={fact.id} className="flex flex-wrap items-baseline justify-between gap-2 border-b border-rule">
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
    </>
  );
}

function ColumnBoard({ model: { underlay, line, gridId, scene, setCrossing }, row }: ColumnProps) {
  return (
    <Board
      scene={scene}
      underlay={underlay}
      description={msg('structure.planWithTheColumnsAlongLinePicking', { line })}
      onPick={setCrossing}
      fitTo={[row.line.from, row.line.to]}
      fitKey={`${gridId} ${line}`}
    />
  );
}

/** Carried: what the last shots found, and the next face to be shot. */
function ColumnsAtPole({ model, row }: ColumnProps) {
  const { units, rows, measuring, next, targetOffset, act } = model;
  const { azimuth } = row.line;
  const judged = judgedOf(model, row);
  const sides = row.face?.sides ?? [];
  return (
    <>
      <MeasureAtPole
        name={row.name}
        count={msg('structure.ofDone', { rows: rows.filter(isDone).length, rows2: rows.length })}
        detail={msg('structure.alongLineOf', { line: row.line.label })}
        lines={sides.slice(-2).map(({ edge, offset }) => ({
          arrow: null,
          way: `${edgeWords(edge, row)}, ${compassWord(azimuth + (offset >= 0 ? Math.PI / 2 : -Math.PI / 2))}`,
          figures: walkingFigures(offset, units.lengthUnit),
        }))}
        waiting={sides.length > 0 ? null : msg('structure.smallPrismFlatOnTheFaceTurned')}
        board={<ColumnBoard model={model} row={row} />}
        height={{
          written: null,
          none: judged ? judged.write.join(' · ') : msg('structure.nothingToWriteYet'),
          notes: [],
        }}
        measuring={measuring}
        advice={judged ? judged.title : null}
        lesser={[{ label: msg('structure.nextColumn'), key: 'n', onPress: next }]}
        action={{ label: actionWords(model, row), isDisabled: targetOffset === null, onPress: act }}
        more={<ColumnBody model={model} row={row} />}
        topic={row.name}
      />
      <TypedReading title={msg('common.readingAt', { name: row.name })} />
    </>
  );
}

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
          <th className={TH}>{msg('structure.halfWidth')}</th>
          <th className={TH}>{msg('structure.firstEdge')}</th>
          <th className={TH}>{msg('structure.secondEdge')}</th>
          <th className={TH}>{msg('structure.progress')}</th>
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
                msg('structure.begun')
              ) : (
                msg('structure.toDo')
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
