import { compassWord, moveGrade } from '@idle-marker/core';
import { lineDifferences, spreadOf } from '@idle-marker/records';
import {
  msg,
  alongHead,
  alongWords,
  moveGradeWords,
  heightOffWords,
  offLineParts,
  smallLength,
  walkingFigures,
  walkingLines,
} from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Slip } from '../../ui/Slip.tsx';
import { Steady } from '../../ui/Steady.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { PolePad } from '../../pole/PolePad.tsx';
import { lineAt, type ChosenLine } from './lineChoices.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { MeasuringNotice } from '../../pole/MeasuringNotice.tsx';
import { TakeBack } from '../../pole/TakeBack.tsx';
import { StakeOut } from '../../packages/StakeOut.tsx';
import { MeasureAtPole } from '../../pole/view/MeasureAtPole.tsx';
import { useLinePlace, isArc, kindOf, type LinePlaceModel } from './useLinePlace.ts';
import { LineSource } from './LineSource.tsx';

/** A touch this near to a line means it, pixels. */
const TOUCH_PX = 20;

/** How far along and off a line is what the pole touches? One line, or two at once. */
export function Place() {
  const model = useLinePlace();
  const {
    isCarried,
    inForce,
    units,
    shooting,
    place,
    stale,
    line,
    second,
    goalPoint,
    live,
    toSecond,
    noise,
    busy,
    along,
    usual,
    keep,
    offParts,
    spoken,
  } = model;
  if (!inForce)
    return (
      <EmptyTo
        title={msg('common.stationTheInstrumentFirst')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('structure.whatLiesAlongAndOffALine')}
      </EmptyTo>
    );
  const togo = togoOf(model);
  if (isCarried) return <LineAtPole model={model} />;
  return (
    <>
      <div className="flex h-full min-h-0 flex-col lg:flex-row low:flex-row">
        <section
          className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1"
          aria-label={msg('structure.againstTheLine')}
        >
          <div className="min-h-[148px] border-b border-ink px-6 py-3 max-lg:min-h-0 max-lg:px-4" aria-live="polite">
            <p className="flex flex-wrap items-center gap-x-4 text-[15px] text-ink2">
              {line
                ? msg('structure.long', {
                    isArc: isArc(line) ? msg('structure.arc') : msg('common.line'),
                    name: line.name,
                    isArc2: isArc(line)
                      ? msg('structure.startingAndTurning', {
                          compassWord: compassWord(line.azimuth),
                          bulge: line.side.bulge > 0 ? 'left' : 'right',
                        })
                      : msg('structure.running', { compassWord: compassWord(line.azimuth) }),
                    length: units.length(line.length),
                    unit: units.unit,
                  })
                : msg('structure.noLineIsChosen')}
              {spoken.can && (
                <button
                  type="button"
                  aria-pressed={spoken.on}
                  onClick={spoken.toggle}
                  className="min-h-11 min-w-11 underline decoration-dotted"
                >
                  {spoken.on ? msg('common.speaking') : msg('common.speak')}
                </button>
              )}
              {stale && place && <strong className="text-brick">{msg('common.lockLostOrStillTheFiguresAre')}</strong>}
            </p>
            {live && offParts ? (
              <>
                <p
                  className={`figures text-[33px] leading-tight font-semibold max-lg:text-[24px] ${stale ? 'text-ink2' : ''}`}
                  data-testid="off-line"
                >
                  {offParts.figure === null ? (
                    msg('structure.onThe', { kind: kindOf(line!) })
                  ) : (
                    <>
                      <Steady text={offParts.figure} noise={noise} unit={units.lengthUnit} /> {offParts.way}
                    </>
                  )}
                </p>
                <p className="text-[17px] leading-snug" data-testid="along-line">
                  {alongWords(live.chainage, live.position, units.lengthUnit, along)}
                  {live.heightDifference !== null &&
                    msg('structure.againstTheLine2', {
                      heightOff: heightOffWords(live.heightDifference, units.lengthUnit),
                    })}
                  {toSecond && second && (
                    <>
                      {' '}
                      · <SecondLine off={toSecond.offset} azimuth={toSecond.azimuth} line={second} />
                    </>
                  )}
                </p>
                {togo && (
                  <p className="text-[17px] leading-snug font-semibold">
                    {msg('structure.stillToGo', {
                      gradeWord: moveGradeWords()[moveGrade(Math.hypot(togo.ahead ?? 0, togo.right ?? 0), 0.005)],
                      moves: [
                        ...(togo.ahead === null
                          ? []
                          : [
                              msg('structure.alongTheLine', {
                                length: units.length(Math.abs(togo.ahead)),
                                ahead: togo.ahead >= 0 ? 'ahead' : 'back',
                              }),
                            ]),
                        ...(togo.right === null
                          ? []
                          : [
                              msg('structure.toTheSideOfIt', {
                                length: units.length(Math.abs(togo.right)),
                                right: togo.right >= 0 ? 'right' : 'left',
                              }),
                            ]),
                      ].join(', '),
                    })}
                  </p>
                )}
              </>
            ) : (
              <p className="text-[24px] font-semibold">
                {line ? msg('common.searchForThePoleOrShoot') : msg('structure.chooseALineOrTouchOneOn')}
              </p>
            )}
          </div>
          <div className="relative min-h-0 flex-1 max-lg:h-[230px] max-lg:flex-none">
            <LineBoard model={model} />
          </div>
          <PolePad
            distance={live ? Math.abs(live.offset) : null}
            busy={busy}
            onWalk={() => line && void shooting.walk(goalPoint ?? line.side.from, true)}
          />
        </section>
        <Slip
          topic={line?.id ?? ''}
          head={
            <>
              <MarkWays />
              <h1 className="text-xl">{msg('common.onALine')}</h1>
              <p className="text-ink2">{msg('structure.whateverThePoleTouchesAlongAndOff')}</p>
            </>
          }
          foot={
            <>
              {busy ? <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button> : <span />}
              <Button look="primary" hint={msg('common.space')} disabled={busy || !line} onClick={() => void keep()}>
                {msg('structure.measure2', { usual })}
              </Button>
            </>
          }
        >
          <LineBody model={model} />
        </Slip>
      </div>
      <TypedReading title={msg('structure.readingAt2', { usual })} />
    </>
  );
}

