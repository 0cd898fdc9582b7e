import { describe, expect, it } from '@jest/globals';
import { checkJson, invalidFact, type Fact, type FactBody } from '@idle-marker/contract';
import {
  axisOf,
  bookLine,
  cutSheet,
  effectsOfCorrection,
  effectsOfMove,
  heightDraft,
  judgePairedProof,
  keptPlace,
  markBody,
  controlReport,
  pairedBodies,
  pairedDue,
  pairedInForce,
  pairedStake,
  pairingOf,
  placesAlong,
  roadOf,
  solutionInForce,
  fewOf,
  standsForHeights,
  type PairedSolution,
} from '@idle-marker/records';
import { newId, PLACES, Story, type ControlName } from './story.ts';

const OFFSET = 0.12;
const HT = 1.5;
/** What a receiver that was fitted to another site adds to every reading. */
interface Shift {
  readonly e: number;
  readonly n: number;
  readonly z: number;
}
const NO_SHIFT: Shift = { e: 0, n: 0, z: 0 };

/** A placing for heights alone with a receiver on the pole: perfect readings, but for what a test shifts. */
class PairedStory {
  readonly story = new Story();
  readonly occupation: Fact<'occupation'>;
  pairing: Fact<'pairing'>;

  constructor(benchmarks: readonly ControlName[]) {
    this.story.control();
    this.occupation = this.story.occupy('S1', { method: 'heightOnly' });
    for (const name of benchmarks) this.story.sight(this.occupation, name);
    this.pairing = this.story.say('pairing', {
      occupation: this.occupation.id,
      item: null,
      name: 'Pole 2',
      receiver: 'Receiver 7',
      offset: OFFSET,
      antennaHeight: HT + OFFSET,
      targetHeight: HT,
      fit: { sdPlanMm: 5, sdHeightMm: 15, on: null },
      note: '',
      supersedes: null,
    });
  }

  begin(classId = 'earthworks'): PairedSolution {
    const { state } = this.story;
    const { solution, decision } = pairedBodies(
      state,
      this.occupation,
      this.pairing,
      heightDraft(state, this.occupation, new Set()),
      classId,
    )!;
    const fact = this.story.say('solution', solution);
    this.story.say('decision', { solution: fact.id, ...decision }, 0);
    return this.paired;
  }

  get paired(): PairedSolution {
    return pairedInForce(this.story.state, this.occupation)!;
  }

  position(
    sight: Fact<'sight'>,
    place: Shift,
    shift: Shift,
    change: Partial<FactBody<'position'>> = {},
  ): Fact<'position'> {
    return this.story.say(
      'position',
      {
        occupation: this.occupation.id,
        pairing: this.pairing.id,
        purpose: 'mark',
        target: sight.body.target,
        sight: sight.id,
        read: {
          e: place.e + shift.e,
          n: place.n + shift.n,
          z: place.z + HT + OFFSET + shift.z,
          sdPlanMm: 6,
          sdHeightMm: 10,
          fix: 'fixed',
          correctionAge: 0.6,
          compensating: false,
          leanDeg: 0.02,
        },
        antennaHeight: HT + OFFSET,
        ...change,
      },
      0,
    );
  }

  prove(name: ControlName, shift: Shift = NO_SHIFT): Fact<'proof'> {
    const sight = this.story.sight(this.occupation, name, 'proof');
    const position = this.position(sight, PLACES[name], shift, { purpose: 'proof' });
    const { state } = this.story;
    const mark = state.control.find(({ id }) => id === this.story.markId(name))!;
    const { paired } = this;
    const asked = state.classes.find(({ id }) => id === paired.solution.body.class)!;
    const { check, plan, height } = judgePairedProof(state, paired, mark, position, sight, asked);
    const body = {
      solution: paired.solution.id,
      sight: sight.id,
      position: position.id,
      control: mark.id,
      revision: mark.revision.id,
    };
    return this.story.say(
      'proof',
      { ...body, class: asked.id, plan, height, result: checkJson(check), supersedes: null },
      0,
    );
  }

