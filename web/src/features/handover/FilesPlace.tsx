import { useMemo, useState } from 'react';
import { fileWord } from '@idle-marker/paper';
import { rawSightsText } from '@idle-marker/contract';
import {
  columnTitle,
  pointsCsv,
  POINT_COLUMNS,
  siteDxf,
  siteGeoJson,
  siteLandXml,
  type PointColumn,
  type PointGroup,
} from '@idle-marker/formats';
import { exportedAbout, exportedLines, exportedPoints, exportedSetups, rawSightsOf } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { addressOf } from '../../data/server.ts';
import { now as clock } from '../../data/clock.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { saveAs } from '../../ui/saveAs.ts';
import { toggled } from '../../ui/toggled.ts';
import { dayAndTime } from '../../ui/time.ts';
import { HandOverWays } from './HandOverWays.tsx';
import { PointFormFields } from './PointFormFields.tsx';
import { currentForm, rememberForm, type PointForm } from './pointForms.ts';
import { TakeRawSights } from './TakeRawSights.tsx';

const groupChoices = worded((): readonly (readonly [PointGroup, string])[] => [
  ['control', msg('common.control')],
  ['marks', msg('handover.marksThatAreSet')],
  ['planned', msg('handover.marksStillToBeSet')],
  ['stations', msg('common.stations')],
  ['asBuilt', msg('handover.whatWasMeasuredAsItStands')],
]);
/** Files for other programs, and from them: points and lines, sights as they were read, the whole site. */
export function Place() {
  const { id, state, trust, who } = useSite();
  const { settings } = state;
  const [groups, setGroups] = useState<ReadonlySet<PointGroup>>(new Set(['control', 'marks', 'stations', 'asBuilt']));
  const [form, setForm] = useState(() => currentForm(settings.axisOrder));
  const { columns } = form;
  const takeForm = (next: PointForm) => {
    rememberForm(next);
    setForm(next);
  };
  const [setUp, setSetUp] = useState(state.occupations.at(-1)?.id ?? '');
  const points = useMemo(() => exportedPoints(state, trust), [state, trust]);
  const chosen = points.filter((point) => groups.has(point.group));
  const name = fileWord(settings.name);
  const occupation = state.occupations.find((each) => each.id === setUp) ?? null;
  const about = () => exportedAbout(state, trust, { at: clock().toISOString(), by: who });
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="grid min-h-0 flex-1 grid-cols-1 content-start gap-4 overflow-y-auto p-5 max-md:p-3 xl:grid-cols-2">
        <section
          className="self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('handover.pointsAndLines')}
        >
          <h1 className="text-2xl">{msg('handover.filesForOthers')}</h1>
          <p className="text-ink2">{msg('handover.pointsAndLinesWithEverySightIn')}</p>
          <div className="mt-2 grid sm:grid-cols-2" role="group" aria-label={msg('handover.whatGoesIntoTheFile')}>
            {groupChoices().map(([group, words]) => (
              <Tick
                key={group}
                label={
                  <>
                    {words}{' '}
                    <span className="figures text-ink2">{points.filter((point) => point.group === group).length}</span>
                  </>
                }
                checked={groups.has(group)}
                onChange={(on) => setGroups(toggled(groups, group, on))}
              />
            ))}
          </div>
          <div className="mt-4 flex flex-wrap gap-2">
            <Button
              look="primary"
              disabled={chosen.length === 0 || columns.length === 0}
              onClick={() =>
                saveAs(
                  `${name}-points.csv`,
                  'text/csv',
                  pointsCsv(chosen, columns, form.head ? about() : { ...about(), lines: [] }, form),
                )
              }
            >
              {msg('handover.csv')}
            </Button>
            <Button
              disabled={chosen.length === 0}
              onClick={() =>
                saveAs(`${name}.xml`, 'application/xml', siteLandXml(chosen, exportedSetups(state), about()))
              }
            >
              {msg('handover.landxml')}
            </Button>
            <Button
              disabled={chosen.length === 0}
              onClick={() => saveAs(`${name}.dxf`, 'application/dxf', siteDxf(chosen, exportedLines(state), about()))}
            >
              {msg('handover.dxf')}
            </Button>
            <Button
              disabled={chosen.length === 0}
              onClick={() =>
                saveAs(`${name}.geojson`, 'application/geo+json', siteGeoJson(chosen, exportedLines(state), about()))
              }
            >
              {msg('handover.geojson')}
            </Button>
          </div>
          <p className="mt-2 text-[13px] text-ink2">{msg('handover.pointsComeBackUnderControlDrawingsAnd')}</p>
          <h2 className="mt-5 text-[17px]">{msg('handover.columnsOfTheCsvInThisOrder')}</h2>
          <PointFormFields form={form} axes={settings.axisOrder} onChange={takeForm} />
          <ColumnList
            columns={columns}
            unit={settings.lengthUnit}
            onChange={(next) => takeForm({ ...form, columns: next })}
          />
        </section>
        <div className="flex flex-col gap-4">
          <section className="border-[1.5px] border-ink bg-sheet p-5 max-md:p-3" aria-label={msg('handover.rawSights')}>
            <h2 className="text-xl">{msg('handover.rawSights')}</h2>
            <p className="text-ink2">{msg('handover.onePlacingOfTheInstrumentWith')}</p>
            {occupation ? (
              <div className="mt-2 flex flex-wrap items-end gap-2">
                <Choice
                  label={msg('common.setUp')}
                  className="min-w-56 flex-1"
                  value={setUp}
                  options={[...state.occupations]
                    .reverse()
                    .map((each) => [each.id, `${each.body.name}, ${dayAndTime(each.at)}`] as const)}
                  onChange={setSetUp}
                />
                <Button
                  onClick={() =>
                    saveAs(
                      `${name}-${fileWord(occupation.body.name)}.sights.jsonl`,
                      'application/x-ndjson',
                      rawSightsText(rawSightsOf(state, occupation)),
                    )
                  }
                >
                  {msg('handover.save')}
                </Button>
              </div>
            ) : (
              <p className="mt-2">{msg('handover.theInstrumentHasNotBeenSetUp')}</p>
            )}
            <TakeRawSights />
          </section>
          <section
            className="border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
            aria-label={msg('handover.theWholeSite')}
          >
            <h2 className="text-xl">{msg('handover.theWholeSite')}</h2>
            <p className="text-ink2">{msg('handover.oneFileWithEveryEntrySheetPhoto')}</p>
            <a className={`${LINK} mt-2 inline-flex`} href={addressOf('writeArchive', { site: id })} download>
              {msg('handover.saveTheArchive')}
            </a>
          </section>
        </div>
      </div>
    </div>
  );
}

