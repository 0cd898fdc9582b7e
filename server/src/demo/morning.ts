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
  defaultUse,
  judgeProof,
  markBody,
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

export interface MorningOptions {
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
  player.poorStation();
  player.withdrawnStation();
  player.goodStation();
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

  constructor(options: MorningOptions) {
    this.#options = options;
    this.#instant = Date.parse(options.begin);
    this.#simulator = startSimulator(SEED, options.truth.ground, options.truth);
    this.#who = options.id('member/Tomas Okafor');
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

  #setUp(name: string, place: PlanPoint, temperatureC: number): Fact<'occupation'> {
    this.#simulator = setPole(setUpInstrument(this.#simulator, this.#options.truth, place, 1.6), { targetHeight: 1.5, legs: true });
    return this.#say(
      'occupation',
      { name, instrument: SIMULATED_INSTRUMENT, instrumentHeight: 1.6, instrumentHeightSdMm: 1, temperatureC, pressureHPa: 1013, ppm: ppmOf(temperatureC), ground: 'gravel', windy: false, link: 'simulator' },
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
    const draft = stationDraft(state, occupation, Object.fromEntries(sights.map((sight) => [sight.id, usageOf(sight)])));
    if (!draft.outcome?.ok) throw new Error('the demo’s station has no solution');
    const fact = this.#say('solution', solutionBody(state, occupation, draft, draft.outcome.value.result, 'grid', usageOf, null), 1);
    const decision = this.#say('decision', { solution: fact.id, verdict, reason }, 0);
    return { fact, decision, occupation, withdrawn: false };
  }

  #prove(solution: AcceptedSolution, name: string): void {
    const sight = this.#sight(solution.occupation, name, 'proof');
    const state = this.#state;
    const mark = this.#mark(name);
    const asked = state.settings.classes.find((each) => each.id === 'grid')!;
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
    const setting = { solution, work, plan, hubZ: null, groundZ: shot.stake.measured.z, shots };
    const set = this.#say('mark', markBody(this.#state, { ...setting, ...shot, state: 'set', supersedes: null }), 1);
    this.#simulator = driveHub(this.#simulator, this.#options.truth, plan.name);
    const driven = shoot('driven');
    const within = Math.hypot(driven.stake.deltaE, driven.stake.deltaN) <= tolerance;
    this.#say('mark', markBody(this.#state, { ...setting, ...driven, hubZ: driven.stake.measured.z, shots: shots + 1, state: within ? 'confirmed' : 'set', supersedes: set.id }), 0);
  }

  /** Three marks of which one had moved: something does not fit, and it can't be told what. Refused. */
  poorStation(): void {
    const occupation = this.#setUp('S1', { e: 4222, n: 8076 }, 14);
    for (const name of ['K3', 'K4', 'K5']) this.#sight(occupation, name);
    this.#decide(occupation, 'refused', 'K4 and K5 do not agree with K3, and three marks do not tell which is wrong.');
    this.#say('close', { occupation: occupation.id, note: 'moved to where more control is seen' }, 2);
  }

  /** Two marks, accepted as provisional; one hub was set before the tripod slipped. */
  withdrawnStation(): void {
    this.#who = this.#options.id('member/Ines Varga');
    const occupation = this.#setUp('S2', { e: 4190, n: 8072 }, 15);
    for (const name of ['K2', 'K3']) this.#sight(occupation, name);
    const solution = this.#decide(occupation, 'provisional', 'Only K2 and K3 were in sight; one rough hub for the excavator.');
    this.#setMark(solution, 'Ticket hall grid', (plan) => plan.corner === 'D1');
    this.#say('event', { occupation: occupation.id, kind: 'bump', note: 'one tripod leg slipped on the slab' }, 3);
    this.#say('withdrawal', { record: solution.fact.id, occupation: null, reason: 'The tripod had slipped: nothing set from S2 can be trusted.' }, 2);
    this.#say('close', { occupation: occupation.id, note: '' }, 1);
  }

  /** Six marks, the knocked one sighted again and left out; proofs before, between and after the hubs. */
  goodStation(): void {
    this.#who = this.#options.id('member/Mara Lindqvist');
    const occupation = this.#setUp('S3', { e: 4187, n: 8099 }, 16);
    for (const name of ['K1', 'K2', 'K3', 'K5', 'K7', 'K8', 'K5']) this.#sight(occupation, name);
    const solution = this.#decide(occupation, 'accepted', 'K5 repeats 25 mm north-east of its listed place: left out of plan.', ['K5 plan']);
    this.#prove(solution, 'P1');
    this.#setMarks(solution, 'Column lines', 0, 12);
    this.#prove(solution, 'P2');
    this.#setMarks(solution, 'Column lines', 12, 18);
    this.#setMarks(solution, 'Ticket hall grid', 0, 4);
    this.#prove(solution, 'P1');
    this.#setMarks(solution, 'Ticket hall hubs', 0, 5);
    this.#prove(solution, 'P2');
    this.#setMarks(solution, 'Ticket hall hubs', 5, 8);
    this.#say('event', { occupation: occupation.id, kind: 'plant', note: 'roller along the haul road' }, 2);
    this.#prove(solution, 'P1');
    this.#setMarks(solution, 'Ticket hall hubs', 8, 9);
  }

  /** Sets the marks of a package from one place in its list to another. */
  #setMarks(solution: AcceptedSolution, packageName: string, from: number, to: number): void {
    const plans = this.#state.packages.find((each) => each.body.name === packageName)!.body.plans;
    for (const { key } of plans.slice(from, to)) this.#setMark(solution, packageName, (plan) => plan.key === key);
  }
}
