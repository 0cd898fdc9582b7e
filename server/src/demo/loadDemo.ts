/** Loads the demo site from its open files, once, through the same imports that users use. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import type { AnyFact, FactBody } from '@idle-marker/contract';
import { hubPlans } from '@idle-marker/records';
import { query } from '../database/query.ts';
import { v5 } from '../control/nameUuid.ts';
import { importControl } from '../control/controlImport.ts';
import { appendFacts } from '../facts/ledger.ts';
import { validFact } from '../facts/routes.ts';

interface DemoSite {
  readonly id: string;
  readonly site: FactBody<'site'>;
  readonly members: readonly string[];
  readonly controlList: string;
  readonly packages: readonly (Omit<FactBody<'package'>, 'plans' | 'supersedes'> & { readonly prefix: string })[];
}

/** Minutes before now that the demo's office work is dated. */
const PREPARED_MINUTES_AGO = 24 * 60;

export async function loadDemo(orm: MikroORM, folder: string, now: string | null, log: Logger): Promise<void> {
  const demo = JSON.parse(await readFile(join(folder, 'site.json'), 'utf8')) as DemoSite;
  const em = orm.em.fork();
  const known = await query<{ id: string }>(em, 'select id from site where id = ?', [demo.id]);
  if (known.length > 0) return;
  const at = new Date((now ? Date.parse(now) : Date.now()) - PREPARED_MINUTES_AGO * 60_000).toISOString();
  const id = (name: string) => v5(demo.id, name);
  const lead = id(`member/${demo.members[0]}`);
  let seq = 0;
  const fact = (name: string, type: AnyFact['type'], body: object): AnyFact =>
    validFact({ id: id(name), type, at, device: 'site office', seq: seq++, by: type === 'site' || type === 'member' ? null : lead, body });
  const facts: AnyFact[] = [fact('site', 'site', demo.site), ...demo.members.map((name) => fact(`member/${name}`, 'member', { name }))];
  for (const asked of demo.packages) facts.push(fact(`package/${asked.name}`, 'package', packageBody(asked)));
  const list = await readFile(join(folder, demo.controlList), 'utf8');
  await em.transactional(async (transaction) => {
    await appendFacts(transaction, demo.id, facts);
    await importControl(transaction, demo.id, id('control list'), list, {
      at,
      by: lead,
      fileName: demo.controlList,
      unit: demo.site.lengthUnit,
      xIsNorth: false,
      sdHMm: 2,
      sdZMm: 2,
      skipRows: [],
      swapRows: [],
    });
  });
  log.info(`demo site ${demo.site.name} loaded`);
}

function packageBody({ prefix, ...asked }: DemoSite['packages'][number]): FactBody<'package'> {
  const plans = hubPlans(asked.items, asked.offset, prefix);
  if (!plans.ok) throw new Error(`${asked.name}, ${plans.error.item}: ${plans.error.code}`);
  return { ...asked, plans: plans.value, supersedes: null };
}
