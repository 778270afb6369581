import type { Knex } from 'knex'

/** Ways of writing that were learned from examples. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table manners (
  id uuid primary key,
  -- Null: for all projects.
  project_id uuid references projects,
  name text not null,
  body json not null,
  saved_by text not null,
  saved_at timestamptz not null default now()
);
`)
}
