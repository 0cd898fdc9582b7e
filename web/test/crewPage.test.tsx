/** The page of a crew on its phone, over a server that answers, refuses, or is not there. */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter, Route, Routes } from 'react-router';
import { crewView, type CrewView } from '@idle-marker/records';
import { Place as CrewPage } from '../src/features/crew/CrewPlace.tsx';
import { HALL } from '../../records/test/story.ts';
import { Story } from './page.tsx';

const TOKEN = 'AbCdEfGhIjKlMnOpQrStUv';

/** What phones ask for: the page itself, and a place for what a crew reports. */
class Phones {
  view: CrewView;
  status = 200;
  away = false;
  readonly reports: { readonly id: string; readonly body: Record<string, unknown> }[] = [];
  constructor(view: CrewView) {
    this.view = view;
  }
  readonly fetch = (input: string | URL | Request, init?: RequestInit): Promise<Response> => {
    const url = typeof input === 'string' ? input : input instanceof URL ? input.href : input.url;
    if (this.away) return Promise.reject(new TypeError('no server'));
    const problem = { code: this.status === 410 ? 'LINK_ENDED' : 'NOT_FOUND', status: this.status, detail: 'no' };
    const answer = (body: object, status = this.status): Response =>
      ({
        ok: status < 400,
        status,
        json: () => Promise.resolve(status < 400 ? body : problem),
      }) as Partial<Response> as Response;
    if (init?.method === 'PUT') {
      this.reports.push({
        id: url.split('/').at(-1)!,
        body: JSON.parse(init.body as string) as Record<string, unknown>,
      });
      return Promise.resolve(answer({ id: this.reports.at(-1)!.id }));
    }
    return Promise.resolve(answer(this.view));
  };
}

const real = globalThis.fetch;
beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  globalThis.fetch = real;
});

/** A hall of eight hubs, and a shed whose corner A has the same name in another package. */
function site() {
  const story = new Story().control();
  const hall = story.work({ name: 'Hall' }, 'H');
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  const marks = hall.body.plans.map((_plan, i) => story.set(solution, hall, i));
  story.prove(solution, 'P2');
  return { story, hall, solution, marks };
}

const viewOf = (story: Story): CrewView =>
  crewView(story.state, story.trust(), { label: 'Formwork', roots: null, who: 'Mara, 555 0100', at: story.instant() });

function open(view: CrewView, name = '', at: Partial<Pick<Phones, 'status' | 'away'>> = {}) {
  const phones = Object.assign(new Phones(view), at);
  globalThis.fetch = phones.fetch;
  const queries = new QueryClient({ defaultOptions: { queries: { retryDelay: 1 } } });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[`/crew/${TOKEN}${name ? `/${encodeURIComponent(name)}` : ''}`]}>
        <Routes>
          <Route path="/crew/:token" element={<CrewPage />} />
          <Route path="/crew/:token/:name" element={<CrewPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { phones, user: userEvent.setup() };
}

describe('a stake on the crew’s page', () => {
  it('is found by its number, however that is typed', async () => {
    const { story, marks } = site();
    const { user } = open(viewOf(story));
    const name = marks[0]!.body.name;
    for (const typed of [name, name.toLowerCase().replace(/[^a-z]/g, ''), ` ${name.replace('-', ' ')} `]) {
      await user.type(await screen.findByLabelText('Number on the stake'), `${typed}{Enter}`);
      expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(name);
      expect(screen.getByText('good to build from')).toBeTruthy();
    }
  });
  it('is offered by a part of its number, and told apart from none', async () => {
    const { story } = site();
    const { user } = open(viewOf(story));
    const field = await screen.findByLabelText('Number on the stake');
    await user.type(field, 'a{Enter}');
    const offered = screen.getAllByRole('button', { name: /· Hall$/ });
    expect(offered.map(({ textContent }) => textContent)).toEqual(['H-A S · Hall', 'H-A W · Hall']);
    await user.click(offered[1]!);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('H-A W');
    await user.type(field, 'zz{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/^No stake zz\./);
    expect(screen.queryAllByRole('button', { name: /· Hall$/ })).toEqual([]);
    await user.click(screen.getByText(/^All stakes/));
    expect(within(screen.getByRole('list')).getAllByRole('button')).toHaveLength(8);
  });
  it('with the same number as another is asked for by its package', async () => {
    const { story, solution } = site();
    const shed = story.work(
      {
        name: 'Shed',
        items: [{ ...HALL, name: 'Shed', corners: HALL.corners.map((corner) => ({ ...corner, e: corner.e + 60 })) }],
      },
      'H',
    );
    story.set(
      solution,
      shed,
      shed.body.plans.findIndex((plan) => plan.name === 'H-A S'),
    );
    const { user } = open(viewOf(story), 'H-A S');
    expect(await screen.findByText('More than one stake is called H-A S. Which one is it?')).toBeTruthy();
    expect(screen.queryByRole('heading', { level: 1 })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'H-A S · Shed' }));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('H-A S');
    expect(screen.getByText('set, not verified yet')).toBeTruthy();
  });
  it('is read in the language that was chosen on this phone, also the next time', async () => {
    const { story, marks } = site();
    const view = viewOf(story);
    const { user } = open(view, marks[0]!.body.name);
    await user.selectOptions(await screen.findByLabelText('Language'), 'es');
    expect(screen.getByText(/^Busque junto al listón/)).toBeTruthy();
    expect(screen.getByText(/^En la estaca dice: offset = distancia/)).toBeTruthy();
    cleanup();
    open(view, marks[0]!.body.name);
    expect(await screen.findByText(/^Busque junto al listón/)).toBeTruthy();
  });
  it('that is in doubt or gone says so before anything else', async () => {
    const { story, marks } = site();
    story.say('report', { mark: marks[2]!.id, kind: 'destroyed', who: 'Jo', text: '' });
    open(viewOf(story), marks[2]!.body.name);
    expect(await screen.findByRole('article')).toBeTruthy();
    expect(within(screen.getByRole('article')).getByText('GONE: to be set again')).toBeTruthy();
    expect(screen.getByText(/^DO NOT BUILD FROM THIS MARK\. .* Ask Mara, 555 0100 first\.$/)).toBeTruthy();
    expect(screen.getByText('Reported. Do not build from it until it is set again.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Report a problem' })).toBeNull();
  });
});

