/** The plan drawing: view, pan, zoom, pinch and pick are OpenLayers'; what is drawn comes from the scene. */
import { useEffect, useRef, useState } from 'react';
import Map from 'ol/Map.js';
import View from 'ol/View.js';
import PointerInteraction from 'ol/interaction/Pointer.js';
import Layer from 'ol/layer/Layer.js';
import Projection from 'ol/proj/Projection.js';
import { defaults as defaultControls } from 'ol/control/defaults.js';
import { defaults as defaultInteractions } from 'ol/interaction/defaults.js';
import type { FrameState } from 'ol/Map.js';
import { apply } from 'ol/transform.js';
import { METRES_PER_UNIT, type Metres, type PlanPoint } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { CARRIED, useMedia } from '../ui/useMedia.ts';
import { useUnits } from '../field/useUnits.ts';
import { paintScene, SYMBOL_RADIUS_PX, type Palette } from './paint.ts';
import { EMPTY_SCENE, sceneExtent, type Scene } from './scene.ts';
import { paintUnderlay, underlayExtent, type Underlay } from './underlay.ts';
import { indexScene, visibleSymbols, type SceneIndex } from './visible.ts';

const SITE_GRID = new Projection({ code: 'site grid', units: 'm' });
const PICK_RADIUS_PX = SYMBOL_RADIUS_PX + 13;

export interface BoardProps {
  readonly scene: Scene;
  /** Said by a screen reader in place of the drawing. */
  readonly description: string;
  readonly onPick?: (id: string) => void;
  /** A touch beside every symbol, with the size of a pixel there in metres. */
  readonly onPlace?: (point: PlanPoint, pixel: Metres) => void;
  /** A symbol that is picked up and moved; `done` when it is let go. */
  readonly onDrag?: (id: string, to: PlanPoint, done: boolean) => void;
  /** View fits the scene again when this changes. */
  readonly fitKey?: string;
  /** What it then fits to; the whole scene otherwise. */
  readonly fitTo?: readonly PlanPoint[];
  /** Drawings that lie under everything. */
  readonly underlay?: readonly Underlay[];
  readonly children?: React.ReactNode;
}

function readPalette(element: HTMLElement): Palette {
  const style = getComputedStyle(element);
  const value = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: value('ink'),
    ink2: value('ink2'),
    pencil: value('pencil'),
    spruce: value('spruce'),
    brick: value('brick'),
    ochre: value('ochre'),
    sheet: value('sheet'),
    paper: value('paper'),
    rule: value('rule'),
  };
}

const DESK_LETTERS_PX = 13;
const CARRIED_LETTERS_PX = 16;
/** What the buttons at the upper right cover. */
const BUTTONS_PX = 156;

/** A layer that paints the scene of the moment in one go. */
class SceneLayer extends Layer {
  #index: SceneIndex;
  #palette: Palette | null = null;
  #underlay: readonly Underlay[] = [];
  /** The site's unit of length, which the grid keeps step with. */
  unit: Metres = 1;
  letters = DESK_LETTERS_PX;
  /** Told how many names found no room. */
  onLeftOut: (names: number) => void = () => undefined;
  readonly canvas = document.createElement('canvas');

  constructor(scene: Scene) {
    super({});
    this.#index = indexScene(scene);
    this.canvas.style.position = 'absolute';
  }

  get scene(): Scene {
    return this.#index.scene;
  }

  set scene(scene: Scene) {
    this.#index = indexScene(scene);
    this.changed();
  }

  get underlay(): readonly Underlay[] {
    return this.#underlay;
  }

  set underlay(underlay: readonly Underlay[]) {
    this.#underlay = underlay;
    this.changed();
  }

  /** The theme changed: its colours are read again. */
  repaint(): void {
    this.#palette = null;
    this.changed();
  }

