import { msg, worded } from '@idle-marker/words';
import { currentLink, useLinkKind } from '../link/linkStore.ts';
import { searchWindow, useSearchWindow, windowWords, type WindowName } from '../link/searchWindow.ts';
import { Button } from '../ui/Button.tsx';
import { useKey } from '../ui/useKey.ts';

/** Steps of the simulated pole in metres: far from the mark, near it, and on the last centimetres. */
const STRIDES = [
  { from: 3, step: 1 },
  { from: 0.15, step: 0.1 },
  { from: 0, step: 0.005 },
] as const;

const strideAt = (distance: number | null): number =>
  STRIDES.find(({ from }) => distance === null || distance > from)?.step ?? STRIDES.at(-1)!.step;

const arrows = worded(
  () =>
    [
      ['←', msg('pole.poleLeft'), 'ArrowLeft', 0, -1],
      ['↑', msg('pole.poleTowardTheInstrument'), 'ArrowUp', 1, 0],
      ['↓', msg('pole.poleAwayFromTheInstrument'), 'ArrowDown', -1, 0],
      ['→', msg('pole.poleRight'), 'ArrowRight', 0, 1],
    ] as const,
);

/** Where the simulated pole is sent, by buttons and by keys. */
export function PolePad({ distance, busy, onWalk }: { distance: number | null; busy: boolean; onWalk(): void }) {
  const simulated = useLinkKind() === 'simulator';
  const [searched, setSearched] = useSearchWindow();
  const search = () => currentLink()?.search(searchWindow());
  const step = (toward: number, right: number) => () => {
    const current = currentLink();
    const size = strideAt(distance);
    if (current?.kind === 'simulator') current.step(toward * size, right * size);
  };
  useKey('w', simulated && !busy ? onWalk : null);
  useKey('l', simulated ? search : null);
  useKey('ArrowUp', simulated ? step(1, 0) : null);
  useKey('ArrowDown', simulated ? step(-1, 0) : null);
  useKey('ArrowLeft', simulated ? step(0, -1) : null);
  useKey('ArrowRight', simulated ? step(0, 1) : null);
  if (!simulated) return null;
  return (
    <div className="flex items-center gap-2 border-t border-rule px-4 py-2 max-md:gap-1 max-md:px-2 max-rail:py-1">
      <Button hint="W" className="max-md:px-2 md:flex-none md:whitespace-nowrap" disabled={busy} onClick={onWalk}>
        {msg('pole.walkNear')}
      </Button>
      <Button hint="L" className="max-md:px-2 md:flex-none" onClick={search}>
        {msg('pole.search')}
      </Button>
      <select
        aria-label={msg('pole.whereItSearches')}
        className="h-11 flex-none rounded-sm max-xl:hidden border border-ink2 bg-sheet px-2"
        value={searched}
        onChange={(event) => setSearched(event.target.value as WindowName)}
      >
        {windowWords().map(([name, label]) => (
          <option key={name} value={name}>
            {label}
          </option>
        ))}
      </select>
      <span className="ml-auto flex gap-1" role="group" aria-label={msg('pole.moveThePoleSeenFacingTheInstrument')}>
        {arrows().map(([sign, label, , toward, right]) => (
          <Button key={sign} aria-label={label} className="px-3.5 max-md:px-0" onClick={step(toward, right)}>
            {sign}
          </Button>
        ))}
      </span>
    </div>
  );
}
