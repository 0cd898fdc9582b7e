/** `report`: the papers of a site, made from its archive. */
import type { LabelFormat, PaperAsked, PaperKind } from '@idle-marker/contract';
import {
  asBuiltReport,
  controlReport,
  exportedAbout,
  memberName,
  sheetNotices,
  sitePaper,
  type NumberedSheet,
} from '@idle-marker/records';
import {
  asBuiltCsv,
  asBuiltPdf,
  controlReportPdf,
  paperMade,
  PaperRefused,
  sheetCsv,
  sheetPdf,
  sheetXlsx,
  type PaperSource,
} from '@idle-marker/press';
import { allLanguages, msg, sheetTroubleWords } from '@idle-marker/words';
import { argumentsOf, Wanted } from './arguments.ts';
import { CommandFault, give } from './caller.ts';
import { openSite, SITE_OPTIONS, type OpenSite } from './site.ts';

const PAPERS = [
  'sheet',
  'control-report',
  'as-built',
  'field-book',
  'setup',
  'shift',
  'labels',
  'cards',
  'sketch',
  'control-card',
  'control-labels',
] as const;
type Paper = (typeof PAPERS)[number];
const LABELS: readonly LabelFormat[] = [
  'a4of24',
  'a4of14',
  'a4of8',
  'letterOf30',
  'letterOf10',
  'roll24',
  'roll36',
  'roll62',
];
/** In which forms each comes; the first is usual. */
const FORMS: Readonly<Partial<Record<Paper, readonly string[]>>> = {
  sheet: ['pdf', 'csv', 'xlsx'],
  'as-built': ['pdf', 'csv'],
};

const OPTIONS = {
  ...SITE_OPTIONS,
  paper: { type: 'string' },
  form: { type: 'string' },
  number: { type: 'string' },
  revision: { type: 'string' },
  package: { type: 'string' },
  format: { type: 'string' },
  languages: { type: 'string' },
  day: { type: 'string' },
  setup: { type: 'string' },
  mark: { type: 'string' },
  'no-head': { type: 'boolean' },
} as const;

type Values = ReturnType<typeof argumentsOf<typeof OPTIONS>>['values'];

export async function runReport(args: readonly string[]): Promise<number> {
  const { values, positionals } = argumentsOf(args, OPTIONS);
  const wanted = new Wanted();
  const archive = wanted.need('ARCHIVE', positionals[0], 'site.zip');
  const paper = wanted.oneOf<Paper>('--paper', values.paper, PAPERS);
  const forms = FORMS[paper] ?? ['pdf'];
  const form = wanted.oneOf('--form', values.form, forms, forms[0]);
  needsOf(paper, values, wanted);
  // A paper on a screen of text is of no use to anybody.
  if (process.stdout.isTTY && form !== 'csv') wanted.need('--out', values.out, 'paper.pdf');
  wanted.settle();
  const site = await openSite(archive, values, wanted);
  wanted.settle();
  try {
    const made = await MAKERS[paper](site, values, wanted, form);
    wanted.settle();
    give(made, values.out);
    return 0;
  } catch (error) {
    if (error instanceof PaperRefused) throw new CommandFault(1, [error.message]);
    throw error;
  }
}

/** What has to be said for a paper; all of it is asked for at once. */
function needsOf(paper: Paper, values: Values, wanted: Wanted): void {
  if (paper === 'labels' || paper === 'cards' || paper === 'sketch') wanted.need('--package', values.package, 'NAME');
  if (paper === 'labels' || paper === 'control-labels') wanted.oneOf('--format', values.format, LABELS);
  if (paper === 'field-book') wanted.need('--day', values.day, '2031-05-06');
  if (paper === 'setup') wanted.need('--setup', values.setup, 'S1');
  if (paper === 'control-card') wanted.need('--mark', values.mark, 'K1');
}

type Maker = (site: OpenSite, values: Values, wanted: Wanted, form: string) => Promise<Uint8Array | string>;

/** A thing by its name; where there is none, the names that there are. */
function named<T>(
  option: string,
  name: string | undefined,
  list: readonly T[],
  nameOf: (each: T) => string,
  wanted: Wanted,
): T {
  const found = list.findLast((each) => nameOf(each) === name);
  if (found) return found;
  wanted.fault(msg('commands.isNoneOf', { option, value: name ?? '', words: list.map(nameOf).join(', ') || '–' }));
  wanted.settle();
  throw new CommandFault(2, []);
}

