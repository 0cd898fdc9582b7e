/**
 * Tells the day of a small site for the tests: control round a building, stations, proofs and marks, with perfect
 * readings.
 */
import type { AnyFact, Fact, FactBody } from '@idle-marker/contract';
import { checkJson } from '@idle-marker/contract';
import {
  asBuiltBody,
  defaultUse,
  hubPlans,
  judgeProof,
  judgeResight,
  isProvenControl,
  markBody,
  meanPlace,
  measuredMark,
  ownControlBody,
  readingOf,
  sightBody,
  siteState,
  solutionBody,
  stakeAt,
  stationDraft,
  trustOf,
  type AcceptedSolution,
  type SiteState,
  type DraftOptions,
  type UseFlags,
} from '@idle-marker/records';

interface Place {
  readonly e: number;
  readonly n: number;
  readonly z: number;
}

export const SITE: FactBody<'site'> = {
  name: 'Quay extension',
  lengthUnit: 'metre',
  angleUnit: 'dms',
  axisOrder: 'EN',
  siteZero: 6.25,
  coordinateSystem: 'site grid',
  heightDatum: 'benchmark at the gate',
  combinedScaleFactor: 1,
  proofIntervalMinutes: 60,
  classes: [
    { id: 'grid', name: 'Building grid', planMm: 6, heightMm: 5, leastMarks: 3 },
    { id: 'earthworks', name: 'Earthworks', planMm: 50, heightMm: 30, leastMarks: 2 },
  ],
  convention: 'plainWords',
  practiceGround: null,
};

export const PLACES = {
  K1: { e: 3950, n: 7960, z: 5.1 },
  K2: { e: 4060, n: 7950, z: 5.3 },
  K3: { e: 4070, n: 8060, z: 5.7 },
  K4: { e: 3940, n: 8050, z: 5.2 },
  P1: { e: 4010, n: 7930, z: 5.0 },
  P2: { e: 3985, n: 8075, z: 5.5 },
  /** A second target on the post of K1. */
  Q1: { e: 3950.2, n: 7960.1, z: 6.6 },
} as const;
export type ControlName = keyof typeof PLACES;

export const HALL: FactBody<'package'>['items'][number] = {
  name: 'Hall',
  meaning: 'outsideFace',
  designZ: 6.25,
  rule: 'outline',
  source: 'typed',
  corners: [
    { name: 'A', e: 3990, n: 7990 },
    { name: 'B', e: 4010, n: 7990 },
    { name: 'C', e: 4010, n: 8010 },
    { name: 'D', e: 3990, n: 8010 },
  ],
};

const BEGIN = Date.UTC(2031, 4, 6, 7, 0);
const IH = 1.6;
const HT = 1.5;
const RADIUS = 6_371_000;
let made = 0;
/** Ids that are unique in the run. */
export const newId = (): string => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;

/** Lettered lines that run north, numbered ones that run east, from the hall's south-west corner. */
export const GRID: FactBody<'grid'> = {
  grid: newId(),
  name: 'Hall',
  origin: { e: 3990, n: 7990 },
  letters: { azimuthDeg: 0, labels: ['A', 'B'], spacings: [10] },
  numbers: { azimuthDeg: 90, labels: ['1', '2', '3'], spacings: [6, 6] },
  spacingMeasured: 'perpendicular',
  source: 'typed',
  retired: false,
  supersedes: null,
};

export class Story {
  readonly facts: AnyFact[] = [];
  readonly who: string;
  readonly #marks = new Map<string, string>();
  readonly #device: string;
  #minute = 0;
  #seq = 0;
  #stand: Place = { e: 4030, n: 8000, z: 5.6 };

  constructor(site: Partial<FactBody<'site'>> = {}) {
    this.who = newId();
    this.#device = `tablet ${this.who}`;
    this.say('site', { ...SITE, ...site });
    this.say('member', { name: 'Mara Lindqvist' }, 0, this.who);
  }

  get state(): SiteState {
    return siteState(this.facts);
  }

