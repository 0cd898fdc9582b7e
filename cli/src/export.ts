/** `export`: points, lines and sights of a site for other programs. */
import { rawSightsText } from '@idle-marker/contract';
import {
  controlCsv,
  controlLandXml,
  POINT_COLUMNS,
  pointsCsv,
  siteDxf,
  siteGeoJson,
  siteLandXml,
  type PointColumn,
  type PointGroup,
} from '@idle-marker/formats';
import {
  controlListVersion,
  exportedAbout,
  exportedLines,
  exportedPoints,
  exportedSetups,
  rawSightsOf,
} from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { argumentsOf, Wanted } from './arguments.ts';
import { give } from './caller.ts';
import { openSite, SITE_OPTIONS, type OpenSite } from './site.ts';

const FORMS = ['points-csv', 'dxf', 'landxml', 'geojson', 'control-csv', 'control-landxml', 'raw-sights'] as const;
type Form = (typeof FORMS)[number];
const GROUPS: readonly PointGroup[] = ['control', 'marks', 'planned', 'stations', 'asBuilt'];

const OPTIONS = {
  ...SITE_OPTIONS,
  as: { type: 'string' },
  groups: { type: 'string' },
  columns: { type: 'string' },
  setup: { type: 'string' },
  'no-head': { type: 'boolean' },
} as const;

export async function runExport(args: readonly string[]): Promise<number> {
  const { values, positionals } = argumentsOf(args, OPTIONS);
  const wanted = new Wanted();
  const archive = wanted.need('ARCHIVE', positionals[0], 'site.zip');
  const form = wanted.oneOf<Form>('--as', values.as, FORMS);
  const groups = listOf('--groups', values.groups, GROUPS, ['control', 'marks', 'stations', 'asBuilt'], wanted);
  const columns = listOf<PointColumn>('--columns', values.columns, POINT_COLUMNS, [], wanted);
  if (form === 'raw-sights') wanted.need('--setup', values.setup, 'S1');
  wanted.settle();
  const site = await openSite(archive, values, wanted);
  const text = textOf(site, form, { groups, columns, setup: values.setup, head: values['no-head'] !== true }, wanted);
  wanted.settle();
  give(text, values.out);
  return 0;
}

function listOf<W extends string>(
  option: string,
  text: string | undefined,
  words: readonly W[],
  usual: readonly W[],
  wanted: Wanted,
): readonly W[] {
  if (text === undefined) return usual;
  return text
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '')
    .map((each) => wanted.oneOf(option, each, words));
}

interface Asked {
  readonly groups: readonly PointGroup[];
  readonly columns: readonly PointColumn[];
  readonly setup: string | undefined;
  readonly head: boolean;
}

function textOf({ state, trust, at, by }: OpenSite, form: Form, asked: Asked, wanted: Wanted): string | Uint8Array {
  const about = exportedAbout(state, trust, { at, by });
  const table = asked.head ? about : { ...about, lines: [] };
  const points = exportedPoints(state, trust).filter(({ group }) => asked.groups.includes(group));
  const marks = state.control.map(({ revision }) => revision.body);
  switch (form) {
    case 'points-csv': {
      const inOrder: readonly PointColumn[] = about.axes === 'EN' ? ['e', 'n'] : ['n', 'e'];
      const usual: readonly PointColumn[] = ['name', ...inOrder, 'z', 'group', 'code', 'note'];
      return pointsCsv(points, asked.columns.length > 0 ? asked.columns : usual, table);
    }
    case 'dxf':
      return siteDxf(points, exportedLines(state), about);
    case 'landxml':
      return siteLandXml(points, exportedSetups(state), about);
    case 'geojson':
      return siteGeoJson(points, exportedLines(state), about);
    case 'control-csv':
      return controlCsv(marks, table);
    case 'control-landxml':
      return controlLandXml(marks, about, controlListVersion(state).version);
    case 'raw-sights': {
      const occupation = state.occupations.findLast(({ body }) => body.name === asked.setup);
      if (occupation) return rawSightsText(rawSightsOf(state, occupation));
      wanted.fault(
        msg('commands.isNoneOf', {
          option: '--setup',
          value: asked.setup ?? '',
          words: state.occupations.map(({ body }) => body.name).join(', '),
        }),
      );
      return '';
    }
  }
}
