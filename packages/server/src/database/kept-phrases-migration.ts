import type { Knex } from 'knex'

/** Phrases that a writer keeps among a project's own. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table kept_phrases (
  id uuid primary key,
  project_id uuid not null references projects,
  facet text not null,
  text text not null,
  kept_by text not null,
  kept_at timestamptz not null default now()
);
create unique index kept_phrases_once on kept_phrases (project_id, facet, lower(text));
`)
}
