/** Every type of fact, once. */
import { FACT_TYPES, type AnyFact, type Fact, type FactBody, type FactType } from '@idle-marker/contract';
import type { FactKind, Kinds } from './kind.ts';
import { PROOF_FACTS } from './proofFacts.ts';
import { SITE_FACTS } from './siteFacts.ts';
import { STATION_FACTS } from './stationFacts.ts';
import { WORK_FACTS } from './workFacts.ts';

const FACTS: Kinds<FactType> = { ...SITE_FACTS, ...PROOF_FACTS, ...STATION_FACTS, ...WORK_FACTS };

/** The type is the fact's own, so that its kind takes it. */
export const kindOf = (fact: AnyFact): FactKind<FactType> => FACTS[fact.type] as unknown as FactKind<FactType>;

type Told<V> = V | ((fact: Fact) => V);

/** What a kind says of one of its facts. */
export const toldOf = <V extends string | boolean>(told: Told<V>, fact: AnyFact): V =>
  typeof told === 'function' ? told(fact) : told;

/** Types whose later facts take the place of earlier ones of the same thing. */
export const REVISED_THINGS: ReadonlySet<FactType> = new Set(
  FACT_TYPES.filter((type) => FACTS[type].thing !== undefined),
);

/** The thing that a fact of such a type is a revision of. */
export const thingOf = <T extends FactType>(type: T, body: FactBody<T>): string | null =>
  (FACTS[type] as { thing?: (body: FactBody<T>) => string }).thing?.(body) ?? null;