  trust(minutesLater = 0) {
    return trustOf(this.state, this.instant(minutesLater));
  }

  /** The instant of the last fact, or some minutes after it. */
  instant(minutesLater = 0): string {
    return new Date(BEGIN + (this.#minute + minutesLater) * 60_000).toISOString();
  }

  wait(minutes: number): this {
    this.#minute += minutes;
    return this;
  }

  say<T extends AnyFact['type']>(type: T, body: FactBody<T>, minutes = 1, id = newId()): Fact<T> {
    this.#minute += minutes;
    const fact: Fact<T> = { id, type, at: this.instant(), device: this.#device, seq: this.#seq++, by: this.who, body };
    this.facts.push(fact as unknown as AnyFact);
    return fact;
  }

  control(
    names: readonly ControlName[] = ['K1', 'K2', 'K3', 'K4', 'P1', 'P2'],
    change: Partial<FactBody<'control'>> = {},
  ): this {
    for (const name of names) {
      const mark = this.#marks.get(name) ?? newId();
      this.#marks.set(name, mark);
      const place = PLACES[name];
      const forProof = name.startsWith('P');
      this.say('control', {
        mark,
        name,
        ...place,
        sdHMm: 1,
        sdZMm: 1,
        kind: 'pin',
        usePlan: true,
        useHeight: true,
        forProof,
        condition: 'secure',
        note: '',
        source: 'list.csv, row 2',
        supersedes: this.state.control.find((each) => each.id === mark)?.revision.id ?? null,
        ...change,
      });
    }
    return this;
  }

  markId(name: ControlName): string {
    return this.#marks.get(name)!;
  }

  work(change: Partial<FactBody<'package'>> = {}, prefix = 'H'): Fact<'package'> {
    const items = change.items ?? [HALL];
    const offset = change.offset ?? 2;
    const plans = hubPlans(items, offset, prefix);
    if (!plans.ok) throw new Error(plans.error.code);
    return this.say('package', {
      name: 'Hall hubs',
      crew: 'Formwork',
      class: 'grid',
      heightReference: 'finishedFloor',
      offset,
      items,
      plans: plans.value,
      supersedes: null,
      ...change,
    });
  }

  occupy(name: string, change: Partial<FactBody<'occupation'>> = {}): Fact<'occupation'> {
    return this.say('occupation', {
      name,
      instrument: { name: 'instrument 7', angleSdSec: 1, distSdMm: 1, distSdPpm: 1.5 },
      instrumentHeight: IH,
      instrumentHeightSdMm: 1,
      temperatureC: 16,
      pressureHPa: 1013,
      ppm: 4,
      ground: 'gravel',
      windy: false,
      link: 'simulator',
      ...change,
    });
  }

  /** What a perfect instrument reads to a pole at `place`. */
  #read(place: Place): FactBody<'sight'>['read'] {
    const [de, dn] = [place.e - this.#stand.e, place.n - this.#stand.n];
    const level = Math.hypot(de, dn);
    const rise = place.z + HT - this.#stand.z - IH - (0.87 * level * level) / (2 * RADIUS);
    const degrees = (radians: number) => ((radians * 180) / Math.PI + 360) % 360;
    return {
      circle: degrees(Math.atan2(de, dn)),
      zenith: degrees(Math.atan2(level, rise)),
      slope: Math.hypot(level, rise),
      angleUnit: 'degree',
      lengthUnit: 'metre',
      angleDecimals: 5,
      lengthDecimals: 4,
      keyed: null,
    };
  }

  sight(
    occupation: Fact<'occupation'>,
    name: ControlName,
    purpose: 'station' | 'proof' = 'station',
    off: Partial<Place> = {},
  ): Fact<'sight'> {
    const place = {
      e: PLACES[name].e + (off.e ?? 0),
      n: PLACES[name].n + (off.n ?? 0),
      z: PLACES[name].z + (off.z ?? 0),
    };
    const pole = { targetHeight: HT, legs: true };
    return this.say(
      'sight',
      sightBody(occupation, purpose, { kind: 'control', mark: this.markId(name) }, this.#read(place), pole),
    );
  }

  /** Sights the marks and decides on the station. */
  station(
    name: string,
    marks: readonly ControlName[] = ['K1', 'K2', 'K3', 'K4'],
    verdict: FactBody<'decision'>['verdict'] = 'accepted',
    use: Partial<UseFlags> = {},
    reason = '',
  ): AcceptedSolution {
    const occupation = this.occupy(name);
    for (const mark of marks) this.sight(occupation, mark);
    return this.decide(occupation, verdict, use, reason);
  }

  decide(
    occupation: Fact<'occupation'>,
    verdict: FactBody<'decision'>['verdict'] = 'accepted',
    use: Partial<UseFlags> = {},
    reason = '',
    options: DraftOptions = {},
    accepted: 'grid' | 'earthworks' = 'grid',
  ): AcceptedSolution {
    const state = this.state;
    const usageOf = (sight: Fact<'sight'>): UseFlags => ({ ...defaultUse(state, sight), ...use });
    const flags = Object.fromEntries([...state.sights.keys()].map((id) => [id, usageOf(state.sights.get(id)!)]));
    const draft = stationDraft(state, occupation, flags, options);
    if (!draft.outcome?.ok) throw new Error('no station');
    const before = state.accepted.filter((each) => each.occupation.id === occupation.id).at(-1)?.fact.id ?? null;
    const fact = this.say(
      'solution',
      solutionBody(state, occupation, draft, draft.outcome.value.result, accepted, usageOf, before),
    );
    const decision = this.say('decision', { solution: fact.id, verdict, reason }, 0);
    return { fact, decision, occupation, withdrawn: false };
  }

  prove(solution: AcceptedSolution, name: ControlName, off: Partial<Place> = {}): Fact<'proof'> {
    const sight = this.sight(solution.occupation, name, 'proof', off);
    const state = this.state;
    const mark = state.control.find((each) => each.id === this.markId(name))!;
    const judged = judgeProof(state, solution, mark, sight, state.classes[0]!);
    if (!judged.ok) throw new Error(judged.error.code);
    const { plan, height, check } = judged.value;
    return this.say(
      'proof',
      {
        solution: solution.fact.id,
        sight: sight.id,
        control: mark.id,
        revision: mark.revision.id,
        class: 'grid',
        plan,
        height,
        result: checkJson(check),
        supersedes: null,
      },
      0,
    );
  }

  /** Sights a set mark again from a solution, `off` from where it was measured. */
  resight(solution: AcceptedSolution, mark: Fact<'mark'>, off: Partial<Place> = {}): Fact<'resight'> {
    const { e, n } = mark.body.place;
    const place = { e: e + (off.e ?? 0), n: n + (off.n ?? 0), z: (mark.body.hubZ ?? 5.9) + (off.z ?? 0) };
    const pole = { targetHeight: HT, legs: true };
    const sight = this.say(
      'sight',
      sightBody(solution.occupation, 'resight', { kind: 'mark', mark: mark.id }, this.#read(place), pole),
    );
    const judged = judgeResight(this.state, solution, mark, sight);
    if (!judged.ok) throw new Error(judged.error.code);
    const { plan, height, check } = judged.value;
    const body = {
      solution: solution.fact.id,
      sight: sight.id,
      mark: mark.id,
      class: mark.body.class,
      plan,
      height,
      result: checkJson(check),
      supersedes: null,
    };
    return this.say('resight', body, 0);
  }

  /**
   * A sight to anything, of any purpose, with the pole at `place`; `slip` is what the target height was entered too
   * high by.
   */
  shoot(
    occupation: Fact<'occupation'>,
    purpose: FactBody<'sight'>['purpose'],
    target: FactBody<'sight'>['target'],
    place: Place,
    { slip = 0, tracking = false }: { readonly slip?: number; readonly tracking?: boolean } = {},
  ): Fact<'sight'> {
    return this.say(
      'sight',
      sightBody(occupation, purpose, target, this.#read(place), { targetHeight: HT + slip, legs: true }, tracking),
    );
  }

  get standsAt(): Place {
    return this.#stand;
  }

  /** Moves the instrument: later readings are taken from elsewhere. */
  stand(place: Place): this {
    this.#stand = place;
    return this;
  }

  /** Sets a mark of the package, `off` from where it should be, and confirms it when asked to. */
  set(
    solution: AcceptedSolution,
    work: Fact<'package'>,
    which: number | FactBody<'package'>['plans'][number],
    {
      as = 'confirmed',
      off = {},
      supersedes = null,
    }: { as?: 'rough' | 'set' | 'confirmed'; off?: Partial<Place>; supersedes?: string | null } = {},
  ): Fact<'mark'> {
    const plan = typeof which === 'number' ? work.body.plans[which]! : which;
    const place = { e: plan.place.e + (off.e ?? 0), n: plan.place.n + (off.n ?? 0), z: 5.9 + (off.z ?? 0) };
    const target = { kind: 'plan', package: work.id, key: plan.key } as const;
    const purpose = as === 'confirmed' ? 'driven' : 'mark';
    const sight = this.say(
      'sight',
      sightBody(solution.occupation, purpose, target, this.#read(place), { targetHeight: HT, legs: true }),
    );
    const stake = stakeAt(this.state, solution, plan, readingOf(sight.body));
    if (!stake.ok) throw new Error(stake.error.code);
    const hubZ = as === 'confirmed' ? stake.value.measured.z : null;
    const setting = {
      solution: solution.fact,
      work,
      plan,
      sight,
      stake: stake.value,
      hubZ,
      groundZ: stake.value.measured.z,
      shots: 2,
    };
    return this.say('mark', markBody(this.state, { ...setting, state: as, supersedes }), 0);
  }

  /** Measures something that stands at `place`, `shots` times; each further shot lies 2 mm farther east. */
  measure(
    solution: AcceptedSolution,
    place: Place,
    about: Partial<FactBody<'asBuilt'>> & { readonly name: string },
    shots = 1,
  ): Fact<'asBuilt'> {
    const sights = Array.from({ length: shots }, (_, i) =>
      this.shoot(
        solution.occupation,
        'asBuilt',
        { kind: 'spot', name: about.name },
        { ...place, e: place.e + i * 0.002 },
      ),
    );
    const mean = meanPlace(this.state, solution, sights)!;
    return this.say(
      'asBuilt',
      asBuiltBody(solution.fact, sights, mean, { code: '', against: null, note: '', supersedes: null, ...about }),
    );
  }
}

const OWN = {
  N1: { e: 4090, n: 7960, z: 5.4 },
  N2: { e: 3975, n: 8035, z: 5.2 },
  N3: { e: 3990, n: 7940, z: 5.1 },
} as const;

/** Three marks of one's own from S1, and a fresh station S2 from these alone. */
export function ownStation() {
  const story = new Story().control();
  const first = story.station('S1');
  const ids = Object.entries(OWN).map(([name, place]) => {
    const mark = newId();
    const sights = [0, 1, 2].map(() => story.shoot(first.occupation, 'control', { kind: 'control', mark }, place));
    story.say(
      'control',
      ownControlBody(first, measuredMark(story.state, first, sights)!, {
        mark,
        name,
        kind: 'nail',
        note: '',
        spot: '',
      }),
    );
    return mark;
  });
  story.say('close', { occupation: first.occupation.id, note: '' });
  story.stand({ e: 4020, n: 7990, z: 5.5 });
  const occupation = story.occupy('S2');
  ids.forEach((mark, i) => story.shoot(occupation, 'station', { kind: 'control', mark }, Object.values(OWN)[i]!));
  const second = story.decide(occupation, 'provisional', {}, 'on our own marks');
  const own = () =>
    ids.map((id) =>
      isProvenControl(
        story.state,
        story.state.control.find((mark) => mark.id === id)!,
      ),
    );
  const now = () => story.state.accepted.find((each) => each.fact.id === second.fact.id)!;
  return { story, second, own, now };
}
