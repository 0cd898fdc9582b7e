/**
 * Forms of point lists: which columns, in which order, with or without headings. Those that were given a name are kept
 * on this device, as the field computers that they are for lie beside it.
 */
import { POINT_COLUMNS, type CsvHead, type PointColumn } from '@idle-marker/formats';
import { msg, worded } from '@idle-marker/words';

export interface PointForm {
  readonly name: string;
  readonly columns: readonly PointColumn[];
  /** Lines above the headings that say what the file is. */
  readonly head: boolean;
  readonly headings: boolean;
  readonly separator: NonNullable<CsvHead['separator']>;
}

const FORMS_KEY = 'idle-marker point forms';
const CURRENT_KEY = 'idle-marker point form';

const USUAL: readonly PointColumn[] = ['name', 'e', 'n', 'z', 'group', 'code', 'note'];
const inOrder = (columns: readonly PointColumn[], axes: 'EN' | 'NE'): readonly PointColumn[] =>
  axes === 'EN' ? columns : columns.map((each) => (each === 'e' ? 'n' : each === 'n' ? 'e' : each));

/** The form of a table for people, in the order of the site. */
export const usualForm = (axes: 'EN' | 'NE'): PointForm => ({
  name: '',
  columns: inOrder(USUAL, axes),
  head: true,
  headings: true,
  separator: ',',
});

/** Bare lists as field computers take them. */
export const plainForms = worded((): readonly PointForm[] => {
  const plain = { head: false, headings: false, separator: ',' } as const;
  return [
    { ...plain, name: msg('handover.pointNorthEastElevationCode'), columns: ['name', 'n', 'e', 'z', 'code'] },
    { ...plain, name: msg('handover.pointEastNorthElevationCode'), columns: ['name', 'e', 'n', 'z', 'code'] },
  ];
});

const isColumn = (text: unknown): text is PointColumn => (POINT_COLUMNS as readonly unknown[]).includes(text);

function formOf(value: unknown): PointForm | null {
  const { name, columns, head, headings, separator } = (value ?? {}) as Partial<PointForm>;
  if (typeof name !== 'string' || !Array.isArray(columns)) return null;
  return {
    name,
    columns: columns.filter(isColumn),
    head: head !== false,
    headings: headings !== false,
    separator: separator === ';' || separator === '\t' ? separator : ',',
  };
}

function keptUnder(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null');
  } catch {
    return null;
  }
}

/** Forms that were given a name, by it. */
export function namedForms(): readonly PointForm[] {
  const kept = keptUnder(FORMS_KEY);
  return Array.isArray(kept) ? kept.map(formOf).filter((form) => form !== null) : [];
}

/** Keeps a form under its name, in the place of one that had it. */
export function keepForm(form: PointForm): readonly PointForm[] {
  const forms = [...namedForms().filter(({ name }) => name !== form.name), form].sort((a, b) =>
    a.name.localeCompare(b.name),
  );
  localStorage.setItem(FORMS_KEY, JSON.stringify(forms));
  return forms;
}

export function forgetForm(gone: string): readonly PointForm[] {
  const forms = namedForms().filter(({ name }) => name !== gone);
  localStorage.setItem(FORMS_KEY, JSON.stringify(forms));
  return forms;
}

/** The form that was used last; the usual one before. */
export const currentForm = (axes: 'EN' | 'NE'): PointForm => formOf(keptUnder(CURRENT_KEY)) ?? usualForm(axes);
export const rememberForm = (form: PointForm): void => localStorage.setItem(CURRENT_KEY, JSON.stringify(form));
