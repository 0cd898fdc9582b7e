/**
 * A morning's records for the demo site, made by playing the simulator through the computation with a fixed seed:
 * rebuilt from the seed they are the same to the byte, and no residual stands in the source.
 */
import {
  advance,
  atmosphericCorrection,
  driveHub,
  measure,
  RADIANS_PER_DEGREE,
  search,
  setPole,
  setUpInstrument,
  SIMULATED_INSTRUMENT,
  SIMULATED_PRECISION,
  SIMULATED_REFERENCE,
  startSimulator,
  walkTo,
  type GroundTruth,
  type PlanPoint,
  type SimulatorState,
} from '@idle-marker/core';
import { checkJson, type AnyFact, type Fact, type FactBody } from '@idle-marker/contract';
import {
  asBuiltBody,
  askedOf,
  columnsAlong,
  defaultUse,
  judgedBody,
  judgeProof,
  markBody,
  meanPlace,
  readingOf,
  sightBody,
  siteState,
  solutionBody,
  stakeAt,
  stationDraft,
  toleranceOf,
  type AcceptedSolution,
  type SiteState,
  type UseFlags,
} from '@idle-marker/records';

const SEED = 20310506;
const STEP_SECONDS = 0.2;
const LONGEST_WALK_STEPS = 5000;
const ANGLE_DECIMALS = 5;
/** Bolts and faces stand close together. */
const SHOT_MINUTES = 0.1;
const EVENT_MINUTES = 2;

/** What happened in the morning, step by step; figures are never told, they come out of the simulator. */
export type MorningStep =
  | { readonly do: 'who'; readonly name: string }
  | { readonly do: 'setUp'; readonly name: string; readonly e: number; readonly n: number; readonly temperatureC: number; readonly ground: string }
  | { readonly do: 'sight'; readonly marks: readonly string[] }
  /** `leftOut` names parts that are not used, such as "K5 plan". */
  | { readonly do: 'decide'; readonly verdict: 'accepted' | 'provisional' | 'refused'; readonly reason: string; readonly leftOut?: readonly string[] }
  | { readonly do: 'prove'; readonly mark: string }
  /** Marks of a package from one place in its list to another. */
  | { readonly do: 'set'; readonly package: string; readonly from: number; readonly to: number }
  | { readonly do: 'setAt'; readonly package: string; readonly corner: string }
  /** The faces of all columns along a grid line, and the bolts of a package, as they stand. */
  | { readonly do: 'faces'; readonly line: string }
  | { readonly do: 'bolts'; readonly package: string }
  | { readonly do: 'event'; readonly kind: FactBody<'event'>['kind']; readonly note: string }
  | { readonly do: 'withdraw'; readonly reason: string }
  | { readonly do: 'close'; readonly note: string };

export interface MorningOptions {
  readonly steps: readonly MorningStep[];
  readonly office: readonly AnyFact[];
  readonly truth: GroundTruth;
  /** Ids that follow from names, so that the same morning has the same ids. */
  id(name: string): string;
  /** Instant of the first record. */
  readonly begin: string;
}

/** Plays the morning and gives its facts in order. */
export function playMorning(options: MorningOptions): AnyFact[] {
  const player = new Player(options);
  for (const step of options.steps) player.play(step);
  return player.facts;
}

type Plan = FactBody<'package'>['plans'][number];

const ppmOf = (temperatureC: number): number => Math.round(atmosphericCorrection({ temperatureC, pressureHPa: 1013 }, SIMULATED_REFERENCE) * 1e8) / 100;

class Player {
  readonly facts: AnyFact[] = [];
  readonly #options: MorningOptions;
  #simulator: SimulatorState;
  #instant: number;
  #seq = 0;
  #who: string;
  #occupation: Fact<'occupation'> | null = null;
  #solution: AcceptedSolution | null = null;

  constructor(options: MorningOptions) {
    this.#options = options;
    this.#instant = Date.parse(options.begin);
    this.#simulator = startSimulator(SEED, options.truth.ground, options.truth);
    this.#who = '';
  }