const made =
  <K extends PaperKind>(
    kind: K,
    asked: (site: OpenSite, values: Values, wanted: Wanted) => Omit<PaperAsked<K>, 'at' | 'by' | 'timeZone'>,
  ): Maker =>
  async (site, values, wanted) => {
    const { at, by, timeZone } = site;
    const paper = await paperMade(kind, sourceOf(site), {
      ...asked(site, values, wanted),
      at,
      by,
      timeZone,
    } as PaperAsked<K>);
    return paper.make(() => Promise.resolve());
  };

const sourceOf = ({ content, state, trust, by }: OpenSite): PaperSource => ({
  state,
  trust,
  by: memberName(state, by),
  photos: (ids) => Promise.resolve(content.files.filter(({ folder, id }) => folder === 'images' && ids.includes(id))),
  // Links of crews are no part of an archive.
  token: () => Promise.resolve(null),
});

const packageId = ({ state }: OpenSite, values: Values, wanted: Wanted): string =>
  named('--package', values.package, state.packages, ({ body }) => body.name, wanted).id;

const MAKERS: Readonly<Record<Paper, Maker>> = {
  sheet: async (site, values, wanted, form) => {
    const { sheet, id } = sheetOf(site, values, wanted);
    const notices = sheetNotices(site.state, site.trust)
      .filter((notice) => notice.sheet === id)
      .map((notice) => msg('answers.sinceThisSheetWasIssued', { sheetTrouble: sheetTroubleWords(notice.marks) }));
    if (form === 'csv') return sheetCsv(sheet, { head: values['no-head'] !== true });
    return form === 'xlsx' ? sheetXlsx(sheet, notices) : sheetPdf(sheet, { notices });
  },
  'control-report': ({ state, at, by, timeZone }) => controlReportPdf(controlReport(state, at, by), timeZone),
  'as-built': ({ state, trust, at, by, timeZone }, values, _wanted, form) => {
    const report = asBuiltReport(state, at, by);
    if (form === 'pdf') return asBuiltPdf(report, timeZone);
    const lines = values['no-head'] ? [] : exportedAbout(state, trust, { at, by }).lines;
    return Promise.resolve(asBuiltCsv(report, timeZone, lines));
  },
  'field-book': made('day', (_site, { day }) => ({ day: day! })),
  setup: made('setup', ({ state }, values, wanted) => ({
    occupation: named('--setup', values.setup, state.occupations, ({ body }) => body.name, wanted).id,
  })),
  shift: made('shift', () => ({})),
  labels: made('labels', (site, values, wanted) => ({
    package: packageId(site, values, wanted),
    format: values.format as LabelFormat,
  })),
  cards: made('cards', (site, values, wanted) => ({
    package: packageId(site, values, wanted),
    languages: (values.languages ?? 'en').split(',').map((code) => {
      const known = allLanguages().map((each) => each.code);
      return wanted.oneOf('--languages', code.trim(), known);
    }),
  })),
  sketch: made('sketch', (site, values, wanted) => ({
    package: packageId(site, values, wanted),
    paper: sitePaper(site.state.settings),
    upright: false,
    dimensions: true,
    diagonals: true,
    heights: true,
    offsets: true,
  })),
  'control-card': made('controlCard', ({ state }, values, wanted) => ({
    mark: named('--mark', values.mark, state.control, ({ revision }) => revision.body.name, wanted).revision.body.mark,
  })),
  'control-labels': made('controlLabels', (_site, { format }) => ({ format: format as LabelFormat })),
};

/** The sheet that was asked for by its number, the latest otherwise. */
function sheetOf({ content }: OpenSite, { number, revision }: Values, wanted: Wanted) {
  const matching = content.sheets.filter(
    (each) =>
      (number === undefined || String(each.number) === number) &&
      (revision === undefined || String(each.revision) === revision),
  );
  const found = matching.at(-1);
  if (!found) {
    const words = content.sheets.map((each) => `${each.number}.${each.revision}`).join(', ') || '–';
    wanted.fault(msg('commands.isNoneOf', { option: '--number', value: number ?? '', words }));
    wanted.settle();
    throw new CommandFault(2, []);
  }
  const { packageRoot: _packageRoot, ...sheet } = found.content;
  return { id: found.id, sheet: { ...sheet, number: found.number, revision: found.revision } as NumberedSheet };
}
