import type { Knex } from 'knex'

/** What is kept of an engine beside its profile: whether it is switched off, its sealed secret, and pictures that were made only to try it. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table engine_states (
  id text not null,
  revision text not null,
  off boolean not null default false,
  secret text,
  primary key (id, revision)
);
create table engine_tries (
  id uuid primary key,
  engine text not null,
  revision text not null,
  reason text,
  took_ms integer,
  cost integer not null,
  tried_by text not null,
  tried_at timestamptz not null default now()
);
create index engine_tries_of on engine_tries (engine, revision);
create index proofs_of_engine on proofs ((engine->>'id'), (engine->>'revision'));
`)
}
