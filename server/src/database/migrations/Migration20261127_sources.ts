import { Migration } from '@mikro-orm/migrations';

/** Files that designs came in, kept as they came. */
export class Migration20261127_sources extends Migration {
  override up(): void {
    this.addSql(`create table source_file (
      id uuid primary key,
      site_id uuid not null references site (id),
      digest text not null check (digest ~ '^[0-9a-f]{64}$'),
      bytes bytea not null,
      received_at timestamptz not null default now()
    )`);
    this.addSql(
      'create trigger source_file_kept before update or delete on source_file for each row execute function refuse_change()',
    );
    this.addSql(
      'create trigger source_file_kept_whole before truncate on source_file for each statement execute function refuse_change()',
    );
  }

  override down(): void {
    this.addSql('drop table if exists source_file');
  }
}
