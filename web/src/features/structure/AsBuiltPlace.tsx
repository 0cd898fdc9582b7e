import { usedCodes } from '@idle-marker/records';
import { heightOffWords, msg, overSurfaceWords, walkingLines } from '@idle-marker/words';
import { addressOf } from '../../data/server.ts';
import { now } from '../../data/clock.ts';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { currentLink } from '../../link/linkStore.ts';
import { searchWindow } from '../../link/searchWindow.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { Slip, Workspace } from '../../ui/Slip.tsx';
import { LINK } from '../../ui/link.ts';
import { TIME_ZONE } from '../../ui/time.ts';
import { BetweenBuilt } from './BetweenBuilt.tsx';
import { BoltGroupCard } from './BoltGroupCard.tsx';
import { BuiltTable } from './BuiltTable.tsx';
import { BuiltChart } from './LazyBuiltChart.tsx';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { MeasuringNotice } from '../../pole/MeasuringNotice.tsx';
import { MeasureAtPole } from '../../pole/view/MeasureAtPole.tsx';
import { useAsBuiltPlace, NO_CODE, EXAGGERATION, type AsBuiltPlaceModel } from './useAsBuiltPlace.ts';
import { BuiltChoices } from './BuiltChoices.tsx';

/** Does it stand where it was designed? Anything measured, with a code, against the design or by itself. */
export function Place() {
  const model = useAsBuiltPlace();
  const { isCarried, inForce, plan, shooting, busy, free, freeName, take, ready } = model;
  if (!inForce)
    return (
      <EmptyTo
        title={msg('common.stationTheInstrumentFirst')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('structure.whatStandsThereCanBeMeasuredOnce')}
      </EmptyTo>
    );
  if (isCarried) return <BuiltAtPole model={model} />;
  return (
    <>
      <Workspace
        board={<BuiltBoard model={model} />}
        slip={
          <Slip
            topic={`${model.state.asBuilt.length}`}
            head={
              <>
                <MarkWays />
                <h1 className="text-xl">{msg('common.asBuilt')}</h1>
                <p className="text-ink2">{msg('structure.whatStandsThereAgainstTheDesignOr')}</p>
              </>
            }
            foot={
              <>
                {busy ? <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button> : <span />}
                <Button look="primary" hint={msg('common.space')} disabled={!ready} onClick={() => void take()}>
                  {msg('structure.measure', { free: free ? freeName || 'it' : plan!.corner })}
                </Button>
              </>
            }
          >
            <BuiltBody model={model} />
          </Slip>
        }
      />
      <TypedReading title={msg('structure.readingAt', { free: free ? freeName : plan!.corner })} />
    </>
  );
}