/** The way that is left along and off the line; null where nothing was said. */
function togoOf({ live, alongWanted, offWanted }: LinePlaceModel) {
  // What is not said is not gone to: along alone leads along, off alone to its line.
  return live && (alongWanted !== null || offWanted !== null)
    ? {
        ahead: alongWanted === null ? null : alongWanted - live.chainage,
        right: offWanted === null ? null : offWanted - live.offset,
      }
    : null;
}

/** Everything about the line: which it is, what is gone to, and what was measured. */
function LineBody({ model }: { readonly model: LinePlaceModel }) {
  const { state, units, measuring, line, along } = model;
  const rows = lineDifferences(state).slice(-12).reverse();
  return (
    <>
      <div aria-live="polite">
        <MeasuringNotice measuring={measuring} />
      </div>
      <LineSource model={model} />
      <StakeOnLine model={model} />
      {line && (
        <p className="mt-2 text-[13px] text-ink2">
          {isArc(line) ? (
            msg('structure.rightOfTheArcIsLookingAlong', {
              bulge:
                line.side.bulge > 0
                  ? msg('structure.itsOuterSideAwayFromTheCentre')
                  : msg('structure.theSideOfItsCentre'),
            })
          ) : (
            <>
              {msg('structure.rightOfTheLineIsItsLeft', {
                compassWord: compassWord(line.azimuth + Math.PI / 2),
                compassWord2: compassWord(line.azimuth - Math.PI / 2),
              })}
            </>
          )}
        </p>
      )}
      {rows.length > 0 && (
        <table className={`${TABLE} mt-3`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('structure.measured')}</th>
              <th className={TH}>{alongHead()[along]}</th>
              <th className={TH_WORD}>{msg('common.off2')}</th>
              <th className={TH}>{msg('common.height')}</th>
              <th className={TH}>
                <span className="sr-only">{msg('common.takeBack')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => {
              const spread = spreadOf(row.fact);
              return (
                <tr key={row.fact.id}>
                  <td className={TD_WORD}>
                    <strong>{row.fact.body.name}</strong>
                    <span className="block text-[13px] text-ink2">{row.name}</span>
                  </td>
                  <td className={TD}>{units.length(row.chainage)}</td>
                  <td className={TD_WORD}>
                    {units.length(Math.abs(row.offset))}{' '}
                    {compassWord(row.azimuth + (row.offset >= 0 ? Math.PI / 2 : -Math.PI / 2))}
                    {spread.plan !== null && (
                      <span className="block text-[13px] text-ink2">
                        {msg('common.spread', { smallLength: smallLength(spread.plan, units.lengthUnit) })}
                      </span>
                    )}
                  </td>
                  <td className={TD}>
                    {row.heightDifference === null ? '–' : heightOffWords(row.heightDifference, units.lengthUnit)}
                  </td>
                  <td className={TD}>
                    <TakeBack fact={row.fact} />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}

/** The plan with the line; another that is touched is chosen, any other place is what is gone to. */
function LineBoard({ model }: { readonly model: LinePlaceModel }) {
  const { underlay, lines, setFirst, line, scene, goThere } = model;
  const pick = (point: { e: number; n: number }, pixel: number) => {
    const touched = lineAt(lines, point, TOUCH_PX * pixel);
    if (touched && touched.id !== line?.id) setFirst(touched.id);
    else goThere(point, pixel);
  };
  return (
    <Board
      scene={scene}
      underlay={underlay}
      description={msg('structure.planWithTheChosenLineAndThe')}
      onPlace={pick}
      fitTo={line ? [...line.places] : []}
      fitKey={line?.id ?? 'none'}
    />
  );
}

/** Carried: how far off and along, or the way that is left. */
function LineAtPole({ model }: { readonly model: LinePlaceModel }) {
  const { units, measuring, shooting, line, goalPoint, live, noise, busy, along, usual, keep, offParts, step, goOn } =
    model;
  const togo = togoOf(model);
  const { lengthUnit } = units;
  const lines =
    live && offParts && line
      ? togo
        ? walkingLines({ up: togo.ahead ?? 0, right: togo.right ?? 0 }, 'alongLine', lengthUnit)
        : [
            { arrow: null, way: offParts.way, figures: walkingFigures(live.offset, lengthUnit) },
            { arrow: null, way: alongHead()[along], figures: walkingFigures(live.chainage, lengthUnit) },
          ]
      : [];
  return (
    <MeasureAtPole
      name={line?.name ?? msg('common.onALine')}
      count={goalPoint ? goalPoint.name : null}
      detail={null}
      lines={lines}
      waiting={
        lines.length > 0
          ? null
          : line
            ? msg('common.searchForThePoleOrShoot')
            : msg('structure.chooseALineOrTouchOneOn')
      }
      noise={noise}
      board={<LineBoard model={model} />}
      underBoard={
        <PolePad
          distance={live ? Math.abs(live.offset) : null}
          busy={busy}
          onWalk={() => line && void shooting.walk(goalPoint ?? line.side.from, true)}
        />
      }
      height={{
        written: null,
        none:
          live && live.heightDifference !== null
            ? msg('structure.heightFromLine', { heightOff: heightOffWords(live.heightDifference, lengthUnit) })
            : msg('structure.noHeightAgainstTheLine'),
        notes: [],
      }}
      measuring={measuring}
      advice={null}
      lesser={[
        ...(goalPoint && step !== null && step !== 0
          ? [
              {
                label: msg('structure.nextAlong', { step: units.edit(step), unit: units.unit }),
                onPress: () => goOn(step),
              },
            ]
          : []),
      ]}
      action={{
        label: msg('structure.measure2', { usual }),
        isDisabled: !line,
        onPress: () => void keep(),
      }}
      more={<LineBody model={model} />}
      topic={line?.id ?? ''}
    />
  );
}

/** The place that is gone to becomes a mark; the next one lies a step farther along. */
function StakeOnLine({ model: { goalPoint, step, goOn, units } }: { readonly model: LinePlaceModel }) {
  if (!goalPoint) return null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2">
      <StakeOut
        point={goalPoint}
        look="plain"
        label={msg('structure.stakeGoal', {
          name: goalPoint.name,
          elevation:
            goalPoint.z === null || goalPoint.z === undefined ? '' : `, ${units.length(goalPoint.z)} ${units.unit}`,
        })}
      />
      {step !== null && step !== 0 && (
        <Button look="quiet" onClick={() => goOn(step)}>
          {msg('structure.nextAlong', { step: units.edit(step), unit: units.unit })}
        </Button>
      )}
    </div>
  );
}

function SecondLine({ off, azimuth, line }: { off: number; azimuth: number; line: ChosenLine }) {
  const units = useUnits();
  const parts = offLineParts(off, azimuth, line.name, units.lengthUnit, kindOf(line));
  return (
    <strong className="figures" data-testid="off-second">
      {parts.figure === null ? parts.way : `${parts.figure} ${parts.way}`}
    </strong>
  );
}
