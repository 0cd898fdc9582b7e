/** Papers that are made from the marks as they stand now and kept by nobody: labels, cards for the crew, sketches. */
import { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { closed, Instant, invalidAgainst, Type, Uuid, Words } from '@idle-marker/contract';
import { fileWord, PAPERS, type Paper, type SketchOptions } from '@idle-marker/paper';
import { crewView, cutSheet, siteState, trustOf, memberName, type CrewMark, type SiteState } from '@idle-marker/records';
import { linksOf } from '../crew/links.ts';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { ProblemError } from '../http/problems.ts';
import { sendPaper } from '../http/sendPaper.ts';
import { isTimeZone, TimeZone } from '../http/timeZone.ts';
import { cardsPdf } from './cardsPdf.ts';
import { LABEL_ROLLS, LABEL_SHEETS, labelsPdf, type LabelFormat } from './labelsPdf.ts';
import { sketchPdf } from './sketchPdf.ts';

const Formats = Words(...(Object.keys({ ...LABEL_SHEETS, ...LABEL_ROLLS }) as LabelFormat[]));
const Papers = Words(...(Object.keys(PAPERS) as Paper[]));

const Common = {
  at: Instant,
  by: Uuid,
  timeZone: TimeZone,
  /** The revision in force of the package. */
  package: Uuid,
  /** Keys of its marks; all that are set when there are none. */
  keys: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { maxItems: 5000 })),
  /** The crew's link that codes lead to. */
  link: Type.Optional(Uuid),
};

export const PaperSchemas = {
  labels: closed({ ...Common, format: Formats }),
  cards: closed({ ...Common, languages: Type.Array(Type.String({ minLength: 2, maxLength: 12 }), { minItems: 1, maxItems: 6 }) }),
  sketch: closed({
    ...Common,
    paper: Papers,
    upright: Type.Boolean(),
    dimensions: Type.Boolean(),
    diagonals: Type.Boolean(),
    heights: Type.Boolean(),
    offsets: Type.Boolean(),
  }),
} as const;
export type PaperKind = keyof typeof PaperSchemas;

interface Asked {
  readonly at: string;
  readonly by: string;
  readonly timeZone: string;
  readonly package: string;
  readonly keys?: readonly string[];
  readonly link?: string;
}

const isKind = (text: string): text is PaperKind => Object.hasOwn(PaperSchemas, text);

/** Address of a mark on a crew's page. */
export const markAddress = (publicAddress: string, token: string, name: string): string => `${publicAddress}/crew/${token}/${encodeURIComponent(name)}`;

export function paperRoutes(orm: MikroORM): Router {
  const router = Router();
  router.post('/sites/:site/papers/:kind', async (request, response) => {
    const site = uuidOf(request, 'site');
    const kind = String(request.params['kind']);
    if (!isKind(kind)) throw new ProblemError('NOT_FOUND', `There is no such paper: take ${Object.keys(PaperSchemas).join(', ')}.`);
    const invalid = invalidAgainst(PaperSchemas[kind], request.body);
    if (invalid) throw new ProblemError(invalid.code, `${invalid.message}. Nothing was printed.`, invalid.path);
    const asked = request.body as Asked & Record<string, unknown>;
    if (!isTimeZone(asked.timeZone)) throw new ProblemError('INVALID_INPUT', 'timeZone is not a time zone that is known, such as Europe/Berlin.', '/timeZone');
    const em = orm.em.fork();
    const facts = await readAllFacts(em, site);
    const state = facts.length > 0 ? siteState(facts) : null;
    const work = state?.packages.find((each) => each.id === asked.package);
    if (!state || !work) throw new ProblemError('MISSING_REFERENCE', 'This work package has not arrived, or a newer revision has taken its place.', '/package');
    const trust = trustOf(state, asked.at);
    const root = state.packageRoots.get(work.id)!;
    const address = await addressOf(em, site, state, asked.link);
    const names = asked.keys && new Set(work.body.plans.filter((plan) => asked.keys!.includes(plan.key)).map((plan) => plan.name));
    const { marks } = crewView(state, trust, { label: '', roots: [root], who: memberName(state, asked.by), at: asked.at });
    const chosen = marks.filter((mark) => !names || names.has(mark.name));
    if (chosen.length === 0) throw new ProblemError('INVALID_INPUT', 'None of these marks is set yet, so there is nothing to print.', '/keys');
    const title = `${work.body.name} · ${state.settings.name}`;
    await sendPaper(request, response, {
      name: `${kind}-${fileWord(work.body.name)}.pdf`,
      type: 'application/pdf',
      make: async (progress) => {
        switch (kind) {
          case 'labels':
            return labelsPdf(
              chosen.map((mark) => ({ name: mark.name, lines: linesOf(mark), address: address(mark.name), about: title })),
              asked['format'] as LabelFormat,
              `Labels: ${title}`,
              progress,
            );
          case 'cards':
            return cardsPdf(
              chosen.map((mark) => ({ reading: mark.reading, standing: mark.standing, address: address(mark.name) })),
              {
                title: `How to read the marks: ${title}`,
                unit: state.settings.lengthUnit,
                languages: asked['languages'] as string[],
                who: memberName(state, asked.by),
                foot: title,
                progress,
              },
            );
          case 'sketch': {
            const selection = asked.keys ? { name: '', keys: asked.keys } : null;
            const sheet = cutSheet(
              state,
              trust,
              { package: work, issuedBy: memberName(state, asked.by), issuedAt: asked.at, timeZone: asked.timeZone, selection },
              null,
            );
            return sketchPdf(sheet, asked as unknown as SketchOptions);
          }
        }
      },
    });
  });
  return router;
}

/** What the label says: the stake by its sides, or its flat lines where the sides were not kept. */
const linesOf = ({ written, stakeText, name }: CrewMark) => {
  const plain = (text: string) => ({ text, ruled: false, unusual: false });
  const lines = written ? [...written.front, ...written.left, ...written.right, ...written.back] : stakeText.map(plain);
  return lines.some((line) => line.text === name) ? lines : [plain(name), ...lines];
};

async function addressOf(
  em: Parameters<typeof linksOf>[0],
  site: string,
  state: SiteState,
  link: string | undefined,
): Promise<(name: string) => string | null> {
  if (link === undefined) return () => null;
  const known = (await linksOf(em, site)).find((each) => each.id === link);
  if (!known) throw new ProblemError('MISSING_REFERENCE', 'There is no such link for a crew on this site.', '/link');
  const { publicAddress } = state.settings;
  if (!publicAddress)
    throw new ProblemError(
      'INVALID_INPUT',
      'Say in the settings of the site under which address phones reach the crew’s page, or print without codes.',
      '/link',
    );
  return (name) => markAddress(publicAddress, known.token, name);
}
