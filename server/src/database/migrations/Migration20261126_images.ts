import { Migration } from '@mikro-orm/migrations';

/** Photographs, kept as they came. */
export class Migration20261126_images extends Migration {
  override up(): void {
    this.addSql(`create table image (
      id uuid primary key,
      site_id uuid not null references site (id),
      media_type text not null check (media_type in ('image/jpeg', 'image/png', 'image/webp')),
      digest text not null check (digest ~ '^[0-9a-f]{64}$'),
      bytes bytea not null,
      received_at timestamptz not null default now()
    )`);
    this.addSql(
      'create trigger image_kept before update or delete on image for each row execute function refuse_change()',
    );
    this.addSql(
      'create trigger image_kept_whole before truncate on image for each statement execute function refuse_change()',
    );
  }

  override down(): void {
    this.addSql('drop table if exists image');
  }
}