  set(work: Fact<'package'>, i: number, shift: Shift = NO_SHIFT): Fact<'mark'> {
    const plan = work.body.plans[i]!;
    const place = { ...plan.place, z: 5.9 };
    const target = { kind: 'plan', package: work.id, key: plan.key } as const;
    const sight = this.story.shoot(this.occupation, 'driven', target, place);
    const position = this.position(sight, place, shift);
    const { state, paired } = { state: this.story.state, paired: this.paired };
    const stake = pairedStake(keptPlace(state, paired, position, sight), plan)!;
    const setting = {
      solution: paired.solution,
      work,
      plan,
      sight,
      position,
      stake,
      hubZ: stake.measured.z,
      groundZ: null,
      shots: 1,
    };
    return this.story.say('mark', markBody(state, { ...setting, state: 'confirmed', supersedes: null }), 0);
  }
}

const standing = ({ story }: PairedStory, mark: Fact<'mark'>) => story.trust().marks.find(({ id }) => id === mark.id)!;

describe('plan from a receiver, height from the instrument', () => {
  it('takes each part from its own device, and holds the two heights against each other', () => {
    const told = new PairedStory(['K1', 'K2']);
    const paired = told.begin();
    const sight = told.story.sight(told.occupation, 'P1', 'proof');
    const position = told.position(sight, PLACES.P1, { e: 0.02, n: 0, z: 0.04 });
    const place = keptPlace(told.story.state, paired, position, sight);
    // The receiver's place, not that of the control; the instrument's height, not the receiver's.
    expect(place.plan!.e).toBeCloseTo(PLACES.P1.e + 0.02, 9);
    expect(place.height!.z).toBeCloseTo(PLACES.P1.z, 3);
    expect(place.receiver!.z).toBeCloseTo(PLACES.P1.z + 0.04, 9);
    expect(place.compared!.difference).toBeCloseTo(0.04, 3);
    expect(place.compared!.apart).toBe(false);
    expect(Math.sqrt(place.height!.variance)).toBeLessThan(0.004);
    expect(Math.sqrt(place.plan!.covariance.ee)).toBeGreaterThan(0.0078);
    expect(axisOf(paired).z).toBeCloseTo(5.6 + 1.6, 3);
  });

  it('is no station: nothing is sighted or solved from it', () => {
    const told = new PairedStory(['K1']);
    told.begin();
    const { state } = told.story;
    expect(state.accepted).toEqual([]);
    expect(solutionInForce(state, told.story.trust())).toBeNull();
    expect(pairingOf(state, told.occupation)).toEqual(told.pairing);
    for (const fact of told.story.facts) expect(invalidFact(fact)).toBeNull();
  });

  it('is provisional on one benchmark, and asks for a known mark and a second one; later for both again', () => {
    const told = new PairedStory(['K1']);
    const paired = told.begin();
    expect(paired.decision.body.verdict).toBe('provisional');
    expect(new PairedStory(['K1', 'K2']).begin().decision.body.verdict).toBe('accepted');
    const due = () => pairedDue(told.story.state, told.paired);
    expect(due()).toEqual(['PLAN_UNCHECKED', 'SECOND_BENCHMARK']);
    // The benchmark that the height came from proves the plan, but not the height.
    told.prove('K1');
    expect(due()).toEqual(['SECOND_BENCHMARK']);
    told.prove('K3');
    expect(due()).toEqual([]);
    told.set(told.story.work({ class: 'earthworks' }), 0);
    expect(due()).toEqual(['PLAN_AGAIN', 'BENCHMARK_AGAIN']);
    told.story.wait(5);
    told.prove('P2');
    expect(due()).toEqual([]);
  });

  it('finds plan that is shifted alike everywhere on the first known mark, and its marks are in doubt in plan alone', () => {
    const told = new PairedStory(['K1', 'K2']);
    told.begin();
    const shift = { e: 0.3, n: 0, z: 0 };
    const mark = told.set(told.story.work({ class: 'earthworks' }), 0, shift);
    expect(mark.body.within).toBe(false);
    expect(mark.body.dEMm).toBeCloseTo(300, 6);
    const proof = told.prove('P1', shift);
    expect(proof.body).toMatchObject({ plan: 'outside', height: 'good' });
    expect(pairedDue(told.story.state, told.paired)[0]).toBe('PLAN_FAILED');
    expect(standing(told, mark)).toMatchObject({ plan: { standing: 'inDoubt' }, height: { standing: 'held' } });
  });

  it('tells what the receiver found in the control report as its own, and blames nobody in plan', () => {
    const told = new PairedStory(['K1', 'K2']);
    told.begin();
    told.prove('P1', { e: 0.3, n: 0, z: 0 });
    told.prove('P2', { e: 0.01, n: 0, z: 0 });
    const { rows } = controlReport(told.story.state, told.story.instant(), told.story.who);
    const row = (name: string) => rows.find((each) => each.name === name)!;
    expect(row('P1')).toMatchObject({
      propose: 'nothing',
      proof: false,
      dEMm: null,
      byReceiver: { planMm: expect.closeTo(300, 0), isBeyond: true },
    });
    expect(row('P2')).toMatchObject({
      propose: 'nothing',
      byReceiver: { planMm: expect.closeTo(10, 0), isBeyond: false },
    });
    expect(row('P2').byReceiver!.radius95Mm!).toBeGreaterThan(10);
    expect(row('K1').byReceiver).toBeNull();
  });

  it('goes on once two other marks speak against one that failed', () => {
    const told = new PairedStory(['K1', 'K2']);
    told.begin();
    const due = () => pairedDue(told.story.state, told.paired);
    told.prove('P1', { e: 0.3, n: 0, z: 0 });
    expect(due()).toEqual(['PLAN_FAILED']);
    told.prove('P2');
    expect(due()).toEqual(['PLAN_FAILED']);
    told.prove('K3');
    expect(due()).toEqual([]);
    // The failing mark sighted again and good is good at once.
    const again = new PairedStory(['K1', 'K2']);
    again.begin();
    again.prove('P1', { e: 0.3, n: 0, z: 0 });
    again.prove('P1');
    expect(pairedDue(again.story.state, again.paired)).toEqual([]);
  });

  it('finds a benchmark with a wrong height on the second one, and its marks are in doubt in height alone', () => {
    const told = new PairedStory([]);
    // The pole stands 0.1 m too low: on the flange instead of the nut.
    told.story.sight(told.occupation, 'K1', 'station', { z: -0.1 });
    told.begin();
    const mark = told.set(told.story.work({ class: 'earthworks' }), 0);
    expect(mark.body.hubZ).toBeCloseTo(6, 3);
    expect(told.prove('P1').body).toMatchObject({ plan: 'good', height: 'outside' });
    expect(pairedDue(told.story.state, told.paired)).toContain('HEIGHT_FAILED');
    expect(standing(told, mark)).toMatchObject({ plan: { standing: 'held' }, height: { standing: 'inDoubt' } });
  });

  it('holds a mark once both parts were proved after it, and says so on the sheet', () => {
    const told = new PairedStory(['K1', 'K2']);
    told.begin();
    told.prove('K3');
    const work = told.story.work({ class: 'earthworks' });
    const mark = told.set(work, 0);
    expect(standing(told, mark).standing).toBe('open');
    told.prove('P1');
    expect(standing(told, mark).standing).toBe('held');
    expect(mark.body.position).toBeDefined();
    const { state } = told.story;
    const sheet = cutSheet(
      state,
      told.story.trust(),
      { package: work, issuedBy: 'Mara', issuedAt: told.story.instant(), timeZone: 'UTC' },
      null,
    );
    expect(sheet.stations).toEqual([
      expect.objectContaining({ name: 'S1', method: 'paired', radius95Mm: null, marks: ['K1', 'K2'] }),
    ]);
    expect(sheet.rows[0]).toMatchObject({ station: 'S1', standing: 'held' });
    const book = told.story.facts.map((fact) => bookLine(state, fact).text);
    expect(book).toContain(
      'S1: plan from receiver Receiver 7 (Pole 2), offset 0.120 m, antenna 1.620 m; fitted to the site within 5 mm plan, 15 mm elevation',
    );
    expect(book.some((line) => /^S1: elevations from K1, K2, plan from the receiver/.test(line))).toBe(true);
  });

  it('recomputes heights, and no plan, when a benchmark moved or a target height was wrong', () => {
    const told = new PairedStory([]);
    told.story.sight(told.occupation, 'K1', 'station', { z: -0.03 });
    told.story.sight(told.occupation, 'K2');
    told.begin();
    const work = told.story.work({ class: 'earthworks' });
    const mark = told.set(work, 0);
    const { state } = told.story;
    const revision = state.control.find(({ id }) => id === told.story.markId('K1'))!.revision;
    const [effect] = effectsOfMove(state, revision, { plan: true, height: true });
    // Without K1 the axis stands where K2 puts it: half of the 30 mm lower.
    expect(effect).toMatchObject({ mark: mark.id, planMm: 0 });
    expect(effect!.heightMm!).toBeLessThan(-10);
    expect(effect!.heightMm!).toBeGreaterThan(-20);
    // All but the sight to the mark itself were taken with 1.6 m instead of 1.5.
    const sights = [...state.sights.values()].filter(({ body }) => body.purpose === 'station').map(({ id }) => id);
    const [corrected] = effectsOfCorrection(state, {
      what: 'targetHeight',
      occupation: told.occupation.id,
      sights,
      value: HT + 0.1,
    });
    expect(corrected).toMatchObject({ mark: mark.id, planMm: null, heightMm: 100 });
    // Heights refer to the axis: the instrument's own height does not come into it.
    expect(
      effectsOfCorrection(state, { what: 'instrumentHeight', occupation: told.occupation.id, sights: [], value: 1.7 }),
    ).toEqual([]);
  });

  it('goes on with the newest pair of the placing, and reads older positions with the one they were taken with', () => {
    const told = new PairedStory(['K1', 'K2']);
    told.begin();
    const sight = told.story.sight(told.occupation, 'P1', 'proof');
    const before = told.position(sight, PLACES.P1, NO_SHIFT);
    told.pairing = told.story.say('pairing', { ...told.pairing.body, offset: 0.3, supersedes: told.pairing.id });
    const { state } = told.story;
    expect(pairingOf(state, told.occupation)!.body.offset).toBe(0.3);
    expect(keptPlace(state, told.paired, before, sight).receiver!.z).toBeCloseTo(PLACES.P1.z, 9);
  });
});

