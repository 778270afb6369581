import type { Knex } from 'knex'

/** Files that came in, until what is in them is brought in or they are forgotten. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table imports (
  id uuid primary key,
  name text not null,
  format text not null,
  encoding text,
  state text not null default 'read' check (state in ('read', 'asked', 'done', 'failed')),
  columns json not null,
  rows int not null,
  mapping jsonb not null,
  -- What is asked: project, duplicates, tag.
  asked jsonb,
  progress int not null default 0,
  made int,
  problem text,
  lease_until timestamptz,
  came_by text not null,
  at timestamptz not null default now()
);
create index imports_open on imports (at) where state = 'asked';
create table import_parts (
  import_id uuid not null references imports on delete cascade,
  number int not null,
  bytes bytea not null,
  primary key (import_id, number)
);
alter table import_parts alter column bytes set storage external;
create index shelf_text_hash on shelf (text_hash);
`)
}