  get #state(): SiteState {
    return siteState([...this.#options.office, ...this.facts]);
  }

  #say<T extends AnyFact['type']>(type: T, body: FactBody<T>, minutes = 1): Fact<T> {
    this.#instant += minutes * 60_000;
    const seq = this.#seq++;
    const fact = { id: this.#options.id(`morning/${seq}`), type, at: new Date(this.#instant).toISOString(), device: 'demo tablet', seq, by: this.#who, body } as unknown as Fact<T>;
    this.facts.push(fact as unknown as AnyFact);
    return fact;
  }

  #run(until: (state: SimulatorState) => boolean): void {
    for (let i = 0; i < LONGEST_WALK_STEPS && !until(this.#simulator); i++) this.#simulator = advance(this.#simulator, this.#options.truth, SIMULATED_PRECISION, STEP_SECONDS);
    if (!until(this.#simulator)) throw new Error(`the demo's morning got stuck: ${JSON.stringify(this.#simulator.trouble)}`);
  }

  #walk(goal: string | PlanPoint): void {
    this.#simulator = walkTo(this.#simulator, this.#options.truth, goal);
    this.#run((state) => state.walk === null);
  }

  /** Locks on and takes one careful shot, as the instrument's display would show it. */
  #shoot(): FactBody<'sight'>['read'] {
    this.#simulator = search(this.#simulator);
    this.#run((state) => state.lock === 'locked');
    this.#simulator = measure(this.#simulator);
    this.#run((state) => state.shot !== null);
    const { circle, zenith, slope } = this.#simulator.shot!;
    this.#simulator = { ...this.#simulator, shot: null };
    const angle = (radians: number) => Number((radians / RADIANS_PER_DEGREE).toFixed(ANGLE_DECIMALS));
    return { circle: angle(circle), zenith: angle(zenith), slope: slope === null ? null : Number(slope.toFixed(4)), angleUnit: 'degree', lengthUnit: 'metre', angleDecimals: ANGLE_DECIMALS, lengthDecimals: 4, keyed: null };
  }

  #setUp(name: string, place: PlanPoint, temperatureC: number, ground: string): Fact<'occupation'> {
    this.#simulator = setPole(setUpInstrument(this.#simulator, this.#options.truth, place, 1.6), { targetHeight: 1.5, legs: true });
    return this.#say(
      'occupation',
      { name, instrument: SIMULATED_INSTRUMENT, instrumentHeight: 1.6, instrumentHeightSdMm: 1, temperatureC, pressureHPa: 1013, ppm: ppmOf(temperatureC), ground, windy: false, link: 'simulator' },
      6,
    );
  }

