import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Fact, FactBody } from '@idle-marker/contract';
import { gridOf, markKey, packageRoots } from '@idle-marker/records';
import { AREA_KIND, HEIGHT_REFERENCE, MEANING } from '@idle-marker/words';
import { Board } from '../../plan/LazyBoard.tsx';
import { areaScene } from '../../plan/areaScene.ts';
import { gridScene } from '../../plan/gridScene.ts';
import { joinScenes } from '../../plan/scene.ts';
import { controlScene, marksScene, outlineScene } from '../../plan/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { EditArea } from './EditArea.tsx';
import { EditGrid } from './EditGrid.tsx';
import { EditPackage } from './EditPackage.tsx';
import { OffsetsDialog } from './OffsetsDialog.tsx';

/** What is to be marked, for whom, and how good it has to be. */
export function Place() {
  const { id, state, trust } = useSite();
  const navigate = useNavigate();
  const roots = useMemo(() => packageRoots(state.timeline.filter((fact): fact is Fact<'package'> => fact.type === 'package')), [state]);
  const units = useUnits();
  const [editing, setEditing] = useState<Fact<'package'> | 'new' | null>(null);
  const [area, setArea] = useState<Fact<'area'> | 'new' | null>(null);
  const [clearing, setClearing] = useState<Fact<'package'> | null>(null);
  const [drawing, setDrawing] = useState<Fact<'grid'> | 'new' | null>(null);
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const scene = useMemo(
    () =>
      joinScenes(
        ...state.grids.map((each) => {
          const grid = gridOf(each.body);
          return grid.ok ? gridScene(grid.value) : {};
        }),
        areaScene(state.areas.map((each) => each.body)),
        outlineScene(state.packages),
        controlScene(state.control, null),
        marksScene(state, state.packages, standings, null),
      ),
    [state, standings],
  );
  const marked = useMemo(() => state.packages.flatMap((work) => work.body.plans.map((plan) => plan.place)), [state.packages]);
  const goTo = (key: string) => {
    const found = state.packages.flatMap((work) => {
      const plan = work.body.plans.find((each) => markKey(roots.get(work.id)!, each.key) === key);
      return plan ? [{ work, plan }] : [];
    })[0];
    if (found) void navigate(`/sites/${id}/mark?package=${found.work.id}&mark=${encodeURIComponent(found.plan.key)}`);
  };
  return (
    <div className="flex h-full min-h-0 flex-col lg:flex-row">
      <div className="relative min-h-0 flex-[0_0_38%] border-b border-ink lg:flex-1 lg:border-b-0">
        {state.packages.length > 0 || state.control.length > 0 ? (
          <Board
            scene={scene}
            description="Plan with the outlines and the marks asked for. Picking a mark goes to it."
            onPick={goTo}
            fitTo={marked}
            fitKey={`design ${state.packages.length}`}
          />
        ) : (
          <Empty title="Nothing is asked for yet">Outlines of what is to be built, and the hubs that lead to them, are drawn here.</Empty>
        )}
      </div>
      <section
        className="flex min-h-0 flex-1 flex-col border-ink bg-sheet lg:w-[560px] lg:flex-none lg:border-l max-xl:lg:w-[460px]"
        aria-label="Work packages"
      >
        <div className="flex flex-wrap items-center justify-between gap-3 border-b border-ink px-[18px] py-3">
          <div>
            <h1 className="text-xl">Work</h1>
            <p className="text-ink2">What the crews asked for.</p>
          </div>
          <div className="flex flex-wrap gap-2 whitespace-nowrap">
            <Button onClick={() => setArea('new')}>New area…</Button>
            <Button onClick={() => setDrawing('new')}>New grid…</Button>
            <Button look="primary" onClick={() => setEditing('new')}>
              New package…
            </Button>
          </div>
        </div>
        <div className="min-h-0 flex-1 overflow-auto px-[18px] py-3" tabIndex={0} role="region" aria-label="Packages">
          {state.packages.length === 0 && (
            <Empty title="No work package" action={<Button onClick={() => setEditing('new')}>Make one</Button>}>
              A package takes an outline (typed, from a list of points as CSV, or from a DXF drawing) and puts offset hubs at its corners.
            </Empty>
          )}
          {state.grids.map((grid) => (
            <p key={grid.id} className="mb-3 flex items-baseline justify-between gap-3 border-b border-rule pb-2">
              <span>
                <strong>Grid {grid.body.name}</strong>: {grid.body.letters.labels.join(' ')} by {grid.body.numbers.labels.join(' ')}.{' '}
                <span className="text-ink2">Source: {grid.body.source}</span>
              </span>
              <Button look="quiet" onClick={() => setDrawing(grid)}>
                Change…
              </Button>
            </p>
          ))}
          {state.areas.map((each) => (
            <p key={each.id} className="mb-3 flex items-baseline justify-between gap-3 border-b border-rule pb-2">
              <span>
                <strong>{each.body.name}</strong>: {AREA_KIND[each.body.kind].toLowerCase()}, marks keep {units.length(each.body.margin, 2)} {units.unit} away
                {each.body.blocksSight ? '; nothing is seen through it' : ''}.
              </span>
              <Button look="quiet" onClick={() => setArea(each)}>
                Change…
              </Button>
            </p>
          ))}
          {state.packages.map((work) => (
            <article key={work.id} className="mb-6">
              <div className="flex items-baseline justify-between gap-3">
                <h2 className="text-[17px]">{work.body.name}</h2>
                <span className="flex gap-3">
                  <Button look="quiet" onClick={() => setClearing(work)}>
                    Keep clear…
                  </Button>
                  <Button look="quiet" onClick={() => setEditing(work)}>
                    Change…
                  </Button>
                </span>
              </div>
              <p className="text-ink2">
                For {work.body.crew} · {state.settings.classes.find((each) => each.id === work.body.class)?.name} · hubs {units.length(work.body.offset)}{' '}
                {units.unit} off · cut and fill to {HEIGHT_REFERENCE[work.body.heightReference]}
              </p>
              {work.body.items.map((item) => (
                <p key={item.name} className="mt-1">
                  {item.name}: {sizeOf(item)}, {MEANING[item.meaning]}, height {units.length(item.designZ)} {units.unit}.{' '}
                  <span className="text-ink2">Source: {item.source}</span>
                </p>
              ))}
              <table className={`${TABLE} mt-2`}>
                <thead>
                  <tr>
                    <th className={TH_WORD}>Mark</th>
                    <th className={TH}>East</th>
                    <th className={TH}>North</th>
                    <th className={TH_WORD}>Off</th>
                    <th className={TH_WORD}>On the line</th>
                  </tr>
                </thead>
                <tbody>
                  {work.body.plans.map((plan) => (
                    <tr key={plan.key}>
                      <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
                      <td className={TD}>{units.length(plan.place.e)}</td>
                      <td className={TD}>{units.length(plan.place.n)}</td>
                      <td className={TD_WORD}>
                        {plan.offset === 0 ? 'on the point' : (plan.offFace?.join('–') ?? `${plan.onLine ? 'beyond' : 'beside'} ${plan.corner}`)}
                        {plan.alsoOffFace ? ` and ${plan.alsoOffFace.join('–')}` : ''}
                      </td>
                      <td className={TD_WORD}>{plan.onLine?.join('–') ?? '–'}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </article>
          ))}
        </div>
      </section>
      {area !== null && <EditArea area={area === 'new' ? null : area} onClose={() => setArea(null)} />}
      {clearing !== null && <OffsetsDialog work={clearing} onClose={() => setClearing(null)} />}
      {drawing !== null && <EditGrid grid={drawing === 'new' ? null : drawing} onClose={() => setDrawing(null)} />}
      {editing !== null && <EditPackage work={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </div>
  );
}

const sizeOf = ({ rule, corners }: FactBody<'package'>['items'][number]): string =>
  rule === 'outline' ? `${corners.length} corners` : rule === 'points' || rule === 'recoveries' ? `${corners.length} points` : `${corners.length / 2} lines`;
