/** The interface for programs, against the server as it is built and started. */
import { randomUUID } from 'node:crypto';
import type { APIRequestContext } from '@playwright/test';
import { expect, test } from './site.ts';

const put = (request: APIRequestContext, change: object) => {
  const id = randomUUID();
  const fact = {
    id,
    type: 'note',
    at: '2031-05-06T08:00:00.000Z',
    device: 'program',
    seq: 1,
    by: randomUUID(),
    body: { text: 'x' },
    ...change,
  };
  return request.put(`/api/v1/sites/${randomUUID()}/facts/${id}`, { data: fact });
};

test('bad facts get a problem document that names the field', async ({ request }) => {
  for (const [change, code, field] of [
    [{ body: {} }, 'INVALID_INPUT', '/body/text'],
    [{ body: { text: '' } }, 'INVALID_INPUT', '/body/text'],
    [{ body: { text: 'a\u0000b' } }, 'INVALID_INPUT', '/body/text'],
    [{ body: { text: 'x', more: 1 } }, 'INVALID_INPUT', '/body/more'],
    [{ type: 'site', body: { name: 'x' } }, 'INVALID_NUMBER', '/body/siteZero'],
    [{ type: 'member', body: { name: 3 } }, 'INVALID_INPUT', '/body/name'],
    [{ at: '2031-02-30T08:00:00Z' }, 'INVALID_INPUT', '/at'],
    [{ seq: 0.5 }, 'INVALID_INPUT', '/seq'],
  ] as const) {
    const response = await put(request, change);
    expect(response.status()).toBe(422);
    expect(response.headers()['content-type']).toContain('application/problem+json');
    const problem = await response.json();
    expect(problem).toMatchObject({ status: 422, code, field });
    expect(problem.detail).toMatch(/Nothing was saved\.$/);
  }
});

test('a fact from somebody who has not arrived waits, and odd addresses are told apart', async ({ request }) => {
  expect((await put(request, {})).status()).toBe(409);
  expect((await request.get('/api/v1/sites/7/facts')).status()).toBe(400);
  expect((await request.get('/api/v1/nothing')).status()).toBe(404);
  expect(await (await request.get('/healthz')).json()).toMatchObject({
    status: 'ok',
    database: 'answers',
    writes: 'taken',
  });
});

test('the description of the interface is there, made from the schemas', async ({ request }) => {
  const { openapi, paths, components } = await (await request.get('/api/v1/openapi.json')).json();
  expect(openapi).toMatch(/^3\./);
  expect(Object.keys(paths)).toContain('/sites/{site}/facts/{id}');
  expect(JSON.stringify(components)).toContain('"combinedScaleFactor"');
});
