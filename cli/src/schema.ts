/** `schema`: the JSON schema of everything that commands take as JSON. */
import { computeSchemas, FACT_BODIES, PaperSchemas } from '@idle-marker/contract';
import { METRES_PER_FILE_UNIT } from '@idle-marker/formats';
import { msg } from '@idle-marker/words';
import { argumentsOf } from './arguments.ts';
import { CommandFault } from './caller.ts';

/** What `read` takes as a case. */
const readCase = (kind: 'drawing' | 'control') => ({
  type: 'object',
  required: ['id', 'kind', 'input'],
  properties: {
    id: { type: 'string' },
    kind: { const: kind },
    input: {
      type: 'object',
      required: ['file'],
      properties: {
        file: { type: 'string' },
        unit: { enum: Object.keys(METRES_PER_FILE_UNIT) },
        order: { enum: ['EN', 'NE'] },
        columns: { type: 'array', items: { type: 'string' } },
        decimal: { enum: ['.', ','] },
      },
    },
  },
});

const schemas = (): Readonly<Record<string, object>> => ({
  drawing: readCase('drawing'),
  control: readCase('control'),
  ...computeSchemas(),
  ...Object.fromEntries(Object.entries(PaperSchemas).map(([kind, schema]) => [`paper.${kind}`, schema])),
  ...Object.fromEntries(Object.entries(FACT_BODIES).map(([type, schema]) => [`fact.${type}`, schema])),
});

export function runSchema(args: readonly string[]): number {
  const { positionals } = argumentsOf(args, { help: { type: 'boolean', short: 'h' } });
  const all = schemas();
  if (positionals.length === 0) {
    process.stdout.write(`${Object.keys(all).join('\n')}\n`);
    return 0;
  }
  const faults = positionals.filter((kind) => !Object.hasOwn(all, kind));
  if (faults.length > 0)
    throw new CommandFault(
      2,
      faults.map((value) => msg('commands.isNoneOf', { option: 'KIND', value, words: Object.keys(all).join(', ') })),
    );
  for (const kind of positionals)
    process.stdout.write(
      `${JSON.stringify({ $schema: 'http://json-schema.org/draft-07/schema#', title: kind, ...all[kind] }, null, 2)}\n`,
    );
  return 0;
}
