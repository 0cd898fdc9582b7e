import { useMemo, useState } from 'react';
import { lengthToMetres, sharedLead, type ControlPair } from '@idle-marker/core';
import { controlConcerns, revertedMarks, type ControlMark } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { useKey } from '../../ui/useKey.ts';
import { concernText } from '../../site/concernText.ts';
import { pairScene } from './pairScene.ts';

export type View = 'list' | 'walk' | 'pairs';

/** Rows shown at a time: a long list is searched rather than scrolled. */
export const PAGE = 200;

/** What ControlPlace shows, and what its buttons do. */
export function useControlPlace() {
  const { id, state, now, say } = useSite();
  const units = useUnits();
  const [chosen, setChosen] = useState<string | null>(null);
  const [editing, setEditing] = useState<ControlMark | 'new' | null>(null);
  const [importing, setImporting] = useState(false);
  const [bringing, setBringing] = useState(false);
  const [reading, setReading] = useState<string | null>(null);
  const [moved, setMoved] = useState<ControlMark | null>(null);
  const [view, setView] = useState<View>('list');
  const read = state.control.find((mark) => mark.id === reading) ?? null;
  const [fromDesign, setFromDesign] = useState(false);
  /** Marks that were revised together last, as they were before. */
  const [revised, setRevised] = useState<readonly ControlMark[]>([]);
  const undo = async () => {
    const bodies = revertedMarks(state, revised);
    setRevised([]);
    await say(...bodies.map((body) => ({ type: 'control' as const, body })));
  };
  const [written, setWritten] = useState<number | null>(null);
  const [picking, setPicking] = useState(false);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [several, setSeveral] = useState(false);
  const severalMarks = state.control.filter((mark) => picked.has(mark.id));
  const pick = (ids: readonly string[], on: boolean) =>
    setPicked(new Set(on ? [...picked, ...ids] : [...picked].filter((id) => !ids.includes(id))));
  const [search, setSearch] = useState('');
  const [shown, setShown] = useState(PAGE);
  const wanted = search.trim().toLowerCase();
  const found =
    wanted === ''
      ? state.control
      : state.control.filter(({ revision: { body } }) =>
          `${body.name} ${body.note} ${body.condition} ${body.kind}`.toLowerCase().includes(wanted),
        );
  const [pairs, setPairs] = useState<readonly ControlPair[]>([]);
  const scene = useMemo(
    () =>
      joinScenes(
        outlineScene(state.packages),
        view === 'pairs' ? pairScene(state, pairs, units.lengthUnit) : {},
        controlScene(state.control, chosen),
      ),
    [state, chosen, view, pairs, units.lengthUnit],
  );
  useKey('n', () => setEditing('new'));
  const usable = state.control.filter(
    (mark) => mark.revision.body.condition !== 'lost' && mark.revision.body.usePlan && !mark.revision.body.forProof,
  ).length;
  const [first, second] = units.axes;
  const [short, setShort] = useState(false);
  const [againstZero, setAgainstZero] = useState(false);
  const { siteZero } = state.settings;
  const flagged = useMemo(
    () => new Map(controlConcerns(state, now).map((concern) => [concern.mark.id, concernText(concern)])),
    [state, now],
  );
  const leads = useMemo(() => {
    const lead = (axis: 'e' | 'n') =>
      sharedLead(
        state.control.map((mark) => mark.revision.body[axis]).filter((value) => value !== null),
        units.lengthUnit,
      );
    return { e: lead('e'), n: lead('n') };
  }, [state.control, units.lengthUnit]);
  const coordinate = (value: number | null, axis: 'e' | 'n') =>
    units.length(value === null || !short ? value : value - lengthToMetres(leads[axis], units.lengthUnit));
  const leadWords = (axis: 'e' | 'n') => (short && leads[axis] !== 0 ? ` − ${leads[axis]}` : '');
  const name = { e: msg('common.east'), n: msg('common.north') } as const;
  return {
    id,
    state,
    units,
    chosen,
    setChosen,
    editing,
    setEditing,
    importing,
    setImporting,
    bringing,
    setBringing,
    setReading,
    moved,
    setMoved,
    view,
    setView,
    read,
    fromDesign,
    setFromDesign,
    revised,
    setRevised,
    undo,
    written,
    setWritten,
    picking,
    setPicking,
    picked,
    setPicked,
    several,
    setSeveral,
    severalMarks,
    pick,
    search,
    setSearch,
    shown,
    setShown,
    found,
    setPairs,
    scene,
    usable,
    first,
    second,
    short,
    setShort,
    againstZero,
    setAgainstZero,
    siteZero,
    flagged,
    leads,
    coordinate,
    leadWords,
    name,
  };
}

export type ControlPlaceModel = ReturnType<typeof useControlPlace>;
