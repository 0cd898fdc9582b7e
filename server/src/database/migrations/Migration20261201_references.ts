import { Migration } from '@mikro-orm/migrations';
import { insertLaterReferences } from '../laterReferences.ts';

/** References that facts had in their bodies alone. One whose fact is not there stays without. */
export class Migration20261201_references extends Migration {
  override up(): void {
    this.addSql(insertLaterReferences());
  }

  override down(): void {
    // What was written is true of the facts whichever version reads them.
  }
}
