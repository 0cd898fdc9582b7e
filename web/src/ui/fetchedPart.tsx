/**
 * Parts of the application that are fetched apart, so that the first screen stands soon. Once it does all of them are
 * fetched: in the field the server may be away when one is gone to for the first time. What could not be fetched is
 * tried again by itself.
 */
import { useEffect, useSyncExternalStore, type ComponentType, type ReactNode } from 'react';
import { msg } from '@idle-marker/words';
import { Button } from './Button.tsx';

const AGAIN_MS = 3000;

interface Part {
  /** What it is called; asked for when it is shown. */
  readonly name: () => string;
  readonly isFetched: () => boolean;
  readonly isMissing: () => boolean;
  fetch(): Promise<void>;
}

const parts: Part[] = [];
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
let missing: readonly string[] = [];
function tell(): void {
  missing = parts.filter((part) => part.isMissing()).map(({ name }) => name());
  for (const listener of listeners) listener();
}

/** Names of the parts that were wanted and could not be fetched yet. */
export const useMissingParts = (): readonly string[] => useSyncExternalStore(subscribe, () => missing);

/** The module that `load` imports, or the same from another address. */
export const moduleFrom = <M,>(load: () => Promise<M>, elsewhere: string | undefined): Promise<M> =>
  elsewhere === undefined ? load() : (import(/* @vite-ignore */ elsewhere) as Promise<M>);

/**
 * A component that stands in for the one that `load` brings; `waiting` stands there until it has come. Where it is
 * given an address, it takes the module from there.
 */
export function fetchedPart<P extends object>(
  name: () => string,
  load: (elsewhere?: string) => Promise<ComponentType<P>>,
  waiting: () => ReactNode,
): ComponentType<P> {
  let Fetched: ComponentType<P> | null = null;
  let isMissing = false;
  let pending: Promise<void> | null = null;
  let address: string | null = null;
  let tries = 0;
  /** A browser that failed to fetch a module does not fetch it again under the same address. */
  const remember = (error: unknown): never => {
    address = /https?:\/\/\S+\.js/.exec(error instanceof Error ? error.message : '')?.[0] ?? null;
    throw error;
  };
  const again = (): Promise<ComponentType<P>> =>
    address === null ? load().catch(remember) : load(`${address}?again=${++tries}`);
  const part: Part = {
    name,
    isFetched: () => Fetched !== null,
    isMissing: () => isMissing,
    fetch: () =>
      (pending ??= (isMissing ? again() : load().catch(remember))
        .then(
          (component) => {
            Fetched = component;
            isMissing = false;
          },
          () => {
            isMissing = true;
          },
        )
        .finally(() => {
          pending = null;
          tell();
        })),
  };
  parts.push(part);
  return function FetchedPart(props: P) {
    const Component = useSyncExternalStore(subscribe, () => Fetched);
    const isAway = useSyncExternalStore(subscribe, part.isMissing);
    useEffect(() => {
      if (Component) return;
      void part.fetch();
      const again = setInterval(() => void part.fetch(), AGAIN_MS);
      return () => clearInterval(again);
    }, [Component]);
    if (Component) return <Component {...props} />;
    return isAway ? <NotFetched name={name()} /> : waiting();
  };
}

function NotFetched({ name }: { readonly name: string }) {
  return (
    <div className="m-auto flex max-w-md flex-col items-start gap-3 p-6" role="alert">
      <h2 className="text-xl">{msg('ui.isNotHereYet', { name })}</h2>
      <p className="text-ink2">{msg('ui.thisPartOfTheApplicationWasNever')}</p>
      <Button onClick={() => location.reload()}>{msg('ui.loadThePageAgain')}</Button>
    </div>
  );
}

/** Fetches every part, also those that come with others; what fails is tried again until all are here. */
export async function fetchAllParts(): Promise<void> {
  for (let next = open(); next.length > 0; next = open()) {
    for (const part of next) await part.fetch();
    if (open().some((part) => part.isMissing())) await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
  }
}
const open = (): Part[] => parts.filter((part) => !part.isFetched());
