import { readdirSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import type { Plugin } from 'vite';

const FOLDER = join(import.meta.dirname, '../words/src/messages');
const BRITISH = join(FOLDER, 'british');
const tablesIn = (folder: string) => new Set(readdirSync(folder).map((file) => basename(file, '.ts')));
const TABLES = tablesIn(FOLDER);
const BRITISH_TABLES = tablesIn(BRITISH);
/** The lists of all tables, by the name they are exported under. */
const LISTS = new Map([
  [join(FOLDER, 'index.ts'), 'MESSAGES'],
  [join(BRITISH, 'index.ts'), 'BRITISH_MESSAGES'],
]);
/** 'table.message' as it stands in code. */
const KEY = /'([A-Za-z]+)\.[A-Za-z0-9]+'/g;

/**
 * Every table of messages goes where its messages are asked for: a page or a worker that says little fetches little.
 * The lists of all tables are empty ones in the bundle; each table enters itself in its list, and is imported by the
 * modules that name one of its messages, together with its British one.
 */
export const messageTables = (): Plugin => ({
  name: 'message-tables',
  enforce: 'pre',
  load: (id) => (LISTS.has(id) ? `export const ${LISTS.get(id)!} = {};` : null),
  transform(code, id) {
    const file = id.split('?')[0]!;
    if (LISTS.has(file) || !/\.tsx?$/.test(file) || file.includes('node_modules')) return null;
    if (file.startsWith(FOLDER)) {
      const table = basename(file, '.ts');
      if (!TABLES.has(table)) return null;
      const list = dirname(file) === BRITISH ? 'BRITISH_MESSAGES' : 'MESSAGES';
      const other = list === 'MESSAGES' && BRITISH_TABLES.has(table) ? `import './british/${table}.ts';\n` : '';
      return `${code}\n${other}import { ${list} } from './index.ts';\n${list}['${table}'] = ${table};\n`;
    }
    const named = new Set([...code.matchAll(KEY)].map(([, table]) => table!).filter((table) => TABLES.has(table)));
    return [...named].map((table) => `import '${FOLDER}/${table}.ts';`).join('') + code;
  },
});