/** Everything measured so far, and what is measured next. */
function BuiltBody({ model }: { readonly model: AsBuiltPlaceModel }) {
  const {
    id,
    state,
    who,
    simulated,
    work,
    differences,
    groups,
    surface,
    live,
    stale,
    under,
    plans,
    code,
    setCode,
    filter,
    setFilter,
    measuring,
    codes,
    shown,
    byFact,
  } = model;
  const asked = () => ({ at: now().toISOString(), by: who, timeZone: TIME_ZONE });
  const begun = groups.filter(({ bolts }) => bolts.some(({ difference }) => difference !== null));
  return (
    <>
      <div aria-live="polite">
        <MeasuringNotice measuring={measuring} />
      </div>
      {surface && (
        <div className="mb-3">
          <p
            className={`figures text-[20px] leading-snug font-semibold ${stale ? 'text-ink2' : ''}`}
            data-testid="over-surface"
          >
            {live === null || live.z === null || under === null
              ? msg('structure.noReadingYetOver', { name: surface.name })
              : overSurfaceWords(under.z === null ? null : live.z - under.z, surface.name, state.settings.lengthUnit)}
          </p>
          {stale && live !== null && (
            <p className="text-[14px] font-medium text-brick">{msg('structure.lockLostOrStillTheFigureIs')}</p>
          )}
          {(live === null || stale) && simulated && (
            <Button className="mt-1" onClick={() => currentLink()?.search(searchWindow())}>
              {msg('structure.searchForThePole')}
            </Button>
          )}
        </div>
      )}
      <BuiltChoices model={model} />
      {work && plans.length === 0 && (
        <p className="mt-2 text-[14px] text-ochre">
          {msg('structure.onlyHasHubsBesideTheWorkMeasure', { name: work.body.name })}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label={msg('common.codes')}>
        {codes.map((each) => (
          <Button
            key={each}
            className="px-3 text-[14px]"
            aria-pressed={code === each}
            onClick={() => setCode(code === each ? '' : each)}
          >
            {each}
          </Button>
        ))}
      </div>
      {begun.map((group) => (
        <BoltGroupCard key={`${group.work.id} ${group.name}`} group={group} />
      ))}
      {differences.length > 1 && <BuiltChart differences={differences} />}
      {state.asBuilt.length > 0 && (
        <>
          <div className="mt-4 flex flex-wrap items-end justify-between gap-3">
            <Choice
              label={msg('structure.shown')}
              value={filter}
              options={[
                ['', 'everything'],
                [NO_CODE, msg('structure.withoutACode')],
                ...usedCodes(state).map((each) => [each, each] as const),
              ]}
              onChange={setFilter}
            />
            <span className="flex gap-4">
              <a className={LINK} href={addressOf('asBuiltPdf', { site: id }, asked())} download>
                {msg('structure.asPdf')}
              </a>
              <a className={LINK} href={addressOf('asBuiltCsv', { site: id }, { ...asked(), head: 'yes' })} download>
                {msg('common.asCsv')}
              </a>
              <a className={LINK} href={addressOf('asBuiltCsv', { site: id }, { ...asked(), head: 'no' })} download>
                {msg('handover.csvTableAlone')}
              </a>
            </span>
          </div>
          <BuiltTable facts={shown} byFact={byFact} code={code.trim()} />
          {state.asBuilt.length > 1 && <BetweenBuilt />}
        </>
      )}
    </>
  );
}

function BuiltBoard({ model }: { readonly model: AsBuiltPlaceModel }) {
  const { state, underlay, workId, differences, plans, setKey, scene } = model;
  return (
    <Board
      scene={scene}
      underlay={underlay}
      description={msg('structure.planWithWhatWasMeasuredArrowsFrom', { exaggeration: EXAGGERATION })}
      onPick={(picked) => picked.startsWith('plan ') && setKey(picked.slice(5))}
      fitTo={plans.length > 0 ? plans.map(({ design }) => design) : state.asBuilt.map(({ body }) => body.place)}
      fitKey={workId}
    >
      {differences.length > 0 && (
        <p className="absolute bottom-3 left-4 max-w-[45%] bg-paper px-1 text-[13px] leading-tight text-ink2">
          {msg('structure.arrowsFromTheDesignToWhatWas', { exaggeration: EXAGGERATION })}
        </p>
      )}
    </Board>
  );
}

/** Carried: how far the last one stands off its design, or the surface under the pole. */
function BuiltAtPole({ model }: { readonly model: AsBuiltPlaceModel }) {
  const { state, plan, measuring, free, freeName, take, ready, differences, surface, live, under, byFact } = model;
  const { lengthUnit } = state.settings;
  const last = state.asBuilt.at(-1);
  const difference = last && byFact.get(last.id);
  const name = free ? freeName || 'it' : plan!.corner;
  return (
    <>
      <MeasureAtPole
        name={name}
        count={plan ? msg('common.of2', { index: differences.length, stops: model.plans.length }) : null}
        detail={null}
        lines={
          difference
            ? walkingLines({ up: difference.dN, right: difference.dE }, 'north', lengthUnit).map((line) => ({
                ...line,
                way: msg('structure.lastOff', { name: last.body.name, way: line.way }),
              }))
            : []
        }
        waiting={
          difference
            ? null
            : last
              ? msg('structure.lastKept', { name: last.body.name })
              : msg('structure.whatStandsThereAgainstTheDesignOr')
        }
        board={<BuiltBoard model={model} />}
        height={{
          written: null,
          none:
            surface && live !== null && live.z !== null && under !== null
              ? overSurfaceWords(under.z === null ? null : live.z - under.z, surface.name, lengthUnit)
              : difference
                ? heightOffWords(difference.dZ, lengthUnit)
                : msg('pole.noHeightAtAll'),
          notes: [],
        }}
        measuring={measuring}
        advice={null}
        lesser={[]}
        action={{ label: msg('structure.measure', { free: name }), isDisabled: !ready, onPress: () => void take() }}
        more={<BuiltBody model={model} />}
        topic={`${state.asBuilt.length}`}
      />
      <TypedReading title={msg('structure.readingAt', { free: name })} />
    </>
  );
}
