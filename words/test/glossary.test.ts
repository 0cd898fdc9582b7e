/** Terms that explain themselves. */
import { describe, expect, it } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { glossaryEntries, glossaryPage, type GlossaryEntry } from '../src/index.ts';

const PROJECT = join(import.meta.dirname, '../..');
const words = (text: string): string => text.replace(/\s+/g, ' ').trim();

describe('the glossary', () => {
  it('says of each term what it is, how it is computed and what is usual, in a sentence or two', () => {
    for (const { name, what, how, usual } of Object.values<GlossaryEntry>(glossaryEntries())) {
      expect(name).toMatch(/^[A-Z0-9]/);
      for (const text of [what, how, usual])
        expect([name, text, /[.?]$/.test(text) && text.length < 180]).toEqual([name, text, true]);
    }
  });
  it('is the page of the project', () => {
    expect(words(readFileSync(join(PROJECT, 'docs/glossary.md'), 'utf8'))).toBe(words(glossaryPage()));
  });
  it('is asked on the screen for most of its terms', () => {
    const sources = readdirSync(join(PROJECT, 'web/src'), { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.tsx'))
      .map((file) => readFileSync(join(PROJECT, 'web/src', file), 'utf8'))
      .join('\n');
    const asked = new Set([...sources.matchAll(/\bterm(?:=|: )["'](\w+)["']/g)].map(([, term]) => term!));
    const terms = Object.keys(glossaryEntries());
    expect([...asked].filter((term) => !terms.includes(term))).toEqual([]);
    expect(asked.size).toBeGreaterThan(terms.length * 0.75);
  });
});