  #mark(name: string) {
    return this.#state.control.find((mark) => mark.revision.body.name === name)!;
  }

  #sight(occupation: Fact<'occupation'>, name: string, purpose: 'station' | 'proof' = 'station'): Fact<'sight'> {
    this.#walk(name);
    return this.#say('sight', sightBody(occupation, purpose, { kind: 'control', mark: this.#mark(name).id }, this.#shoot(), this.#simulator.pole), 2);
  }

  /** Decides on the station from its sights so far; `out` names parts left out, such as "K5 plan". */
  #decide(occupation: Fact<'occupation'>, verdict: 'accepted' | 'provisional' | 'refused', reason: string, out: readonly string[] = []): AcceptedSolution {
    const state = this.#state;
    const usageOf = (sight: Fact<'sight'>): UseFlags => {
      const usual = defaultUse(state, sight);
      const target = sight.body.target.kind === 'control' ? sight.body.target.mark : '';
      const name = state.control.find((mark) => mark.id === target)?.revision.body.name ?? '';
      return { plan: usual.plan && !out.includes(`${name} plan`), height: usual.height && !out.includes(`${name} height`) };
    };
    const sights = [...state.sights.values()].filter((sight) => sight.body.occupation === occupation.id);
    const asked = askedOf(state, 'grid');
    const draft = stationDraft(state, occupation, Object.fromEntries(sights.map((sight) => [sight.id, usageOf(sight)])), { asked });
    if (!draft.outcome?.ok) throw new Error('the demo’s station has no solution');
    const fact = this.#say('solution', solutionBody(state, occupation, draft, draft.outcome.value.result, 'grid', usageOf, null), 1);
    const decision = this.#say('decision', { solution: fact.id, verdict, reason, judged: judgedBody(draft.outcome.value.judgement, asked) }, 0);
    return { fact, decision, occupation, withdrawn: false };
  }

  #prove(solution: AcceptedSolution, name: string): void {
    const sight = this.#sight(solution.occupation, name, 'proof');
    const state = this.#state;
    const mark = this.#mark(name);
    const asked = state.classes.find((each) => each.id === 'grid')!;
    const judged = judgeProof(state, solution, mark, sight, asked);
    if (!judged.ok) throw new Error(judged.error.code);
    const { plan, height, check } = judged.value;
    const body: FactBody<'proof'> = { solution: solution.fact.id, sight: sight.id, control: mark.id, revision: mark.revision.id, class: 'grid', plan, height, result: checkJson(check), supersedes: null };
    this.#say('proof', body, 0);
  }

  /** Walks to the mark, shoots until it is inside the tolerance, sets it, drives the hub and shoots that. */
  #setMark(solution: AcceptedSolution, packageName: string, pick: (plan: Plan) => boolean): void {
    const work = this.#state.packages.find((each) => each.body.name === packageName)!;
    const plan = work.body.plans.find(pick)!;
    const target = { kind: 'plan', package: work.id, key: plan.key } as const;
    const tolerance = toleranceOf(this.#state, work);
    const shoot = (purpose: 'mark' | 'driven') => {
      const sight = this.#say('sight', sightBody(solution.occupation, purpose, target, this.#shoot(), this.#simulator.pole), 1);
      const stake = stakeAt(this.#state, solution, plan, readingOf(sight.body));
      if (!stake.ok) throw new Error(stake.error.code);
      return { sight, stake: stake.value };
    };
    // The person walks by what the station says, which is not quite where the true place is.
    this.#walk(plan.place);
    let shot = shoot('mark');
    let shots = 1;
    while (Math.hypot(shot.stake.deltaE, shot.stake.deltaN) > tolerance / 2) {
      const { pole } = this.#simulator;
      this.#walk({ e: pole.e + shot.stake.deltaE, n: pole.n + shot.stake.deltaN });
      shot = shoot('mark');
      if (++shots > 6) break;
    }
    const setting = { solution: solution.fact, work, plan, hubZ: null, groundZ: shot.stake.measured.z, shots };
    const set = this.#say('mark', markBody(this.#state, { ...setting, ...shot, state: 'set', supersedes: null }), 1);
    this.#simulator = driveHub(this.#simulator, this.#options.truth, plan.name);
    const driven = shoot('driven');
    const within = Math.hypot(driven.stake.deltaE, driven.stake.deltaN) <= tolerance;
    this.#say('mark', markBody(this.#state, { ...setting, ...driven, hubZ: driven.stake.measured.z, shots: shots + 1, state: within ? 'confirmed' : 'set', supersedes: set.id }), 0);
  }

  play(step: MorningStep): void {
    switch (step.do) {
      case 'who':
        this.#who = this.#options.id(`member/${step.name}`);
        return;
      case 'setUp':
        this.#occupation = this.#setUp(step.name, { e: step.e, n: step.n }, step.temperatureC, step.ground);
        return;
      case 'sight':
        for (const name of step.marks) this.#sight(this.#placed, name);
        return;
      case 'decide':
        this.#solution = this.#decide(this.#placed, step.verdict, step.reason, step.leftOut);
        return;
      case 'prove':
        this.#prove(this.#decided, step.mark);
        return;
      case 'set':
        this.#setMarks(this.#decided, step.package, step.from, step.to);
        return;
      case 'setAt':
        this.#setMark(this.#decided, step.package, (plan) => plan.corner === step.corner);
        return;
      case 'faces':
        this.#columnFaces(this.#decided, step.line);
        return;
      case 'bolts':
        this.#bolts(this.#decided, step.package);
        return;
      case 'event':
        this.#say('event', { occupation: this.#placed.id, kind: step.kind, note: step.note }, EVENT_MINUTES);
        return;
      case 'withdraw':
        this.#say('withdrawal', { record: this.#decided.fact.id, occupation: null, reason: step.reason }, EVENT_MINUTES);
        return;
      case 'close':
        this.#say('close', { occupation: this.#placed.id, note: step.note }, EVENT_MINUTES);
    }
  }

  get #placed(): Fact<'occupation'> {
    if (!this.#occupation) throw new Error('the demo’s morning begins without a set-up');
    return this.#occupation;
  }

  get #decided(): AcceptedSolution {
    if (!this.#solution) throw new Error('the demo’s morning has no station yet');
    return this.#solution;
  }

  /** Walks to a thing that stands there and shoots it some times; the mean is kept. */
  #measure(solution: AcceptedSolution, onto: string, shots: number, about: Pick<FactBody<'asBuilt'>, 'name' | 'code' | 'against'>): void {
    this.#walk(onto);
    const sights = Array.from({ length: shots }, () =>
      this.#say('sight', sightBody(solution.occupation, 'asBuilt', { kind: 'spot', name: about.name }, this.#shoot(), this.#simulator.pole), SHOT_MINUTES),
    );
    const mean = meanPlace(this.#state, solution, sights);
    if (!mean) throw new Error(`${onto} has no place`);
    this.#say('asBuilt', asBuiltBody(solution.fact, sights, mean, { ...about, note: '', supersedes: null }), SHOT_MINUTES);
  }

  /** Both edges of every column along a line, and its lean where it is the last. */
  #columnFaces(solution: AcceptedSolution, label: string): void {
    const grid = this.#state.grids[0]!;
    const rows = columnsAlong(this.#state, grid, label)!;
    for (const { name, line, crossing } of rows) {
      const levels = crossing === rows.at(-1)!.crossing ? (['low', 'high'] as const) : (['low'] as const);
      for (const level of levels) {
        for (const edge of ['first', 'second'] as const) {
          const said = `${name} ${edge} ${level}`;
          const against = { kind: 'face', grid: grid.body.grid, line: line.label, crossing: crossing.label, edge, level, targetOffset: 0.015, width: 0.3 } as const;
          this.#measure(solution, said, 2, { name: said, code: 'column face', against });
        }
      }
    }
  }

  #bolts(solution: AcceptedSolution, packageName: string): void {
    const work = this.#state.packages.find((each) => each.body.name === packageName)!;
    for (const plan of work.body.plans.filter(({ offset }) => offset === 0)) {
      this.#measure(solution, `built ${plan.corner}`, 2, { name: plan.corner, code: 'bolt', against: { kind: 'plan', package: work.id, key: plan.key } });
    }
  }

  /** Sets the marks of a package from one place in its list to another. */
  #setMarks(solution: AcceptedSolution, packageName: string, from: number, to: number): void {
    const plans = this.#state.packages.find((each) => each.body.name === packageName)!.body.plans;
    for (const { key } of plans.slice(from, to)) this.#setMark(solution, packageName, (plan) => plan.key === key);
  }
}
