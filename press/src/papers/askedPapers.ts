/** Papers that are made from the marks as they stand now and kept by nobody: labels, cards for the crew, sketches. */
import { formatLength, type TrustResult } from '@idle-marker/core';
import type { Fact, PaperAsked, PaperKind } from '@idle-marker/contract';
import { fileWord } from '@idle-marker/paper';
import {
  controlCard,
  crewMarks,
  cutSheet,
  dayBook,
  dayOf,
  setupBook,
  shiftHandover,
  sitePaper,
  stakesBefore,
  type CrewMark,
  type SetupBook,
  type ShiftHandover,
  type SiteState,
} from '@idle-marker/records';
import { msg, controlKindWords, LENGTH_DECIMALS, unitAbbreviationWords } from '@idle-marker/words';
import { dayPdf, setupPdf } from '../book/bookPdf.ts';
import { shiftPdf } from '../book/shiftPdf.ts';
import { canBePrinted } from '../pdf/photo.ts';
import type { Progress } from '../pdf/pdfPage.ts';
import { cardsPdf } from './cardsPdf.ts';
import { controlCardPdf } from './controlCardPdf.ts';
import { labelsPdf, type Label } from './labelsPdf.ts';
import { sketchPdf } from './sketchPdf.ts';

/** What every paper is made from. */
export interface PaperSource {
  readonly state: SiteState;
  readonly trust: TrustResult;
  readonly by: string;
  /** Photos as they are kept, by their ids; those that are not there are left out. */
  photos(ids: readonly string[]): Promise<readonly { readonly id: string; readonly bytes: Buffer }[]>;
  /** The word that opens a crew's page, by the link's id; null where there is no such link. */
  token(link: string): Promise<string | null>;
}

export interface PaperMade {
  readonly name: string;
  make(progress: Progress): Promise<Buffer>;
}

/** Why a paper was not made, and the field of what was asked that it is about. */
export class PaperRefused extends Error {
  readonly code: 'INVALID_INPUT' | 'MISSING_REFERENCE';
  readonly field: string | undefined;

  constructor(code: PaperRefused['code'], message: string, field?: string) {
    super(message);
    this.code = code;
    this.field = field;
  }
}

