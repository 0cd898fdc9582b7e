import { Migration } from '@mikro-orm/migrations';

/** Links that let a crew read its marks without being a member of the site. Only their end may be written later. */
export class Migration20261128_crewLinks extends Migration {
  override up(): void {
    this.addSql(`create table crew_link (
      id uuid primary key,
      site_id uuid not null references site (id),
      token text not null unique check (token ~ '^[A-Za-z0-9_-]{22}$'),
      label text not null check (length(label) between 1 and 80),
      who text not null check (length(who) between 1 and 120),
      roots uuid[],
      member_id uuid not null unique,
      created_at timestamptz not null,
      expires_at timestamptz not null,
      revoked_at timestamptz
    )`);
    this.addSql('create index crew_link_site on crew_link (site_id)');
  }

  override down(): void {
    this.addSql('drop table if exists crew_link');
  }
}
