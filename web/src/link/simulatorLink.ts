import {
  SIMULATED_PRECISION,
  type PlanPoint,
  type SearchWindow,
  type SimulatedPlace,
  type SimulatorState,
} from '@idle-marker/core';
import type { InstrumentLink, LinkState, LiveReceiver, LinkTrouble, PoleChange, RawRead } from './instrumentLink.ts';
import type { FromSimulator, ToSimulator } from './simulatorProtocol.ts';

export class LinkError extends Error {
  readonly trouble: LinkTrouble;

  constructor(trouble: LinkTrouble) {
    super(trouble.code);
    this.trouble = trouble;
  }
}

const ENDS_WALK: ReadonlySet<LinkTrouble['code']> = new Set(['NO_SUCH_MARK', 'MARK_COVERED', 'LINK_CLOSED']);

const START: LinkState = {
  kind: 'simulator',
  setUp: false,
  lock: 'none',
  circleDeg: 0,
  zenithDeg: 90,
  live: null,
  busy: null,
  pole: { targetHeight: 1.5, legs: true, walking: false, onto: null },
  fixed: null,
  stand: null,
  trouble: null,
  receiver: null,
  far: [],
};

const asRead = (shot: {
  readonly circleDeg: number;
  readonly zenithDeg: number;
  readonly slope: number | null;
}): RawRead => ({
  circle: shot.circleDeg,
  zenith: shot.zenithDeg,
  slope: shot.slope,
  angleUnit: 'degree',
  lengthUnit: 'metre',
  angleDecimals: 5,
  lengthDecimals: 4,
  keyed: null,
});

/** What did not change stays the same object, so that nobody draws it again. */
const sameOr = <T extends object>(before: T | null, now: T): T =>
  before !== null && Object.keys(now).every((key) => before[key as keyof T] === now[key as keyof T]) ? before : now;

/** The simulated robotic instrument, with a pole that can be sent about. */
export class SimulatorLink implements InstrumentLink {
  readonly kind = 'simulator';
  #state = START;
  #listeners = new Set<() => void>();
  #worker: Worker;
  #measuring: { resolve: (read: RawRead) => void; reject: (error: LinkError) => void } | null = null;
  #locking: { resolve: () => void; reject: (error: LinkError) => void } | null = null;
  #arrivals = new Set<{ resolve: () => void; reject: (error: LinkError) => void }>();
  /** Of the library: the worker knows the prism's constant only. */
  #carried: Pick<PoleChange, 'target' | 'item'> = {};
  /** The pole as it was before something fixed was sighted. */
  #before: PoleChange | null = null;
  #stopsNear = true;
  #sent = 0;
  /** Message number of the last walk: an arrival counts only once the worker has taken it. */
  #walkAt = 0;
  /** The same of the last search. */
  #searchAt = 0;
  /** What the receiver's switches were last set to, and by which message. */
  #switched: Partial<Pick<LiveReceiver, 'compensating' | 'linked'>> = {};
  #switchedAt = 0;

