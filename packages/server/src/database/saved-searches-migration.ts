import type { Knex } from 'knex'

/** A search is saved, as the interface says; to keep is a verdict. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
alter table kept_searches rename to saved_searches;
alter table saved_searches rename column kept_at to saved_at;
alter table saved_searches rename column kept_by to saved_by;
`)
}