const PAPERS_OF: { readonly [K in PaperKind]: (source: PaperSource, asked: PaperAsked<K>) => Promise<PaperMade> } = {
  labels: async (source, asked) => {
    const address = await addressOf(source, asked.link);
    if (asked.before) {
      const work = workOf(source, asked.package);
      const title = `${work.body.name} · ${source.state.settings.name}`;
      const stakes = stakesBefore(source.state, work, asked.keys ?? null);
      if (stakes.length === 0) throw new PaperRefused('INVALID_INPUT', msg('papers.allOfThemAreSet'), '/keys');
      const labels = stakes.map(({ plan: { name }, stake: { faces } }) => ({
        name,
        lines: withName(name, [...faces.front, ...faces.left, ...faces.right, ...faces.back]),
        address: address(name),
        about: title,
      }));
      return {
        name: `labels-before-${fileWord(work.body.name)}.pdf`,
        make: (progress) => labelsPdf(labels, asked.format, msg('papers.labels', { title }), progress),
      };
    }
    const { work, marks, title } = marksOf(source, asked);
    const labels = marks.map((mark) => ({
      name: mark.name,
      lines: linesOf(mark),
      address: address(mark.name),
      about: title,
    }));
    return {
      name: `labels-${fileWord(work.body.name)}.pdf`,
      make: (progress) => labelsPdf(labels, asked.format, msg('papers.labels', { title }), progress),
    };
  },
  cards: async (source, asked) => {
    const { work, marks, title } = marksOf(source, asked);
    const address = await addressOf(source, asked.link);
    const cards = marks.map((mark) => ({
      reading: mark.reading,
      standing: mark.standing,
      address: address(mark.name),
    }));
    const about = {
      title: msg('papers.howToReadTheMarks', { title }),
      unit: source.state.settings.lengthUnit,
      languages: asked.languages,
      who: source.by,
      foot: msg('papers.howToReadTheMarks', { title }),
      paper: sitePaper(source.state.settings),
    };
    return {
      name: `cards-${fileWord(work.body.name)}.pdf`,
      make: (progress) => cardsPdf(cards, { ...about, progress }),
    };
  },
  sketch: (source, asked) => {
    const { work } = marksOf(source, asked);
    const selection = asked.keys ? { name: '', keys: asked.keys } : null;
    const order = { package: work, issuedBy: source.by, issuedAt: asked.at, timeZone: asked.timeZone, selection };
    return Promise.resolve({
      name: `sketch-${fileWord(work.body.name)}.pdf`,
      make: () => sketchPdf(cutSheet(source.state, source.trust, order, null), asked),
    });
  },
  setup: async (source, asked) => {
    const { state, trust } = source;
    const occupation = state.occupations.find((each) => each.id === asked.occupation);
    if (!occupation)
      throw new PaperRefused('MISSING_REFERENCE', msg('papers.thisSetUpHasNotArrivedYet'), '/occupation');
    const book = setupBook(state, trust, occupation);
    const photos = await photosOf(source, [book]);
    return {
      name: `set-up-${fileWord(occupation.body.name)}.pdf`,
      make: (progress) => setupPdf(book, { ...bookAsked(state, asked.timeZone, progress), photos }),
    };
  },
  day: async (source, asked) => {
    const { state, trust } = source;
    const book = dayBook(state, trust, asked.day, asked.timeZone);
    const photos = await photosOf(source, book.setups);
    return {
      name: `field-book-${asked.day}.pdf`,
      make: (progress) => dayPdf(book, { ...bookAsked(state, asked.timeZone, progress), photos }),
    };
  },
  shift: ({ state, trust, by }, asked) =>
    Promise.resolve({
      name: `for-who-comes-next-${dayOf(asked.at, asked.timeZone)}.pdf`,
      make: (progress) =>
        shiftPdf(shiftHandover(state, trust, saidNow(asked, by)), {
          ...bookAsked(state, asked.timeZone, progress),
          at: asked.at,
          by,
        }),
    }),
  controlCard: async (source, asked) => {
    const { state, by } = source;
    const card = controlCard(state, asked.mark);
    if (!card) throw new PaperRefused('MISSING_REFERENCE', msg('papers.thisControlMarkHasNotArrivedYet'), '/mark');
    const photos = await printablePhotos(source, card.photos);
    const { name, lengthUnit, angleUnit, axisOrder, siteZero, heightDatum } = state.settings;
    const about = {
      site: name,
      paper: sitePaper(state.settings),
      unit: lengthUnit,
      angleUnit,
      axes: axisOrder,
      siteZero,
      datum: heightDatum,
      timeZone: asked.timeZone,
      at: asked.at,
      by,
      photos,
    };
    return { name: `control-${fileWord(card.mark.revision.body.name)}.pdf`, make: () => controlCardPdf(card, about) };
  },
  controlLabels: ({ state }, asked) => {
    const { name, lengthUnit } = state.settings;
    const unit = unitAbbreviationWords()[lengthUnit];
    const marks = state.control.filter(({ revision }) => revision.body.condition !== 'lost');
    if (marks.length === 0) throw new PaperRefused('INVALID_INPUT', msg('papers.noControlMarkIsListedSoThere'));
    const labels = marks.map(({ revision: { body }, revisions }): Label => {
      const line = (text: string, ruled = false) => ({ text, ruled, unusual: false });
      const height =
        body.z === null
          ? msg('papers.noHeight')
          : msg('papers.height3', { length: formatLength(body.z, lengthUnit, LENGTH_DECIMALS), unit });
      return {
        name: body.name,
        lines: [
          line(body.name, true),
          line(height),
          line(`${controlKindWords()[body.kind]}${body.spot ? `: ${body.spot}` : ''}`),
          line(msg('papers.revision', { revisions: revisions.length })),
        ],
        address: null,
        about: msg('papers.controlOf', { name }),
      };
    });
    return Promise.resolve({
      name: `control-labels-${fileWord(name)}.pdf`,
      make: (progress) => labelsPdf(labels, asked.format, msg('papers.labelsOfControl', { name }), progress),
    });
  },
};

/** A paper by its kind; what it asks for has been held to the schema of that kind. */
export const paperMade = <K extends PaperKind>(
  kind: K,
  source: PaperSource,
  asked: PaperAsked<K>,
): Promise<PaperMade> =>
  // The schema was looked up by the same kind.
  (PAPERS_OF[kind] as (source: PaperSource, asked: PaperAsked<K>) => Promise<PaperMade>)(source, asked);