describe('a report of a crew', () => {
  it('goes out with what happened and who saw it', async () => {
    const { story, marks } = site();
    const { phones, user } = open(viewOf(story), marks[0]!.body.name);
    await user.click(await screen.findByRole('button', { name: 'Report a problem' }));
    await user.type(screen.getByLabelText('What happened, if you know'), ' the loader ');
    await user.type(screen.getByLabelText('Your name'), 'Jo');
    story.say('report', { mark: marks[0]!.id, kind: 'moved', who: 'Jo', text: 'the loader' });
    phones.view = viewOf(story);
    await user.click(screen.getByRole('button', { name: 'Moved or hit' }));
    expect(phones.reports.map(({ body }) => body)).toEqual([
      { mark: marks[0]!.id, kind: 'moved', who: 'Jo', text: 'the loader' },
    ]);
    expect(await screen.findByText('Reported. Do not build from it until it is set again.')).toBeTruthy();
    expect(within(screen.getByRole('article')).getByText('IN DOUBT: do not build from it')).toBeTruthy();
  });
  it('is the same one when it is sent again after no answer, and can be left', async () => {
    const { story, marks } = site();
    const { phones, user } = open(viewOf(story), marks[0]!.body.name);
    await user.click(await screen.findByRole('button', { name: 'Report a problem' }));
    phones.away = true;
    await user.click(screen.getByRole('button', { name: 'Gone' }));
    expect(
      (await screen.findAllByRole('alert')).some(({ textContent }) =>
        textContent.startsWith('No connection. Find a signal'),
      ),
    ).toBe(true);
    phones.away = false;
    await user.click(screen.getByRole('button', { name: 'Gone' }));
    await user.click(screen.getByRole('button', { name: 'Gone' }));
    await waitFor(() => expect(phones.reports).toHaveLength(2));
    expect(new Set(phones.reports.map(({ id }) => id)).size).toBe(1);
    await user.click(screen.getByRole('button', { name: 'Back' }));
    expect(screen.queryByText('What is wrong with the stake?')).toBeNull();
  });
  it('that the server does not take names whom to ask', async () => {
    const { story, marks } = site();
    const { phones, user } = open(viewOf(story), marks[0]!.body.name);
    await user.click(await screen.findByRole('button', { name: 'Report a problem' }));
    phones.status = 429;
    await user.click(screen.getByRole('button', { name: 'Gone' }));
    expect(await screen.findByText('Ask Mara, 555 0100.')).toBeTruthy();
  });
});

describe('the page itself', () => {
  it('names the site and the crew, and nothing of either once it was closed', async () => {
    const { story } = site();
    open(viewOf(story));
    expect(await screen.findByText('Quay extension')).toBeTruthy();
    expect(screen.getByText('Formwork')).toBeTruthy();
    cleanup();
    open(viewOf(story), '', { status: 410 });
    expect((await screen.findByRole('alert')).textContent).toMatch(/^This link is no longer valid\./);
    expect(screen.queryByText('Quay extension')).toBeNull();
    expect(screen.queryByLabelText('Number on the stake')).toBeNull();
  });
  it('says when there is no answer', async () => {
    open(viewOf(site().story), '', { away: true });
    expect((await screen.findByRole('alert')).textContent).toMatch(/^No connection\. Find a signal/);
    expect(screen.queryByLabelText('Number on the stake')).toBeNull();
  });
});
