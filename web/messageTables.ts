import { readdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { Plugin } from 'vite';

const FOLDER = join(import.meta.dirname, '../words/src/messages');
const INDEX = join(FOLDER, 'index.ts');
const TABLES = new Set(readdirSync(FOLDER).map((file) => basename(file, '.ts')));
/** 'table.message' as it stands in code. */
const KEY = /'([A-Za-z]+)\.[A-Za-z0-9]+'/g;

/**
 * Every table of messages goes where its messages are asked for: a page or a worker that says little fetches little.
 * The list of all tables is an empty one in the bundle; each table enters itself in it, and is imported by the modules
 * that name one of its messages.
 */
export const messageTables = (): Plugin => ({
  name: 'message-tables',
  enforce: 'pre',
  load: (id) => (id === INDEX ? 'export const MESSAGES = {};' : null),
  transform(code, id) {
    const file = id.split('?')[0]!;
    if (file === INDEX || !/\.tsx?$/.test(file) || file.includes('node_modules')) return null;
    if (file.startsWith(FOLDER)) {
      const table = basename(file, '.ts');
      return `${code}\nimport { MESSAGES } from './index.ts';\nMESSAGES['${table}'] = ${table};\n`;
    }
    const named = new Set([...code.matchAll(KEY)].map(([, table]) => table!).filter((table) => TABLES.has(table)));
    return [...named].map((table) => `import '${FOLDER}/${table}.ts';`).join('') + code;
  },
});
