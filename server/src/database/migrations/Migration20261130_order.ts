import { Migration } from '@mikro-orm/migrations';

/**
 * The server's instant beside a stamp that lies after it: everything orders the fact by it. Written with the row, as
 * all of it.
 */
export class Migration20261130_order extends Migration {
  override up(): void {
    this.addSql('alter table fact add column ordered_at timestamptz check (ordered_at < at)');
  }

  override down(): void {
    this.addSql('alter table fact drop column if exists ordered_at');
  }
}
