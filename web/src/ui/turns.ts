/** Long work in turns of the page: what is touched or drawn meanwhile waits for one of them at most. */

/** A turn is given back after this. */
const TURN_MS = 8;

const channel = new MessageChannel();
const waiting: (() => void)[] = [];
channel.port1.onmessage = () => waiting.shift()?.();

export const nextTurn = (): Promise<void> =>
  new Promise((resolve) => {
    waiting.push(resolve);
    channel.port2.postMessage(null);
  });

/** Takes all steps; what they give at the end. */
export async function inTurns<T>(steps: Generator<void, T>): Promise<T> {
  for (let began = performance.now(); ;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (performance.now() - began < TURN_MS) continue;
    await nextTurn();
    began = performance.now();
  }
}
