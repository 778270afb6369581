import type { Knex } from 'knex'

/** Characters, places and styles with their versions; series, and their scenes, each with a prompt of its own. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table parts (
  id uuid primary key,
  project_id uuid not null references projects,
  kind text not null check (kind in ('character', 'place', 'style')),
  current int not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index parts_project on parts (project_id);
create table part_versions (
  part_id uuid not null references parts,
  number int not null,
  body json not null,
  why text not null default '',
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (part_id, number)
);
create table series (
  id uuid primary key,
  project_id uuid not null references projects,
  name text not null,
  story text not null default '',
  style uuid references parts,
  -- Of the story and the order of scenes.
  revision int not null default 0,
  changed_at timestamptz not null default now(),
  made_by text not null,
  made_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index series_project on series (project_id);
create table scenes (
  id uuid primary key,
  series_id uuid not null references series,
  place int not null,
  prompt_id uuid not null unique references prompts,
  body jsonb not null,
  -- The passage of the story it tells, in UTF-16 code units.
  story_start int,
  story_end int,
  touched boolean not null default false,
  chosen uuid references proofs,
  -- What its parts and words gave last, for telling what was written by hand.
  composed json not null,
  left_out json not null default '[]',
  apart boolean not null default false,
  -- By part: the version whose change was left.
  parts_left jsonb not null default '{}',
  deleted_at timestamptz
);
create index scenes_series on scenes (series_id, place);
`)
}
