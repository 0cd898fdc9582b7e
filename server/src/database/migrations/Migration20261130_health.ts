import { Migration } from '@mikro-orm/migrations';

/** One row that is written to see whether writing goes through. */
export class Migration20261130_health extends Migration {
  override up(): void {
    this.addSql('create table health (id integer primary key check (id = 1), at timestamptz not null)');
  }

  override down(): void {
    this.addSql('drop table if exists health');
  }
}
