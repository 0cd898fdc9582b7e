import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { parse } from '@formatjs/icu-messageformat-parser';
import { askedWhileLoading, sentencesIn } from '../../scripts/prose.mjs';
import { MESSAGES } from '../src/messages/index.ts';

const PROJECT = join(import.meta.dirname, '../..');
const ROOMS = ['web', 'server', 'paper', 'press', 'archive', 'records', 'contract', 'cli', 'words'];

/**
 * Where text in code is no message: tables of languages and of messages themselves; the description of the API and what
 * the server tells its operator; drawings written as SVG; the structure of PDF and of workbooks; the help of commands; statements of migrations; the demo, which is data.
 */
const ELSEWHERE =
  /^(words\/src\/(messages|languages)\/|server\/src\/(openapi\/document|main|configuration)\.ts|server\/src\/(demo|database)\/|paper\/src\/svg\.ts|press\/src\/(pdf\/|sheets\/printing\.ts)|cli\/src\/(main|help)\.ts)/;

/** Names that programs read: under which something is kept, and words of a road as it is typed and kept. */
const NAMES = new Set([
  ...[
    'site grid',
    'check shot',
    'check sight',
    'board begins',
    'board paint',
    'photos waiting',
    'sources waiting',
    'in use',
    'control list',
    'us survey',
    'stops near',
    'link message',
  ],
  ...[
    'kerb on {}',
    'back top {}',
    'kerb on',
    'back top',
    'left kerb.back',
    'left kerb.face',
    'curve begins',
    'slope stake',
    'column face',
    'as built',
  ],
  ...[
    'simulated occupation {}',
    'free scale {}',
    'plan only {}',
    'height from {}',
    'idle-marker last {}',
    'idle-marker road {}',
    'crew page {}',
  ],
  ...['request failed', 'button, a, summary', 'Idle Marker'],
]);

const isSource = (name: string) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name);
const sources = ROOMS.flatMap((room) =>
  readdirSync(join(PROJECT, room, 'src'), { recursive: true, encoding: 'utf8' })
    .filter(isSource)
    .map((name) => join(room, 'src', name)),
);

describe('what a person reads', () => {
  it('stands in the tables of messages, and nowhere else', () => {
    const found = sources
      .filter((file) => !ELSEWHERE.test(file))
      .flatMap((file) =>
        sentencesIn(file, readFileSync(join(PROJECT, file), 'utf8')).map(({ line, text }) => ({
          place: `${file}:${line}`,
          text,
        })),
      )
      .filter(({ text }) => !NAMES.has(text));
    expect(found).toEqual([]);
  });

  it('is not asked for while a module is loaded', () => {
    const asked = (file: string) =>
      askedWhileLoading(file, readFileSync(join(PROJECT, file), 'utf8')).map((line) => `${file}:${line}`);
    expect(sources.flatMap(asked)).toEqual([]);
    expect(askedWhileLoading('a.ts', "const late = () => msg('a.b');\nconst soon = [msg('a.c')];")).toEqual([2]);
  });

  it('is found where it stands in code', () => {
    const found = (code: string) => sentencesIn('a.tsx', code).map(({ text }) => text);
    expect(found('const a = <p className="flex gap-2">Set <b>it</b> again</p>;')).toEqual(['Set', 'it', 'again']);
    expect(found('const a = <Button label="Cancel" look="primary" hint={`${n} marks wait`} />;')).toEqual([
      'Cancel',
      '{} marks wait',
    ]);
    expect(found("const a = { rough: 'Paint it', kind: 'on legs', b: x === 'by hand' };")).toEqual(['Paint it']);
    expect(found("db.execute('select id from site where id = ?'); useKept('line from', msg('a.b'));")).toEqual([]);
  });

  const keys = Object.entries(MESSAGES).flatMap(([room, table]) =>
    Object.entries(table).map(([key, text]) => [`${room}.${key}`, text] as const),
  );

  it('is a message that can be put together', () => {
    const faulty = keys.filter(([, text]) => {
      try {
        return parse(text, { ignoreTag: true }).length === 0;
      } catch {
        return true;
      }
    });
    expect(faulty).toEqual([]);
    expect(() => parse('{n, plural, one {# mark}', { ignoreTag: true })).toThrow();
  });

  it('is used', () => {
    const used = new Set(
      sources.flatMap((file) =>
        [...readFileSync(join(PROJECT, file), 'utf8').matchAll(/\b(?:msg|rich)\(\s*'([\w.]+)'/g)].map(
          ([, key]) => key!,
        ),
      ),
    );
    expect(keys.map(([key]) => key).filter((key) => !used.has(key))).toEqual([]);
  });
});
