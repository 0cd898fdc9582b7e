import { useCallback, useMemo, useState } from 'react';
import { fileWord, sketchDxf, sceneSvg, SKETCH_OPTIONS, sketchSteps, type SketchOptions } from '@idle-marker/paper';
import { cutSheet, memberName } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { paperNames, pngOf, svgStyle } from '../../print/files.ts';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { measureOnScreen, SceneView } from '../../print/SceneView.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSteps } from '../../print/useSteps.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { saveAs } from '../../ui/saveAs.ts';
import { TIME_ZONE } from '../../ui/time.ts';
import { useSame } from '../../ui/useSame.ts';
import { HandOverWays } from './HandOverWays.tsx';
import { useWork } from './useWork.ts';

const shownChoices = worded(
  () =>
    [
      ['offsets', msg('handover.offsets')],
      ['heights', msg('handover.heightsCutAndFill')],
      ['dimensions', msg('handover.distancesBetweenMarks')],
      ['diagonals', msg('handover.diagonals')],
    ] as const,
);

/** The sketch of a package: what a client or a crew gets beside the sheet. */
export function Place() {
  const { id, state, trust, who, now: instant } = useSite();
  const [work, setWork] = useWork();
  const [options, setOptions] = useState<SketchOptions>({
    ...SKETCH_OPTIONS,
    paper: state.settings.lengthUnit === 'metre' ? 'A4' : 'letter',
  });
  const [trouble, setTrouble] = useState<string | null>(null);
  const [shown, setShown] = useState(0);
  const papers = usePaper();
  const latest = useMemo(
    () =>
      work &&
      cutSheet(
        state,
        trust,
        { package: work, issuedBy: memberName(state, who), issuedAt: instant.toISOString(), timeZone: TIME_ZONE },
        null,
      ),
    [work, state, trust, who, instant],
  );
  // Time goes on, and the sketch with it only when something on it is another.
  const sheet = useSame(latest, JSON.stringify({ ...latest, issuedAt: '' }));
  const begin = useCallback(() => sketchSteps(sheet!, options, measureOnScreen), [sheet, options]);
  const { result: sketch, progress } = useSteps(sheet ? begin : null);
  if (!work || !sheet)
    return (
      <EmptyTo
        title={msg('handover.nothingToDrawYet')}
        place="design"
        label={msg('common.makeAWorkPackage')}
        ways={<HandOverWays />}
      >
        {msg('handover.aSketchIsMadeFromTheMarks')}
      </EmptyTo>
    );
  const pages = sketch?.pages ?? [];
  const at = Math.min(shown, pages.length - 1);
  const scene = pages[at] ?? null;
  const name = `sketch-${fileWord(work.body.name)}`;
  const pageName = pages.length > 1 ? `${name}-${at + 1}` : name;
  const asSvg = async () => {
    if (scene) saveAs(`${pageName}.svg`, 'image/svg+xml', sceneSvg(scene, await svgStyle()));
  };
  const asPng = async () => {
    setTrouble(null);
    if (!scene) return;
    try {
      saveAs(`${pageName}.png`, 'image/png', await pngOf(sceneSvg(scene, await svgStyle()), scene));
    } catch {
      setTrouble(msg('handover.thisBrowserCantMakeAPictureOf'));
    }
  };
  const asDxf = () => {
    const marks = sheet.rows.map((row) => ({ name: row.name, ...row.place, z: row.hubZ }));
    if (sketch) saveAs(`${name}.dxf`, 'application/dxf', sketchDxf(sketch.pages, state.settings.lengthUnit, marks));
  };
  const drawing = progress !== null || !sketch;
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto p-5 max-md:p-3 lg:flex-row">
        <section
          className="flex flex-none flex-col gap-3 border-[1.5px] border-ink bg-sheet p-4 lg:w-[250px]"
          aria-label={msg('handover.howItIsDrawn')}
        >
          <h1 className="text-2xl">{msg('common.sketch')}</h1>
          {state.packages.length > 1 && (
            <Choice
              label={msg('common.workPackage')}
              value={work.id}
              options={state.packages.map((each) => [each.id, each.body.name] as const)}
              onChange={setWork}
            />
          )}
          <Choice
            label={msg('common.paper')}
            value={options.paper}
            options={paperNames()}
            onChange={(paper) => setOptions({ ...options, paper })}
          />
          <Choice
            label={msg('handover.wayUp')}
            value={options.upright ? 'upright' : 'across'}
            options={[
              ['across', 'across'],
              ['upright', 'upright'],
            ]}
            onChange={(way) => setOptions({ ...options, upright: way === 'upright' })}
          />
          <div>
            {shownChoices().map(([what, words]) => (
              <Tick
                key={what}
                label={words}
                checked={options[what]}
                onChange={(on) => setOptions({ ...options, [what]: on })}
              />
            ))}
          </div>
          <Button
            look="primary"
            disabled={sheet.rows.length === 0 || papers.progress !== null}
            onClick={() =>
              void papers.fetchPaper(
                'sketchPaper',
                { site: id },
                {
                  body: { at: now().toISOString(), by: who, timeZone: TIME_ZONE, package: work.id, ...options },
                },
              )
            }
          >
            {msg('common.pdf')}
          </Button>
          <div className="flex gap-2">
            <Button className="flex-1 px-2" disabled={drawing} onClick={() => void asSvg()}>
              {msg('handover.svg')}
            </Button>
            <Button className="flex-1 px-2" disabled={drawing} onClick={() => void asPng()}>
              {msg('handover.png')}
            </Button>
            <Button className="flex-1 px-2" disabled={drawing} onClick={asDxf}>
              {msg('handover.dxf')}
            </Button>
          </div>
          <PaperProgress papers={papers} />
          {trouble && <p className="font-medium text-brick">{trouble}</p>}
          {pages.length > 1 && (
            <div role="group" aria-label={msg('handover.pagesOfTheSketch')}>
              <p className="text-[13px] text-ink2">
                {msg('handover.onePageHasNoRoomForAll', { pages: pages.length - 1 })}
              </p>
              <div className="mt-1 flex items-center gap-1">
                <Button
                  look="quiet"
                  disabled={at === 0}
                  aria-label={msg('handover.pageBefore')}
                  onClick={() => setShown(at - 1)}
                >
                  ‹
                </Button>
                <span className="figures">{msg('handover.of', { at: at + 1, pages: pages.length })}</span>
                <Button
                  look="quiet"
                  disabled={at === pages.length - 1}
                  aria-label={msg('handover.nextPage')}
                  onClick={() => setShown(at + 1)}
                >
                  ›
                </Button>
              </div>
            </div>
          )}
          {sketch && sketch.unlabelled.length > 0 && (
            <p className="text-[13px] text-ochre">
              {msg('handover.noRoomToNameTakeLargerPaper', { unlabelled: sketch.unlabelled.length })}
            </p>
          )}
          {sheet.withheld.length > 0 && (
            <p className="text-[13px] text-brick">
              {msg('handover.notDrawnSinceWithheld', { withheld: sheet.withheld.map((each) => each.name).join(', ') })}
            </p>
          )}
        </section>
        <div className="relative min-h-[300px] min-w-0 flex-1 border-[1.5px] border-ink bg-sheet" aria-busy={drawing}>
          {progress !== null && (
            <progress
              aria-label={msg('handover.drawingTheSketch')}
              className="absolute top-0 right-0 left-0 w-full"
              value={progress}
            />
          )}
          {sheet.rows.length === 0 ? (
            <p className="p-6 text-ink2">{msg('handover.noMarkOfThisPackageIsSet')}</p>
          ) : (
            scene && (
              <SceneView scene={scene} className={`mx-auto h-full max-h-full w-full ${drawing ? 'opacity-50' : ''}`} />
            )
          )}
        </div>
      </div>
    </div>
  );
}
