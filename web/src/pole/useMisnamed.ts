import { useCallback, useState } from 'react';
import type { LikelyPoint, Station } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { likelierMark } from '@idle-marker/records';
import { misnamedReason } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';

export interface Misnamed {
  /** The sight whose name is doubted, and the mark that it fits better; null when nothing is doubted. */
  readonly doubt: { readonly sight: Fact<'sight'>; readonly named: string; readonly likely: LikelyPoint } | null;
  /** Compares a sight with all listed marks as seen from `station`; true when its name is doubted. */
  look(occupation: Fact<'occupation'>, station: Station, sight: Fact<'sight'>): boolean;
  /** Takes the sight back and enters it for the likelier mark; gives the new one. */
  rename(): Promise<Fact<'sight'> | null>;
  keep(): void;
}

/** A reading that was taken under the wrong name: nothing is changed, the book shows both. */
export function useMisnamed(): Misnamed {
  const { state, say } = useSite();
  const [doubt, setDoubt] = useState<Misnamed['doubt']>(null);
  const nameOf = (mark: string) => state.control.find((each) => each.id === mark)?.revision.body.name ?? '?';
  const look = useCallback<Misnamed['look']>(
    (occupation, station, sight) => {
      const likely = likelierMark(state, occupation, station, sight);
      setDoubt(
        likely && sight.body.target.kind === 'control' ? { sight, named: sight.body.target.mark, likely } : null,
      );
      return likely !== null;
    },
    [state],
  );
  const rename = async () => {
    if (!doubt) return null;
    const { sight, named, likely } = doubt;
    const reason = misnamedReason(nameOf(named), nameOf(likely.name));
    const [, renamed] = await say(
      { type: 'withdrawal', body: { record: sight.id, occupation: null, reason } },
      { type: 'sight', body: { ...sight.body, target: { kind: 'control', mark: likely.name } } },
    );
    setDoubt(null);
    return renamed as Fact<'sight'>;
  };
  return { doubt, look, rename, keep: () => setDoubt(null) };
}
