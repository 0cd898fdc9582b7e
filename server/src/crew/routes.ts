import { Router, type Request } from 'express';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import {
  CrewLinkSchema,
  CrewReportSchema,
  invalidAgainst,
  type AnyFact,
  type CrewLinkAsked,
  type Fact,
} from '@idle-marker/contract';
import { crewView, siteState, trustOf, type CrewView } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { lastArrival } from '../database/facts.ts';
import { photoOf } from '../database/files.ts';
import { lockQueue } from '../database/sites.ts';
import { ProblemError } from '../http/problems.ts';
import { inWordingOfLink } from '../http/wording.ts';
import { appendFacts, orderedOnArrival, readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { validFact } from '../facts/sendable.ts';
import { linksOf, makeLink, openLink, revokeLink, type CrewLink } from './links.ts';

/** More reports than this in an hour are no crew's. */
const MOST_REPORTS_AN_HOUR = 60;
const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;
/** Pages of links that are kept ready. */
const MOST_KEPT = 50;

/** What a link is to whoever made it. */
const linkJson = ({ site: _site, member: _member, ...link }: CrewLink) => link;

type Clock = () => Date;

/** Making and ending links: for members of the site. */
export function crewLinkRoutes(orm: MikroORM, clock: Clock): Router {
  const router = Router();
  router.get('/sites/:site/crew-links', async (request, response) => {
    response.json({
      links: (await linksOf(orm.em.fork(), uuidOf(request, 'site'))).map(linkJson),
      now: clock().toISOString(),
    });
  });
  router.put('/sites/:site/crew-links/:id', async (request, response) => {
    const invalid = invalidAgainst(CrewLinkSchema, request.body);
    if (invalid)
      throw new ProblemError(invalid.code, msg('answers.noLinkWasMade', { message: invalid.message }), invalid.path);
    const { link, fresh } = await makeLink(
      orm.em.fork(),
      uuidOf(request, 'site'),
      uuidOf(request, 'id'),
      request.body as CrewLinkAsked,
      clock(),
    );
    response.status(fresh ? 201 : 200).json(linkJson(link));
  });
  router.delete('/sites/:site/crew-links/:id', async (request, response) => {
    response.json(linkJson(await revokeLink(orm.em.fork(), uuidOf(request, 'site'), uuidOf(request, 'id'), clock())));
  });
  return router;
}

/** What a crew may do with its token: read its marks, and say that one is gone or was hit. */
export function crewRoutes(orm: MikroORM, clock: Clock): Router {
  const router = Router();
  const opened = (em: EntityManager, request: Request): Promise<CrewLink> =>
    openLink(em, String(request.params['token']), clock());
  const viewOf = async (em: EntityManager, link: CrewLink) => {
    const facts = await readAllFacts(em, link.site);
    const state = siteState(facts);
    // A record of a clock that runs ahead must not lie in the future of the judgement.
    const at = new Date(Math.max(clock().getTime(), Date.parse(state.timeline.at(-1)!.at))).toISOString();
    return {
      facts,
      view: crewView(state, trustOf(state, at), { label: link.label, roots: link.roots, who: link.who, at }),
    };
  };
  router.use('/crew/:token', (_request, response, next) => {
    // The address is the key: no cache and no other page may get to know it.
    response.setHeader('Cache-Control', 'no-store');
    response.setHeader('Referrer-Policy', 'no-referrer');
    next();
  });
  router.use('/crew/:token', inWordingOfLink(orm));
  // A crew asks for the same page again and again: it is made anew when the site has changed, and by the minute.
  const made = new Map<string, { readonly of: string; readonly view: Promise<CrewView> }>();
  const viewNow = async (em: EntityManager, link: CrewLink): Promise<CrewView> => {
    const last = await lastArrival(em, link.site);
    const of = `${last} ${Math.floor(clock().getTime() / MINUTE_MS)}`;
    const known = made.get(link.id);
    if (known?.of === of) return known.view;
    const view = viewOf(em, link).then((each) => each.view);
    made.delete(link.id);
    if (made.size >= MOST_KEPT) made.delete(made.keys().next().value!);
    made.set(link.id, { of, view });
    view.catch(() => made.delete(link.id));
    return view;
  };
  router.get('/crew/:token', async (request, response) => {
    const em = orm.em.fork();
    response.json(await viewNow(em, await opened(em, request)));
  });
  router.put('/crew/:token/reports/:id', async (request, response) => {
    const em = orm.em.fork();
    const link = await opened(em, request);
    const invalid = invalidAgainst(CrewReportSchema, request.body);
    if (invalid)
      throw new ProblemError(
        invalid.code,
        msg('answers.nothingWasReported', { message: invalid.message }),
        invalid.path,
      );
    const report = request.body as { mark: string; kind: 'destroyed' | 'moved'; who: string; text: string };
    const id = uuidOf(request, 'id');
    await em.transactional(async (transaction) => {
      await lockQueue(transaction, 'reports', link.id);
      const { facts, view } = await viewOf(transaction, link);
      if (facts.some((fact) => fact.id === id)) return;
      if (!view.marks.some((mark) => mark.id === report.mark))
        throw new ProblemError('NOT_FOUND', msg('answers.thisMarkIsNotOnThisPage'), '/mark');
      const now = clock();
      const recent = facts.filter(
        (fact) => fact.by === link.member && fact.type === 'report' && now.getTime() - Date.parse(fact.at) < HOUR_MS,
      );
      if (recent.length >= MOST_REPORTS_AN_HOUR)
        throw new ProblemError('TOO_MANY', msg('answers.soManyReportsInAnHourAre'));
      await appendFacts(transaction, link.site, reportFacts(link, id, report, now, facts), orderedOnArrival(null));
    });
    response.status(201).json({ id });
  });
  router.get('/crew/:token/images/:id', async (request, response) => {
    const em = orm.em.fork();
    const link = await opened(em, request);
    const id = uuidOf(request, 'id');
    const view = await viewNow(em, link);
    const shown = view.marks.some((mark) => mark.photos.some((photo) => photo.image === id));
    const image = shown ? await photoOf(em, link.site, id) : undefined;
    if (!image) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchPhotoOnThis'));
    response.type(image.mediaType).send(image.bytes);
  });
  return router;
}

/** The report, and the crew itself where it speaks for the first time. */
function reportFacts(
  link: CrewLink,
  id: string,
  body: Fact<'report'>['body'],
  now: Date,
  facts: readonly AnyFact[],
): AnyFact[] {
  const device = `crew page ${link.id.slice(0, 8)}`;
  const said = facts.filter((fact) => fact.device === device);
  const seq = said.reduce((most, fact) => Math.max(most, fact.seq), -1) + 1;
  const at = now.toISOString();
  const isKnown = facts.some((fact) => fact.id === link.member);
  const member = {
    id: link.member,
    type: 'member',
    at,
    device,
    seq,
    by: link.member,
    body: { name: link.label, crew: true },
  };
  const report = { id, type: 'report', at, device, seq: isKnown ? seq : seq + 1, by: link.member, body };
  return [...(isKnown ? [] : [member]), report].map(validFact);
}
