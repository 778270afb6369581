import type { Knex } from 'knex'

/** The Shelf finds prompts by the characters, places and styles they say; its rows are made anew for that. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
alter table shelf add column parts text[] not null default '{}';
create index shelf_parts on shelf using gin (parts) where not deleted;
update drafts set search_stale = true where not search_stale and body::text like '%"from"%';
`)
}
