import { useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg, leftOutWords, drawingUnitWords } from '@idle-marker/words';
import type { DrawingSummary } from '@idle-marker/formats';
import { askDrawing } from '../../drawings/drawings.ts';

import { useDrawings, type ShownDrawing } from '../../drawings/useDrawings.ts';
import { Button } from '../../ui/Button.tsx';
import { FileInput } from './FileInput.tsx';
import type { FoundOutline } from '../../drawings/foundOutline.ts';
import { PickDialog } from '../../drawings/PickDialog.tsx';

type Rule = FactBody<'package'>['items'][number]['rule'];

interface CornerSourceProps {
  /** What the corners are for. */
  readonly rule: Rule;
  onCorners(found: FoundOutline, source: string): void;
}

/** Rules that mark points as they stand, whichever way. */
const ON_POINTS: ReadonlySet<Rule> = new Set(['points', 'recoveries', 'bolts', 'rakedPiles']);
const LAYERS_SHOWN = 12;

/**
 * Corners from the drawings of the site: outlines, grids and points that are in them, or what is picked on the plan.
 */
export function CornerSource({ rule, onCorners }: CornerSourceProps) {
  // A drawing of surfaces alone has heights to give, but no corners.
  const drawings = useDrawings().filter(({ state }) => state.status !== 'open' || hasCorners(state.summary));
  const [shown, setShown] = useState<string | null>(null);
  const [picking, setPicking] = useState<Fact<'drawing'> | null>(null);
  /** A list of points that was just taken is meant whole. */
  const taken = async (fact: Fact<'drawing'>, key: string) => {
    setShown(fact.body.drawing);
    if (fact.body.format !== 'csv') return;
    const points = await askDrawing('points', { key, layer: 'points' });
    if (points)
      onCorners({ name: fact.body.name, corners: points, rule, isGrid: false, drawing: fact.id }, fact.body.fileName);
  };
  return (
    <div className="mt-2">
      <FileInput label={msg('design.fromAFileADxfDrawingLandxml')} onTaken={(fact, key) => void taken(fact, key)} />
      {drawings.map((each) => (
        <InDrawing
          key={each.fact.id}
          drawing={each}
          rule={rule}
          open={each.fact.body.drawing === shown || drawings.length === 1}
          onOpen={() => setShown(each.fact.body.drawing)}
          onPick={() => setPicking(each.fact)}
          onCorners={onCorners}
        />
      ))}
      {picking && (
        <PickDialog
          drawing={picking}
          rule={rule}
          onClose={() => setPicking(null)}
          onTake={(found) => {
            onCorners({ ...found, drawing: picking.id }, picking.body.fileName);
            setPicking(null);
          }}
        />
      )}
    </div>
  );
}

const hasCorners = ({ elements, surfaces }: DrawingSummary): boolean =>
  elements > surfaces.reduce((sum, { triangles }) => sum + triangles, 0);

interface InDrawingProps extends CornerSourceProps {
  readonly drawing: ShownDrawing;
  readonly open: boolean;
  onOpen(): void;
  onPick(): void;
}

function InDrawing({ drawing: { fact, state }, rule, open, onOpen, onPick, onCorners }: InDrawingProps) {
  const { name, fileName } = fact.body;
  if (!open)
    return (
      <p className="mt-2">
        <Button className="text-[14px]" onClick={onOpen}>
          {msg('design.inDrawing', { name })}
        </Button>
      </p>
    );
  if (state.status === 'reading')
    return <p className="mt-2 text-[13px] text-ink2">{msg('design.reading', { name })}</p>;
  if (state.status === 'failed')
    return <p className="mt-2 text-[13px] font-medium text-brick">{`${name}: ${state.trouble}`}</p>;
  const { summary } = state;
  const key = fact.id;
  const outline = async (i: number) => {
    const found = await askDrawing('outline', { key, i });
    if (found)
      onCorners(
        {
          name: found.layer,
          corners: found.corners,
          rule: rule === 'along' ? 'along' : 'outline',
          isGrid: false,
          drawing: key,
        },
        fileName,
      );
  };
  const points = async (layer: string) => {
    const corners = await askDrawing('points', { key, layer });
    if (corners)
      onCorners(
        { name: layer, corners, rule: ON_POINTS.has(rule) ? rule : 'points', isGrid: false, drawing: key },
        fileName,
      );
  };
  const pointLayers = summary.pointLayers.slice(0, LAYERS_SHOWN);
  return (
    <div className="mt-2 border-l-4 border-pencil pl-3">
      <p className="text-[13px] text-ink2">
        <strong>{name}</strong>, {fileName}.{' '}
        {summary.unitFromFile
          ? msg('design.theDrawingIsIn', { unitFromFile: summary.unitFromFile })
          : msg('design.itIsTakenToBeIn', { name: drawingUnitWords(summary.unit.name) })}
        {summary.leftOut.length > 0 && msg('design.notTaken', { leftOut: leftOutWords(summary.leftOut) })}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <Button className="text-[14px]" onClick={onPick}>
          {msg('design.pickOnTheDrawing')}
        </Button>
        {summary.outlines.map((each, i) => (
          <Button key={`outline ${i}`} className="text-[14px]" onClick={() => void outline(i)}>
            {msg('design.outlineOnCorners', { layer: each.layer, corners: each.corners })}
          </Button>
        ))}
        {summary.grids.flatMap(({ layer, first, second, corners, lineEnds }) => [
          <Button
            key={`grid ${layer}`}
            className="text-[14px]"
            onClick={() => onCorners({ name: layer, corners, rule: 'outline', isGrid: true, drawing: key }, fileName)}
          >
            {msg('design.cornersOfTheGridOn', { layer, first: first.join(' '), second: second.join(' ') })}
          </Button>,
          <Button
            key={`lines ${layer}`}
            className="text-[14px]"
            onClick={() =>
              onCorners(
                {
                  name: msg('design.lines', { layer }),
                  corners: lineEnds,
                  rule: 'lineEnds',
                  isGrid: true,
                  drawing: key,
                },
                fileName,
              )
            }
          >
            {msg('design.itsLines', { lineEnds: lineEnds.length / 2 })}
          </Button>,
        ])}
        {pointLayers.map((each) => (
          <Button key={`points ${each.name}`} className="text-[14px]" onClick={() => void points(each.name)}>
            {msg('design.pointsOn', { name: each.name, elements: each.elements })}
          </Button>
        ))}
      </div>
      {summary.outlines.length + summary.grids.length + pointLayers.length === 0 && (
        <p className="mt-1 text-[13px] text-ink2">{msg('design.noClosedOutlineNoGridAndNo')}</p>
      )}
    </div>
  );
}
