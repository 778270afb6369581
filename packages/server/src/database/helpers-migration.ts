import type { Knex } from 'knex'

/** Language models, helpers with their versions and cases, turns, and runs of cases. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table model_profiles (
  id text primary key,
  profile jsonb not null,
  saved_by text not null,
  saved_at timestamptz not null default now()
);
create table model_states (
  id text primary key,
  off boolean not null default false,
  secret text
);

create table helpers (
  id text primary key,
  shipped boolean not null,
  place int not null default 0,
  current int not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  deleted_at timestamptz
);
-- json, not jsonb: an instruction may hold any string of a page.
create table helper_versions (
  helper_id text not null references helpers,
  number int not null,
  body json not null,
  why text not null default '',
  -- Of a version that ships, which state of the shipped helper it is.
  shipped_as text,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (helper_id, number)
);
create function forbid_changed_body() returns trigger language plpgsql as $$
begin
  if new.body::text is distinct from old.body::text then raise exception 'versions are never altered'; end if;
  return new;
end $$;
create trigger helper_versions_are_frozen before update on helper_versions for each row execute function forbid_changed_body();
create table helper_cases (
  id uuid primary key,
  helper_id text not null references helpers,
  body json not null,
  place bigint generated always as identity,
  removed_at timestamptz
);
create index helper_cases_helper on helper_cases (helper_id, place);

create table case_runs (
  id uuid primary key,
  helper_id text not null references helpers,
  project_id uuid not null references projects,
  sides jsonb not null,
  seed int not null,
  asked_by text not null,
  asked_at timestamptz not null default now(),
  stopped_at timestamptz
);
create index case_runs_helper on case_runs (helper_id, asked_at desc);

create table turns (
  id uuid primary key,
  project_id uuid not null references projects,
  prompt_id uuid references prompts,
  helper_id text not null references helpers,
  helper_version int not null,
  model jsonb not null,
  given json not null,
  messages json not null,
  draft json not null,
  seed int not null,
  parent_id uuid references turns,
  further text,
  case_run_id uuid references case_runs,
  case_id uuid references helper_cases,
  side int,
  verdicts json,
  passed boolean,
  state text not null default 'asked' check (state in ('asked', 'answering', 'done', 'refused', 'failed', 'stopped')),
  problem text,
  text text not null default '',
  earlier text[] not null default '{}',
  value json,
  mended text[] not null default '{}',
  proposed json,
  fixed_lost text[] not null default '{}',
  tries int not null default 0,
  unit text not null,
  reserved int not null,
  cost int,
  asked_by text not null,
  asked_at timestamptz not null default now(),
  sent_at timestamptz,
  ended_at timestamptz,
  took_ms int,
  taken int,
  left_out int,
  worker uuid,
  lease_until timestamptz
);
create index turns_prompt on turns (prompt_id, asked_at desc);
create index turns_case_run on turns (case_run_id, side) where case_run_id is not null;
create index turns_open on turns (asked_at) where state in ('asked', 'answering');
create index turns_model on turns ((model->>'id'));

-- What was spent may be a turn's now instead of a proof's.
alter table ledger
  alter column prompt_id drop not null,
  alter column run_id drop not null,
  alter column proof_id drop not null,
  add column turn_id uuid references turns,
  add check (num_nonnulls(proof_id, turn_id) = 1);
`)
}