describe('where to stand for heights', () => {
  it('sees benchmarks of the list and the road, round what was drawn', () => {
    const story = new Story().control();
    const road = roadOf({
      name: 'Quay road',
      startStation: 0,
      elements: [{ kind: 'line', start: { e: 3960, n: 8000 }, end: { e: 4060, n: 8000 } }],
      equations: [],
      profile: null,
      strings: [],
      kerbs: [],
      shift: 0,
      corridor: 20,
    });
    if (!road.ok) throw new Error(road.error.code);
    const places = placesAlong(road.value, 0, 100);
    expect(places).toHaveLength(11);
    expect(fewOf(places)).toEqual(places);
    const many = placesAlong(road.value, 0, 100).flatMap((each) => Array.from({ length: 20 }, () => each));
    expect(fewOf(many)).toHaveLength(60);
    expect([fewOf(many)[0], fewOf(many).at(-1)]).toEqual([many[0], many.at(-1)]);
    const corners = [
      { e: 3980, n: 7985 },
      { e: 4040, n: 7985 },
      { e: 4040, n: 7990 },
      { e: 3980, n: 7990 },
    ];
    story.say('area', {
      area: newId(),
      name: 'Wall',
      kind: 'building',
      corners,
      margin: 1,
      blocksSight: true,
      source: 'typed',
      retired: false,
      supersedes: null,
    });
    const [best] = standsForHeights(story.state, places, 200);
    expect(best!.seen).toBe(11);
    expect(best!.benchmarks.length).toBeGreaterThan(1);
    const lost = new Story().control(undefined, { condition: 'lost' });
    expect(standsForHeights(lost.state, places, 200)).toEqual([]);
  });
});
