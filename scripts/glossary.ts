/** Prints docs/glossary.md: the terms that explain themselves on the screen. `node scripts/run.mjs scripts/glossary.ts` */
import { glossaryPage } from '@idle-marker/words';

process.stdout.write(glossaryPage());
