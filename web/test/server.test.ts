/** The client of the server: where it asks, and which answers it takes for the server's own. */
import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import fc from 'fast-check';
import { OPERATIONS, type Answering, type Operation } from '@idle-marker/contract';
import { addressOf, AwayError, call, RefusedError } from '../src/data/server.ts';

const ID = '33333333-3333-4333-8333-333333333333';
const PATH = { site: ID, id: ID, token: 'abc' } as never;

let answer: () => Response | Promise<Response>;
const asked: { readonly address: string; readonly init: RequestInit }[] = [];
beforeEach(() => {
  asked.length = 0;
  globalThis.fetch = jest.fn((address: unknown, init?: RequestInit) => {
    asked.push({ address: String(address), init: init ?? {} });
    return Promise.resolve(answer());
  }) as typeof fetch;
});
const json = (body: unknown, status = 200): Response =>
  ({ ok: status < 400, status, json: () => Promise.resolve(body), headers: new Headers() }) as Response;

interface Form {
  readonly type?: string | readonly string[];
  readonly required?: readonly string[];
  readonly properties?: Readonly<Record<string, Form>>;
}
const EXAMPLES: Readonly<Record<string, unknown>> = { string: ID, integer: 1, boolean: true, array: [] };
const example = ({ type, required = [], properties = {} }: Form): unknown =>
  type === 'object'
    ? Object.fromEntries(required.map((name) => [name, example(properties[name] ?? {})]))
    : (EXAMPLES[[type].flat()[0] ?? 'array'] ?? null);

const answering = (Object.entries(OPERATIONS) as [Answering, Operation][]).filter(([, { answer: form }]) => form);

describe('an address', () => {
  it('has its parts and its question encoded, whatever is in them', () => {
    fc.assert(
      // A part of nothing but one or two dots is none of a path: addresses lead up by it.
      fc.property(
        fc.string({ minLength: 1 }).filter((part) => !/^\.{1,2}$/.test(part)),
        fc.string(),
        fc.nat(),
        (site, by, after) => {
          const facts = new URL(addressOf('readFacts', { site }, { after }), 'http://server');
          expect(facts.pathname.split('/').map(decodeURIComponent)).toEqual(['', 'api', 'v1', 'sites', site, 'facts']);
          expect(facts.searchParams.get('after')).toBe(String(after));
          const at = '2031-05-06T10:00:00.000Z';
          const report = new URL(addressOf('controlReport', { site }, { at, by, timeZone: 'UTC' }), 'http://server');
          expect(report.searchParams.get('by')).toBe(by);
        },
      ),
    );
  });
});

describe('an answer', () => {
  it.each(answering)(
    'of %s counts when it has its form, and with any part missing it doesn’t',
    async (name, operation) => {
      const whole = example(operation.answer as Form) as Readonly<Record<string, unknown>>;
      answer = () => json(whole);
      expect(await call(name, PATH)).toEqual(whole);
      expect(asked[0]!.init.method).toBe(operation.method.toUpperCase());
      for (const part of (operation.answer as Form).required!) {
        const { [part]: _, ...rest } = whole;
        answer = () => json(rest);
        await expect(call(name, PATH)).rejects.toThrow(AwayError);
        answer = () => json({ ...rest, [part]: { log: 'in' } });
        if ((operation.answer as Form).properties![part]!.type !== 'object')
          await expect(call(name, PATH)).rejects.toThrow(AwayError);
      }
    },
  );

  it('about something else than was asked for is nobody’s', async () => {
    answer = () => json({ id: 'another' });
    await expect(call('keepImage', { site: ID, id: ID })).rejects.toMatchObject({ why: 'stranger' });
  });

  it('that is a page, a list or nothing is a stranger’s; none at all is silence; a problem is a refusal', async () => {
    const problem = { type: 'x', title: 'No', status: 409, code: 'CONFLICT', detail: 'Kept already.' };
    for (const body of [[], null, 'page', {}]) {
      answer = () => json(body);
      await expect(call('listSites', {})).rejects.toMatchObject({ why: 'stranger' });
    }
    answer = () => ({ ok: false, status: 502, json: () => Promise.reject(new Error('html')) }) as unknown as Response;
    await expect(call('listSites', {})).rejects.toMatchObject({ why: 'stranger' });
    answer = () => Promise.reject(new TypeError('no server'));
    await expect(call('listSites', {})).rejects.toMatchObject({ why: 'silent' });
    answer = () => json(problem, 409);
    await expect(call('listSites', {})).rejects.toThrow(RefusedError);
  });
});
