import type { Knex } from 'knex'

/** The tables of the first slice. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create extension if not exists pg_trgm;
create extension if not exists unaccent;
create extension if not exists fuzzystrmatch;

create table projects (
  id uuid primary key,
  name text not null,
  created_at timestamptz not null default now(),
  archived_at timestamptz
);
create unique index projects_name on projects (lower(name));

create table prompts (
  id uuid primary key,
  project_id uuid not null references projects,
  title text not null default '',
  status text not null default 'rough' check (status in ('rough', 'testing', 'proven', 'retired')),
  note text not null default '',
  tags text[] not null default '{}',
  best_proof_id uuid,
  copied_from_prompt uuid references prompts,
  copied_from_version int,
  created_by text not null,
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now(),
  deleted_at timestamptz
);
create index prompts_changed on prompts (changed_at desc) where deleted_at is null;
create index prompts_project on prompts (project_id, changed_at desc);
create index prompts_tags on prompts using gin (tags);

-- json, not jsonb: a draft may hold any string of a page, U+0000 and lone surrogates included.
create table drafts (
  prompt_id uuid primary key references prompts,
  body json not null,
  -- What the prompt is called while the writer has given it no title.
  first_words text not null default 'Untitled',
  revision int not null default 0,
  clients jsonb not null default '{}',
  parent_version int,
  saved_at timestamptz not null default now(),
  search_stale boolean not null default true
) with (fillfactor = 50);
create index drafts_search_stale on drafts (prompt_id) where search_stale;

create table versions (
  id uuid primary key,
  prompt_id uuid not null references prompts,
  number int not null,
  parent int,
  body json not null,
  changes text[] not null default '{}',
  why text not null default '',
  created_at timestamptz not null default now(),
  unique (prompt_id, number)
);

create table runs (
  id uuid primary key,
  prompt_id uuid not null references prompts,
  version_id uuid not null references versions,
  draft_revision int not null,
  engines jsonb not null,
  settings jsonb not null,
  asked_by text not null,
  asked_at timestamptz not null default now(),
  stopped_at timestamptz
);
create index runs_prompt on runs (prompt_id, asked_at desc);
create index runs_recent on runs (asked_at desc);

create table pictures (
  sha256 text primary key,
  bytes bytea not null,
  width int not null,
  height int not null,
  size int not null,
  thumbnail bytea not null,
  thumbnail_maker text not null,
  stored_at timestamptz not null default now()
);
alter table pictures alter column bytes set storage external;
alter table pictures alter column thumbnail set storage external;

create table proofs (
  id uuid primary key,
  run_id uuid not null references runs,
  prompt_id uuid not null references prompts,
  version_id uuid not null references versions,
  engine jsonb not null,
  place int not null,
  state text not null default 'asked' check (state in ('asked', 'sent', 'stored', 'failed', 'unknown', 'stopped')),
  reason text,
  output json not null,
  seed bigint,
  picture text references pictures,
  cost_unit text not null,
  reserved int not null,
  cost int,
  asking int not null default 1,
  asked_at timestamptz not null default now(),
  sent_at timestamptz,
  stored_at timestamptz,
  took_ms int,
  lease_until timestamptz,
  worker uuid,
  verdict text check (verdict in ('keep', 'maybe', 'drop')),
  rank int,
  note text not null default ''
);
create index proofs_run on proofs (run_id, place);
create index proofs_prompt on proofs (prompt_id, asked_at desc);
create index proofs_version on proofs (version_id);
create index proofs_recent on proofs (asked_at desc);
create index proofs_open on proofs (lease_until) where state in ('asked', 'sent');
alter table prompts add foreign key (best_proof_id) references proofs;

create table ledger (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  actor text not null,
  project_id uuid not null references projects,
  prompt_id uuid not null references prompts,
  run_id uuid not null references runs,
  proof_id uuid not null references proofs,
  engine text not null,
  kind text not null check (kind in ('reserve', 'settle')),
  unit text not null,
  amount int not null,
  note text not null default ''
);
create index ledger_project on ledger (project_id, id desc);
create function forbid_change() returns trigger language plpgsql as $$
begin
  raise exception 'rows of % are never altered', tg_table_name;
end $$;
create trigger ledger_is_append_only before update or delete on ledger for each statement execute function forbid_change();

-- What has been done once to this database, such as making the demo world.
create table marks (name text primary key, at timestamptz not null default now());

create table events (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  body jsonb not null
);

create table prompt_search (
  prompt_id uuid primary key references prompts,
  document tsvector not null
);
create index prompt_search_document on prompt_search using gin (document);
create table search_words (word text primary key);
create index search_words_prefix on search_words (word text_pattern_ops);
create index search_words_alike on search_words using gin (word gin_trgm_ops);
`)
}