  /** `saved` goes on from an earlier state; `onSave` is handed the state about once a second. */
  constructor(ground: string, seed: number, saved: SimulatorState | null, onSave: (state: SimulatorState) => void) {
    this.#worker = new Worker(new URL('./simulator.worker.ts', import.meta.url), { type: 'module' });
    this.#worker.onmessage = (event: MessageEvent<FromSimulator>) => {
      if (event.data.save) onSave(event.data.save);
      this.#hear(event.data);
    };
    this.#send({ command: 'start', ground, seed, precision: SIMULATED_PRECISION, saved });
  }

  #send(message: ToSimulator): void {
    this.#sent++;
    this.#worker.postMessage(message);
  }

  #hear(message: FromSimulator): void {
    performance.clearMarks('link message');
    performance.mark('link message');
    const { live, shot, trouble } = message;
    const lock = message.handled < this.#searchAt && message.setUp ? 'searching' : message.lock;
    this.#state = {
      kind: 'simulator',
      setUp: message.setUp,
      lock,
      circleDeg: message.circleDeg,
      zenithDeg: message.zenithDeg,
      live: live ? { ...live, seq: message.seq, at: performance.now() } : lock === 'lost' ? this.#state.live : null,
      busy: message.busy,
      pole: sameOr(this.#state.pole, { ...message.pole, ...this.#carried }),
      fixed: this.#state.fixed,
      stand: sameOr(this.#state.stand, message.stand),
      // A trouble is shown until the next command.
      trouble: trouble ?? this.#state.trouble,
      receiver: message.receiver && {
        ...message.receiver,
        ...(message.handled < this.#switchedAt ? this.#switched : {}),
      },
      far: message.far.join() === this.#state.far.join() ? this.#state.far : message.far,
    };
    if (shot && this.#measuring) {
      this.#measuring.resolve(asRead(shot));
      this.#measuring = null;
    }
    if (lock === 'locked' && this.#locking) {
      this.#locking.resolve();
      this.#locking = null;
    }
    if (trouble) this.#fail(new LinkError(trouble));
    if (!message.pole.walking && message.handled >= this.#walkAt) this.#arrive();
    for (const listener of this.#listeners) listener();
  }

  #fail(error: LinkError): void {
    this.#measuring?.reject(error);
    this.#measuring = null;
    this.#locking?.reject(error);
    this.#locking = null;
    // A hidden prism does not keep the person from walking on.
    if (!ENDS_WALK.has(error.trouble.code)) return;
    for (const arrival of this.#arrivals) arrival.reject(error);
    this.#arrivals.clear();
  }

  #arrive(): void {
    for (const arrival of this.#arrivals) arrival.resolve();
    this.#arrivals.clear();
  }

  state(): LinkState {
    return this.#state;
  }

  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  #command(message: ToSimulator): void {
    this.#state = { ...this.#state, trouble: null };
    this.#send(message);
  }

  turn(circleDeg: number, zenithDeg: number): void {
    this.#command({ command: 'turn', circleDeg, zenithDeg });
  }

  search(window?: SearchWindow): void {
    this.#command({ command: 'search', window: window ?? null });
    // It looks from now on: what it followed before is no lock to measure with.
    this.#searchAt = this.#sent;
    this.#state = { ...this.#state, lock: 'searching' };
    for (const listener of this.#listeners) listener();
  }

  measure(signal: AbortSignal, face: 1 | 2 = 1): Promise<RawRead> {
    this.#command({ command: 'measure', face });
    return new Promise((resolve, reject) => {
      this.#measuring = { resolve, reject };
      signal.addEventListener('abort', () => {
        this.cancel();
      });
    });
  }

  /** The next reading while it follows the prism. Rejects when it follows nothing. */
  nextLive(): Promise<RawRead> {
    const { live, lock } = this.#state;
    if (lock !== 'locked') return Promise.reject(new LinkError({ code: 'NOT_LOCKED' }));
    const after = live?.seq ?? -1;
    return new Promise((resolve, reject) => {
      const stop = this.subscribe(() => {
        const now = this.#state.live;
        if (this.#state.lock !== 'locked') {
          stop();
          reject(new LinkError({ code: 'NOT_LOCKED' }));
        } else if (now && now.seq > after) {
          stop();
          resolve(asRead(now));
        }
      });
    });
  }

  /** Resolves when the instrument follows the prism; searches for it first when it does not. */
  lockOn(): Promise<void> {
    if (this.#state.lock === 'locked') return Promise.resolve();
    this.search();
    return new Promise((resolve, reject) => {
      this.#locking = { resolve, reject };
    });
  }

  cancel(): void {
    this.#send({ command: 'cancel' });
    this.#fail(new LinkError({ code: 'LINK_CLOSED' }));
  }

  close(): void {
    this.#worker.terminate();
    this.#fail(new LinkError({ code: 'LINK_CLOSED' }));
  }

  // What only a simulator can do: stand the instrument somewhere, send the pole about, drive hubs.

  /** `orientation` takes up a station again that was made elsewhere; otherwise circle zero points anywhere. */
  setUpAt(place: PlanPoint, height: number, orientation?: number): void {
    this.#command({ command: 'setUp', place, height, ...(orientation === undefined ? {} : { orientation }) });
  }

  /** Over a mark or a hub by its name, with a plummet. */
  setUpOver(name: string, height: number): void {
    this.#command({ command: 'setUpOver', name, height });
  }

  /**
   * Resolves when the pole has arrived; rejects when it can't. `near`: a place that nothing marks, where one stops
   * beside it.
   */
  walk(goal: PlanPoint | string, near = false): Promise<void> {
    this.#command({ command: 'walk', goal, ...(near && this.#stopsNear ? { near } : {}) });
    this.#walkAt = this.#sent;
    return new Promise((resolve, reject) => {
      this.#arrivals.add({ resolve, reject });
    });
  }

  step(toward: number, right: number): void {
    this.#command({ command: 'step', toward, right });
  }

  setPole({ target, item, ...change }: PoleChange): void {
    if (target !== undefined) this.#carried = { ...this.#carried, target };
    if (item !== undefined) this.#carried = { ...this.#carried, item };
    this.#command({
      command: 'pole',
      ...change,
      ...(target === undefined ? {} : { prismConstant: (target?.constantMm ?? 0) / 1000 }),
    });
  }

  /** The simulated prism is on what is fixed, not on the pole. */
  setFixed(fixed: LinkState['fixed']): void {
    const { targetHeight, legs, target = null } = this.#state.pole;
    if (fixed) this.#before ??= { targetHeight, legs, target };
    const before = this.#before;
    this.#state = { ...this.#state, fixed };
    if (fixed) this.setPole({ targetHeight: 0, legs: false, target: fixed.target ?? null });
    else if (before) {
      this.#before = null;
      this.setPole(before);
    }
  }

  /** The tripod was carried here: nothing is level. */
  putDown(): void {
    this.#command({ command: 'putDown' });
  }

  turnScrew(screw: number, liftSec: number): void {
    this.#command({ command: 'screw', screw, liftSec });
  }

  selfLevel(): void {
    this.#command({ command: 'selfLevel' });
  }

  changeBattery(): void {
    this.#command({ command: 'battery' });
  }

  setChannel(channel: number): void {
    this.#command({ command: 'channel', channel });
  }

  driveHub(name: string): void {
    this.#command({ command: 'driveHub', name });
  }

  placeHub(hub: SimulatedPlace): void {
    this.#command({ command: 'placeHub', hub });
  }

  /** Drives a nail under the instrument, to be looked back to. */
  markGround(name: string): void {
    this.#command({ command: 'markGround', name });
  }

  /** Aims at something far by hand; resolves with a reading that has no distance. */
  aimFar(name: string): Promise<RawRead> {
    this.#command({ command: 'aimFar', name });
    return new Promise((resolve, reject) => {
      this.#measuring = { resolve, reject };
    });
  }

  switchReceiver(change: { on?: boolean; compensating?: boolean; linked?: boolean; offset?: number }): void {
    const { receiver } = this.#state;
    const { compensating = receiver?.compensating, linked = receiver?.linked } = change;
    // A switch shows at once what it was set to, and until the worker has taken it; what that does comes with the next
    // reading.
    if (receiver && compensating !== undefined && linked !== undefined) {
      this.#switched = { compensating, linked };
      this.#state = { ...this.#state, receiver: { ...receiver, ...this.#switched } };
    }
    this.#command({ command: 'receiver', ...change });
    this.#switchedAt = this.#sent;
    for (const listener of this.#listeners) listener();
  }

  /** Whether somebody who walks near stops beside the place, or right on it. */
  setStopsNear(on: boolean): void {
    this.#stopsNear = on;
  }

  get stopsNear(): boolean {
    return this.#stopsNear;
  }

  setPace(factor: number): void {
    this.#send({ command: 'pace', factor });
  }
}