  override render(frame: FrameState | null): HTMLElement {
    if (!frame) return this.canvas;
    const [width, height] = frame.size as [number, number];
    const ratio = frame.pixelRatio;
    if (this.canvas.width !== width * ratio || this.canvas.height !== height * ratio) {
      this.canvas.width = width * ratio;
      this.canvas.height = height * ratio;
      this.canvas.style.width = `${width}px`;
      this.canvas.style.height = `${height}px`;
    }
    performance.mark('board begins');
    const context = this.canvas.getContext('2d')!;
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    context.clearRect(0, 0, width, height);
    const toPixel = ({ e, n }: PlanPoint) => apply(frame.coordinateToPixelTransform, [e, n]) as [number, number];
    const painter = {
      context,
      palette: (this.#palette ??= readPalette(document.documentElement)),
      toPixel,
      scale: 1 / frame.viewState.resolution,
      rotation: frame.viewState.rotation,
      letters: this.letters,
      frame: { left: 2, top: 2, right: width - 2, bottom: height - 2 },
      covered: [
        { left: width - 62, right: width, top: 0, bottom: BUTTONS_PX },
        { left: 0, right: 210, top: 0, bottom: 36 },
        { left: width - 190, right: width, top: height - 52, bottom: height },
      ],
    };
    paintGrid(painter, frame, width, height, this.unit);
    const { extent, viewState } = frame;
    paintUnderlay(context, painter.palette, this.#underlay, frame.coordinateToPixelTransform, extent, ratio);
    const margin = 40 * viewState.resolution;
    const view = extent
      ? [extent[0]! - margin, extent[1]! - margin, extent[2]! + margin, extent[3]! + margin]
      : [-Infinity, -Infinity, Infinity, Infinity];
    this.onLeftOut(paintScene(painter, this.scene, visibleSymbols(this.#index, view, viewState.resolution)));
    performance.measure('board paint', 'board begins');
    performance.clearMarks('board begins');
    if (performance.getEntriesByName('board paint').length > KEPT_MEASURES) performance.clearMeasures('board paint');
    return this.canvas;
  }
}

/** Round steps of the grid that lies under everything and of the scale bar. */
const STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
/** The smallest round number of units that is at least so many pixels long; `resolution` in metres a pixel. */
const stepFor = (resolution: number, pixels: number, unit: Metres): number =>
  STEPS.find((step) => (step * unit) / resolution >= pixels) ?? 2000;

/** Paint times stay readable for whoever measures, but do not pile up. */
const KEPT_MEASURES = 2000;

function paintGrid(
  { context, palette, toPixel }: Parameters<typeof paintScene>[0],
  frame: FrameState,
  width: number,
  height: number,
  unit: Metres,
): void {
  const step = stepFor(frame.viewState.resolution, 40, unit) * unit;
  const [e, n] = frame.viewState.center as [number, number];
  const reach = (Math.hypot(width, height) / 2) * frame.viewState.resolution;
  context.lineWidth = 1;
  context.strokeStyle = palette.rule;
  context.globalAlpha = 0.3;
  context.beginPath();
  for (let x = Math.ceil((e - reach) / step) * step; x <= e + reach; x += step) {
    context.moveTo(...toPixel({ e: x, n: n - reach }));
    context.lineTo(...toPixel({ e: x, n: n + reach }));
  }
  for (let y = Math.ceil((n - reach) / step) * step; y <= n + reach; y += step) {
    context.moveTo(...toPixel({ e: e - reach, n: y }));
    context.lineTo(...toPixel({ e: e + reach, n: y }));
  }
  context.stroke();
  context.globalAlpha = 1;
}

const NOTHING: readonly Underlay[] = [];

export function Board({
  scene,
  description,
  onPick,
  onPlace,
  onDrag,
  fitKey,
  fitTo,
  underlay = NOTHING,
  children,
}: BoardProps) {
  const holder = useRef<HTMLDivElement>(null);
  const parts = useRef<{ map: Map; layer: SceneLayer } | null>(null);
  const handlers = useRef({ onPick, onPlace, onDrag });
  const [resolution, setResolution] = useState(1);
  const [leftOut, setLeftOut] = useState(0);
  const isCarried = useMedia(CARRIED);
  handlers.current = { onPick, onPlace, onDrag };
  const units = useUnits();
  const unit = METRES_PER_UNIT[units.lengthUnit];
  const about = useRef(fitTo);
  about.current = fitTo;

  useEffect(() => {
    const layer = new SceneLayer(scene);
    layer.unit = unit;
    layer.onLeftOut = setLeftOut;
    const view = new View({
      projection: SITE_GRID,
      center: [0, 0],
      resolution: 1,
      minResolution: 0.0005,
      maxResolution: 500,
      constrainResolution: false,
    });
    const map = new Map({
      target: holder.current!,
      layers: [layer],
      view,
      controls: defaultControls({ attribution: false, rotate: false, zoom: false }),
      interactions: defaultInteractions({ altShiftDragRotate: false, pinchRotate: false }),
    });
    let dragged: string | null = null;
    map.addInteraction(
      new PointerInteraction({
        handleDownEvent: (event) => {
          dragged = handlers.current.onDrag
            ? nearestPickable(layer.scene, (point) => map.getPixelFromCoordinate([point.e, point.n]), event.pixel)
            : null;
          return dragged !== null;
        },
        handleDragEvent: ({ coordinate }) => {
          if (dragged !== null) handlers.current.onDrag?.(dragged, { e: coordinate[0]!, n: coordinate[1]! }, false);
        },
        handleUpEvent: ({ coordinate }) => {
          if (dragged !== null) handlers.current.onDrag?.(dragged, { e: coordinate[0]!, n: coordinate[1]! }, true);
          dragged = null;
          return false;
        },
      }),
    );
    // What is in view, for whoever measures on the drawing from outside of it.
    view.on('propertychange', () => {
      const [e, n] = view.getCenter() ?? [0, 0];
      if (holder.current)
        Object.assign(holder.current.dataset, { centre: `${e} ${n}`, resolution: String(view.getResolution() ?? 1) });
    });
    view.on('change:resolution', () => {
      setResolution(view.getResolution() ?? 1);
    });
    map.on('singleclick', (event) => {
      const picked = nearestPickable(
        layer.scene,
        (point) => map.getPixelFromCoordinate([point.e, point.n]),
        event.pixel,
      );
      // Where nothing happens when a symbol is picked, it is a place like any other.
      if (picked !== null && handlers.current.onPick) handlers.current.onPick(picked);
      else
        handlers.current.onPlace?.(
          { e: event.coordinate[0]!, n: event.coordinate[1]! },
          map.getView().getResolution() ?? 1,
        );
    });
    const repaint = new MutationObserver(() => {
      layer.repaint();
    });
    repaint.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    parts.current = { map, layer };
    void document.fonts.ready.then(() => {
      layer.changed();
    });
    return () => {
      repaint.disconnect();
      map.setTarget(undefined);
      parts.current = null;
    };
    // The map is made once; later scenes are handed to it below.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);

  useEffect(() => {
    if (!parts.current) return;
    parts.current.layer.unit = unit;
    parts.current.layer.letters = isCarried ? CARRIED_LETTERS_PX : DESK_LETTERS_PX;
    parts.current.layer.scene = scene;
  }, [scene, unit, isCarried]);

  useEffect(() => {
    if (parts.current) parts.current.layer.underlay = underlay;
  }, [underlay]);

  const extent = sceneExtent(scene) ?? underlayExtent(underlay);
  const hasExtent = extent !== null;
  useEffect(() => {
    if (!parts.current || !hasExtent) return;
    fit(
      parts.current.map,
      about.current && about.current.length > 0
        ? { ...EMPTY_SCENE, lines: [{ points: about.current, ink: 'ink' }] }
        : parts.current.layer.scene,
      parts.current.layer.underlay,
    );
  }, [fitKey, hasExtent]);

  const zoom = (factor: number) => {
    const view = parts.current?.map.getView();
    view?.animate({ resolution: (view.getResolution() ?? 1) * factor, duration: 150 });
  };
  const bar = stepFor(resolution, 70, unit);
  return (
    <div className="relative h-full w-full overflow-hidden bg-paper">
      <div ref={holder} className="absolute inset-0 touch-none" role="img" aria-label={description} tabIndex={0} />
      {children}
      {leftOut > 0 && (
        <p className="pointer-events-none absolute top-3 left-4 bg-paper px-1 text-[13px] text-ink2">
          {msg('board.namesLeftOut', { names: leftOut })}
        </p>
      )}
      <div className="pointer-events-none absolute right-4 bottom-3 flex items-end gap-4 text-[13px] text-ink2">
        <div className="flex flex-col items-center" aria-hidden="true">
          <span>
            {bar} {units.unit}
          </span>
          <span
            className="mt-0.5 block h-2 border-x border-b border-ink2"
            style={{ width: (bar * unit) / resolution }}
          />
        </div>
        <svg width="16" height="34" viewBox="0 0 16 34" aria-label={msg('board.northIsUp')} role="img">
          <path d="M8 22V3M3 9l5-7 5 7" fill="none" stroke="currentColor" strokeWidth="1.5" />
          <text x="8" y="33" textAnchor="middle" fontSize="14" fontWeight="600" fill="currentColor">
            N
          </text>
        </svg>
      </div>
      <div className="absolute top-3 right-3 flex flex-col gap-1">
        {(
          [
            [msg('board.zoomIn'), '+', () => zoom(0.6)],
            [msg('board.zoomOut'), '−', () => zoom(1 / 0.6)],
            [
              msg('board.showEverything'),
              '⤢',
              () => parts.current && fit(parts.current.map, parts.current.layer.scene, parts.current.layer.underlay),
            ],
          ] as const
        ).map(([label, sign, act]) => (
          <button
            key={label}
            type="button"
            aria-label={label}
            title={label}
            onClick={act}
            className="h-11 w-11 rounded-sm border border-ink bg-sheet text-lg"
          >
            {sign}
          </button>
        ))}
      </div>
    </div>
  );
}

/** What is drawn on the site goes before a drawing that lies under it. */
function fit(map: Map, scene: Scene, underlay: readonly Underlay[]): void {
  const extent = sceneExtent(scene) ?? underlayExtent(underlay);
  if (!extent) return;
  map.updateSize();
  const size = map.getSize();
  if (!size || size[0] === 0) return;
  // Room around it, but not so much that a group of bolts gets lost in it.
  const margin = Math.min(Math.max(Math.max(extent[2] - extent[0], extent[3] - extent[1]) * 0.15, 0.2), 2);
  map.getView().fit([extent[0] - margin, extent[1] - margin, extent[2] + margin, extent[3] + margin], {
    padding: [70, 70, 60, 40],
    size,
  });
}

function nearestPickable(
  scene: Scene,
  toPixel: (point: PlanPoint) => number[] | null,
  pixel: readonly number[],
): string | null {
  let nearest: string | null = null;
  let shortest = PICK_RADIUS_PX;
  for (const symbol of scene.symbols) {
    if (symbol.pickable === false) continue;
    const place = toPixel(symbol.at);
    if (!place) continue;
    const distance = Math.hypot(place[0]! - pixel[0]!, place[1]! - pixel[1]!);
    if (distance < shortest) {
      shortest = distance;
      nearest = symbol.id;
    }
  }
  return nearest;
}