/** Photos that PDF can hold, the newest first; there is room for two. */
async function printablePhotos(source: PaperSource, photos: readonly Fact<'photo'>[]) {
  const found: { bytes: Buffer; caption: string }[] = [];
  for (const { body } of [...photos].reverse()) {
    if (found.length === MOST_PHOTOS) break;
    const [image] = await source.photos([body.image]);
    if (image && canBePrinted(image.bytes)) found.push({ bytes: image.bytes, caption: body.caption });
  }
  return found;
}
const MOST_PHOTOS = 2;

/** A day has hundreds at most; more would be no page any more. */
const MOST_BOOK_PHOTOS = 60;

/** Photos of some pages of the book that PDF can hold, by image. */
async function photosOf(source: PaperSource, books: readonly SetupBook[]): Promise<Map<string, Buffer>> {
  const wanted = books.flatMap((book) => book.photos.map(({ image }) => image)).slice(0, MOST_BOOK_PHOTOS);
  if (wanted.length === 0) return new Map();
  const rows = await source.photos(wanted);
  return new Map(rows.flatMap(({ id, bytes }) => (canBePrinted(bytes) ? [[id, bytes] as const] : [])));
}

const bookAsked = ({ settings }: SiteState, timeZone: string, progress: Progress) => ({
  site: settings.name,
  paper: sitePaper(settings),
  unit: settings.lengthUnit,
  axes: settings.axisOrder,
  angleUnit: settings.angleUnit,
  timeZone,
  progress,
});

/** The package that a paper is asked for. */
function workOf({ state }: PaperSource, id: string): Fact<'package'> {
  const work = state.packages.find((each) => each.id === id);
  if (!work) throw new PaperRefused('MISSING_REFERENCE', msg('papers.thisWorkPackageHasNotArrivedOr'), '/package');
  return work;
}

/** The marks of a package that are set, all or those that are asked for. */
function marksOf(source: PaperSource, asked: { readonly package: string; readonly keys?: readonly string[] }) {
  const { state, trust } = source;
  const work = workOf(source, asked.package);
  const names =
    asked.keys && new Set(work.body.plans.filter((plan) => asked.keys!.includes(plan.key)).map((plan) => plan.name));
  const marks = crewMarks(state, trust, [work]).filter((mark) => !names || names.has(mark.name));
  if (marks.length === 0) throw new PaperRefused('INVALID_INPUT', msg('papers.noneOfTheseMarksIsSetYet'), '/keys');
  return { work, marks, title: `${work.body.name} · ${state.settings.name}` };
}

/** Address of a mark on a crew's page. */
export const markAddress = (publicAddress: string, token: string, name: string): string =>
  `${publicAddress}/crew/${token}/${encodeURIComponent(name)}`;

/** What is said for who comes next as the page is asked for; null where it is what was said last. */
const saidNow = ({ at, note = '', unfinished = '' }: PaperAsked<'shift'>, by: string): ShiftHandover['note'] =>
  note === '' && unfinished === '' ? null : { at, by, text: note, unfinished };

/** What the label says: the stake by its sides, or its flat lines where the sides were not kept. */
const linesOf = ({ written, stakeText, name }: CrewMark) => {
  const plain = (text: string) => ({ text, ruled: false, unusual: false });
  const lines = written ? [...written.front, ...written.left, ...written.right, ...written.back] : stakeText.map(plain);
  return withName(name, lines);
};

/** A label without the mark's name would belong to any of them. */
const withName = (name: string, lines: readonly Label['lines'][number][]) =>
  lines.some((line) => line.text === name) ? lines : [{ text: name, ruled: false, unusual: false }, ...lines];

async function addressOf(
  { state, token }: PaperSource,
  link: string | undefined,
): Promise<(name: string) => string | null> {
  if (link === undefined) return () => null;
  const known = await token(link);
  if (known === null) throw new PaperRefused('MISSING_REFERENCE', msg('papers.thereIsNoSuchLinkForA'), '/link');
  const { publicAddress } = state.settings;
  if (!publicAddress) throw new PaperRefused('INVALID_INPUT', msg('papers.sayInTheSettingsOfTheSite'), '/link');
  return (name) => markAddress(publicAddress, known, name);
}
