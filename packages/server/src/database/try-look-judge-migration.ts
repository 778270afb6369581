import type { Knex } from 'knex'

/** Faults and judgements of proofs, pictures brought in by hand, changes put aside, money of a project, and the bin. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
alter table pictures add column type text not null default 'image/png';
-- For sheets of thousands; of older pictures made when it is first asked for.
alter table pictures add column small bytea;
alter table pictures alter column small set storage external;
alter table runs add column by_hand boolean not null default false;
alter table runs add column sweep jsonb;
alter table proofs
  add column faults text[] not null default '{}',
  add column regions jsonb not null default '[]',
  add column parent_proof uuid references proofs,
  add column brought_in boolean not null default false,
  add column deleted_at timestamptz;
create unique index proofs_brought_in_once on proofs (run_id, picture) where brought_in;
create index proofs_deleted on proofs (deleted_at) where deleted_at is not null;
create index proofs_picture on proofs (picture);
alter table prompts add column ranks_stale boolean not null default false;
alter table prompts add column removed_at timestamptz;
alter table projects
  add column currency text not null default 'EUR',
  add column rates jsonb not null default '[]',
  add column ceiling jsonb;

create table judgements (
  id uuid primary key,
  left_proof uuid not null references proofs,
  right_proof uuid not null references proofs,
  better text check (better in ('left', 'right')),
  judged_by text not null,
  at timestamptz not null default now(),
  check (left_proof <> right_proof)
);
create index judgements_left on judgements (left_proof);
create index judgements_right on judgements (right_proof);

-- json, not jsonb: drafts and edits may hold any string of a page.
create table asides (
  id uuid primary key,
  prompt_id uuid not null references prompts,
  says text not null,
  base json not null,
  edit json not null,
  put_at timestamptz not null default now()
);
create index asides_prompt on asides (prompt_id, put_at desc);

-- Small deleted things as they were, to be put back: phrases, terms, engine profiles.
create table bin (
  id uuid primary key,
  kind text not null,
  project_id uuid references projects,
  name text not null,
  row jsonb not null,
  deleted_by text not null,
  deleted_at timestamptz not null default now()
);

-- What a version says, phrase by phrase; made anew when the reader is a newer one.
create table version_phrases (
  version_id uuid not null references versions,
  phrase text not null,
  primary key (version_id, phrase)
);
create index version_phrases_phrase on version_phrases (phrase);
alter table versions add column phrases_maker text;
create index versions_unread on versions (id) where phrases_maker is null;

create table client_sheets (
  id uuid primary key,
  title text not null,
  proofs uuid[] not null,
  captions text[] not null,
  prompts boolean not null,
  made_by text not null,
  made_at timestamptz not null default now()
);
`)
}