interface ColumnListProps {
  readonly columns: readonly PointColumn[];
  readonly unit: Parameters<typeof columnTitle>[1];
  onChange(columns: readonly PointColumn[]): void;
}

/** Chosen columns in their order, to be moved and left out; the others to be added. */
function ColumnList({ columns, unit, onChange }: ColumnListProps) {
  const move = (at: number, by: -1 | 1) => {
    const next = [...columns];
    [next[at], next[at + by]] = [next[at + by]!, next[at]!];
    onChange(next);
  };
  const rest = POINT_COLUMNS.filter((column) => !columns.includes(column));
  return (
    <>
      <ol className="mt-1">
        {columns.map((column, i) => (
          <li key={column} className="flex items-center gap-1 border-b border-rule">
            <span className="figures w-7 text-ink2">{i + 1}</span>
            <span className="flex-1">{columnTitle(column, unit)}</span>
            <Button
              look="quiet"
              disabled={i === 0}
              aria-label={msg('handover.earlier2', { columnTitle: columnTitle(column, unit) })}
              onClick={() => move(i, -1)}
            >
              ↑
            </Button>
            <Button
              look="quiet"
              disabled={i === columns.length - 1}
              aria-label={msg('handover.later2', { columnTitle: columnTitle(column, unit) })}
              onClick={() => move(i, 1)}
            >
              ↓
            </Button>
            <Button
              look="quiet"
              aria-label={msg('handover.leaveOut', { columnTitle: columnTitle(column, unit) })}
              onClick={() => onChange(columns.filter((each) => each !== column))}
            >
              ×
            </Button>
          </li>
        ))}
      </ol>
      {rest.length > 0 && (
        <p className="mt-2 flex flex-wrap gap-2">
          {rest.map((column) => (
            <Button
              key={column}
              look="quiet"
              aria-label={msg('handover.add', { columnTitle: columnTitle(column, unit) })}
              onClick={() => onChange([...columns, column])}
            >
              + {columnTitle(column, unit)}
            </Button>
          ))}
        </p>
      )}
    </>
  );
}
