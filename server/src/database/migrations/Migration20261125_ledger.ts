import { Migration } from '@mikro-orm/migrations';

/** Sites, the ledger of facts with its references, and issued sheets. */
export class Migration20261125_ledger extends Migration {
  override up(): void {
    this.addSql(`create table site (
      id uuid primary key,
      created_at timestamptz not null default now()
    )`);
    this.addSql(`create table fact (
      id uuid primary key,
      received bigint generated always as identity unique,
      site_id uuid not null references site (id),
      type text not null check (type ~ '^[a-z][a-zA-Z]{1,30}$'),
      at timestamptz not null,
      device text not null check (length(device) between 1 and 60),
      seq bigint not null check (seq >= 0),
      by_id uuid references fact (id),
      body jsonb not null check (jsonb_typeof(body) = 'object'),
      digest text not null check (digest ~ '^[0-9a-f]{64}$'),
      received_at timestamptz not null default now(),
      constraint fact_order unique (site_id, device, seq)
    )`);
    this.addSql('create index fact_of_site on fact (site_id, received)');
    this.addSql('create index fact_of_type on fact (site_id, type)');
    this.addSql(`create table fact_reference (
      from_id uuid not null references fact (id),
      to_id uuid not null references fact (id),
      primary key (from_id, to_id)
    )`);
    this.addSql('create index fact_reference_to on fact_reference (to_id)');
    this.addSql(`create table sheet (
      id uuid primary key,
      site_id uuid not null references site (id),
      number integer not null check (number > 0),
      revision integer not null check (revision > 0),
      content jsonb not null,
      issued_at timestamptz not null,
      constraint sheet_number unique (site_id, number, revision)
    )`);
    // Facts are appended. A correction is a new row; the database itself refuses anything else.
    this.addSql(`create function refuse_change() returns trigger language plpgsql as $$
      begin raise exception 'rows of % are kept as they are', tg_table_name using errcode = 'integrity_constraint_violation'; end $$`);
    for (const table of ['fact', 'fact_reference', 'sheet']) {
      this.addSql(
        `create trigger ${table}_kept before update or delete on ${table} for each row execute function refuse_change()`,
      );
      this.addSql(
        `create trigger ${table}_kept_whole before truncate on ${table} for each statement execute function refuse_change()`,
      );
    }
  }

  override down(): void {
    for (const table of ['sheet', 'fact_reference', 'fact', 'site']) this.addSql(`drop table if exists ${table}`);
    this.addSql('drop function if exists refuse_change()');
  }
}
