import type { Knex } from 'knex'

/** House rules of a project, the writer's own terms, and profiles of engines that were added or changed. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
alter table projects add column rules jsonb not null default '{"must":[],"never":[],"leaveOut":[],"colours":[]}';
create table terms (
  id uuid primary key,
  project_id uuid references projects,
  facet text not null,
  term text not null,
  entry jsonb not null,
  saved_by text not null,
  saved_at timestamptz not null default now()
);
create unique index terms_once on terms (coalesce(project_id, '00000000-0000-0000-0000-000000000000'), facet, lower(term));
create table engine_profiles (
  id text not null,
  revision text not null,
  profile jsonb not null,
  saved_by text not null,
  saved_at timestamptz not null default now(),
  primary key (id, revision)
);
`)
}
