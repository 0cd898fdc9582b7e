/** Renders parts of the interface over a site that a story tells, in a page without a browser. */
import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import type { ReactNode } from 'react';
import { cleanup, configure, render, type RenderResult } from '@testing-library/react';
import { userEvent, type UserEvent } from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter } from 'react-router';
import { DRAWING_READING } from '@idle-marker/formats';
import { digestOfBytes, readRawSights, type AnyFact, type Fact } from '@idle-marker/contract';
import { rawSightsFaultWords } from '@idle-marker/words';
import { newId, Story } from '../../records/test/story.ts';
import { keepBeside } from '../src/data/beside.ts';
import { openSite } from '../src/data/ledger.ts';
import { SiteProvider } from '../src/site/SiteContext.tsx';
import { judgedSite } from '../src/site/siteStore.ts';

// A busy machine takes longer than a second to draw a page; nothing here measures time.
configure({ asyncUtilTimeout: 30_000 });

export const SITE_ID = '11111111-1111-4111-8111-111111111111';

/** A server that keeps what it is sent, and can be away. */
export class Server {
  readonly stored: AnyFact[] = [];
  readonly refused = new Map<string, { readonly status: number; readonly body: object }>();
  /** Sheets that were issued before, and orders for new ones. */
  readonly sheets: object[] = [];
  readonly orders: Record<string, unknown>[] = [];
  /** Entries that it would not take today. */
  readonly quarantined: object[] = [];
  /** Other sites of the same server, with their records. */
  readonly elsewhere: { readonly id: string; readonly name: string; readonly facts: readonly AnyFact[] }[] = [];
  away = false;
  /** Which of all ledgers it has. */
  ledger = 'one';
  /** How many facts came together, each time. */
  readonly batches: number[] = [];
  /** Answers in its place. */
  stranger: Response | null = null;

  private keep(fact: AnyFact): object {
    const refusal = this.refused.get(fact.type);
    if (refusal) return { id: fact.id, problem: { status: refusal.status, ...refusal.body } };
    if (!this.stored.some((each) => each.id === fact.id)) this.stored.push(fact);
    return { id: fact.id, written: true };
  }

  readonly fetch = (input: string | URL | Request, init?: RequestInit): Promise<Response> => {
    const url = typeof input === 'string' ? input : input instanceof URL ? input.href : input.url;
    if (this.away) return Promise.reject(new TypeError('no server'));
    if (this.stranger) return Promise.resolve(this.stranger);
    if (url.endsWith('/raw-sights')) return Promise.resolve(rawAnswer(init?.body as string));
    if (url.endsWith('/api/v1/sites'))
      return Promise.resolve(answer({ sites: this.elsewhere.map(({ id, name }) => ({ id, name, lastAt: null })) }));
    const other = this.elsewhere.find(({ id }) => url.includes(`/sites/${id}/facts`));
    if (other)
      return Promise.resolve(answer({ facts: other.facts, cursor: other.facts.length, more: false, ledger: 'two' }));
    if (url.endsWith('/quarantine')) return Promise.resolve(answer({ quarantined: this.quarantined }));
    if (url.endsWith('/sheets')) return Promise.resolve(answer({ sheets: this.sheets }));
    if (init?.method === 'PUT' && url.includes('/sheets/')) {
      this.orders.push(JSON.parse(init.body as string) as Record<string, unknown>);
      const refusal = this.refused.get('sheet');
      return Promise.resolve(refusal ? refused(refusal) : answer({ rows: [], number: 1, revision: 1 }, 201));
    }
    if (init?.method === 'PUT' && /\/(images|sources)\//.test(url))
      return Promise.resolve(answer({ id: url.split('/').at(-1) }, 201));
    if (init?.method === 'POST' && url.endsWith('/facts')) {
      const { facts } = JSON.parse(init.body as string) as { facts: AnyFact[] };
      this.batches.push(facts.length);
      const down = facts
        .map(({ type }) => this.refused.get(type))
        .find((each) => each && [503, 507].includes(each.status));
      if (down) return Promise.resolve(refused(down));
      return Promise.resolve(answer({ results: facts.map((fact) => this.keep(fact)) }));
    }
    const after = Number(/after=(\d+)/.exec(url)?.[1] ?? 0);
    return Promise.resolve(
      answer({
        facts: this.stored.slice(after).map((fact) => ({ receivedAt: fact.at, ...fact })),
        cursor: this.stored.length,
        more: false,
        ledger: this.ledger,
      }),
    );
  };
}

const answer = (body: object, status = 200): Response =>
  ({ ok: status < 400, status, json: () => Promise.resolve(body) }) as Partial<Response> as Response;

const refused = ({ status, body }: { readonly status: number; readonly body: object }): Response =>
  answer({ status, ...body }, status);

function rawAnswer(text: string): Response {
  const read = readRawSights(text);
  return read.ok
    ? answer(read.value)
    : refused({ status: 422, body: { code: 'INVALID_FILE', detail: rawSightsFaultWords(read.error) } });
}

export const server = new Server();
globalThis.fetch = server.fetch;

interface Shown extends RenderResult {
  readonly user: UserEvent;
  /** The same page after more was said on the site. */
  follow(): void;
}

/** Shows `children` as the person of the story would see them. */
export function show(story: Story, children: ReactNode): Shown {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const page = (node: ReactNode) => (
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <SiteProvider id={SITE_ID} judged={judgedSite(story.state)} who={story.who}>
          {node}
        </SiteProvider>
      </MemoryRouter>
    </QueryClientProvider>
  );
  const rendered = render(page(children));
  return { ...rendered, user: userEvent.setup(), follow: () => rendered.rerender(page(children)) };
}

/** A drawing of the story whose file is in this browser. */
export async function keptDrawing(story: Story, fileName: string, data: Uint8Array): Promise<Fact<'drawing'>> {
  const file = newId();
  // Of the page's own kind, whatever read them.
  const bytes = new Uint8Array(data);
  await keepBeside(SITE_ID, 'sources', file, { mediaType: 'application/octet-stream', bytes: bytes.slice().buffer });
  return story.say('drawing', {
    drawing: newId(),
    name: fileName.replace(/\..*$/, ''),
    fileName,
    format: 'dxf',
    file,
    bytes: bytes.length,
    digest: digestOfBytes(bytes),
    unit: { name: 'metres', metres: 1 },
    placing: null,
    hidden: [],
    elements: 1,
    reading: DRAWING_READING,
    retired: false,
    supersedes: null,
  });
}

/** Facts that the interface said since the site was opened. */
export const said = (): readonly AnyFact[] => server.stored;

export async function begin(): Promise<void> {
  localStorage.clear();
  cleanup();
  server.stored.length = 0;
  server.elsewhere.length = 0;
  server.refused.clear();
  server.sheets.length = 0;
  server.quarantined.length = 0;
  server.orders.length = 0;
  server.away = false;
  server.ledger = 'one';
  server.batches.length = 0;
  server.stranger = null;
  await openSite(SITE_ID);
}

export { jest, Story };
