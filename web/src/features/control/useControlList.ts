import { useQuery } from '@tanstack/react-query';
import type { LengthUnit } from '@idle-marker/core';
import type { ListSaid } from '@idle-marker/formats';
import { msg } from '@idle-marker/words';
import { readList } from '../../reading/lists.ts';
import type { ListAnswerOf } from '../../reading/listHost.ts';

export interface PickedFile {
  /** Its own for each choice of a file. */
  readonly key: string;
  readonly name: string;
  readonly bytes: Uint8Array;
}

export interface ReadControl {
  readonly read: ListAnswerOf<'control'> | null;
  readonly isReading: boolean;
  /** The reading came to nothing, without a word on the file. */
  readonly hasFailed: boolean;
  again(): void;
}

/** A control list as it is read away from the page; another file or none ends the reading. */
export function useControlList(
  picked: PickedFile | null,
  unit: LengthUnit,
  xIsNorth: boolean,
  said: ListSaid,
): ReadControl {
  const { data, isFetching, isError, refetch } = useQuery({
    queryKey: ['control list', picked?.key, unit, xIsNorth, said],
    queryFn: async ({ signal }) => {
      const read = await readList('control', { bytes: picked!.bytes, unit, xIsNorth, said }, signal);
      if (read === null) throw new Error(msg('control.theReadingWasEnded'));
      return read;
    },
    enabled: picked !== null,
    // What was read stays until it is read anew: columns are chosen while it is seen.
    placeholderData: (before, query) => (query?.queryKey[1] === picked?.key ? before : undefined),
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
    structuralSharing: false,
  });
  return { read: data ?? null, isReading: isFetching, hasFailed: isError, again: () => void refetch() };
}
