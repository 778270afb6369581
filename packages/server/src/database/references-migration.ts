import type { Knex } from 'knex'

/** Pictures to learn from, and what is read of pictures. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table reference_pictures (
  id uuid primary key,
  project_id uuid not null references projects,
  picture text not null references pictures,
  proof_id uuid references proofs,
  name text not null,
  source text not null,
  rights text not null check (rights in ('own', 'licensed', 'unknown')),
  note text not null,
  metadata json not null,
  added_by text not null,
  added_at timestamptz not null default now(),
  unique (project_id, picture)
);
create index reference_pictures_picture on reference_pictures (picture);

create table picture_readings (
  picture text primary key references pictures on delete cascade,
  -- Who read it; an older maker's reading is made anew.
  maker text not null,
  stage text not null check (stage in ('asked', 'glance', 'measured', 'read', 'failed')),
  facts json,
  reading json,
  problem text,
  tries int not null default 0,
  leased_until timestamptz,
  read_at timestamptz
);
create index picture_readings_open on picture_readings (leased_until) where stage not in ('read', 'failed');
`)
}
