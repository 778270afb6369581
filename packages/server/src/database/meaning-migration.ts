import type { Knex } from 'knex'

/** What prompts mean, and which say the same: caches that can be emptied and are then made anew. And what the writer has said of it. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
-- In the same row as the words, so that both are looked up at once: two indexes are joined, and only what is in both is read.
drop table shelf_said;
alter table shelf
  -- What a draft says, read in the background: a word of a facet as “light.rim”, in order within its phrase.
  add column said tsvector,
  add column said_maker text;
update shelf set said_stale = true;
create index shelf_said on shelf using gin (said);

create sequence shelf_vectors_written;
create table shelf_vectors (
  prompt_id uuid primary key references prompts,
  text_hash text not null,
  maker text not null,
  -- 512 numbers of -127 to 127, a byte each.
  vector bytea not null,
  -- Grows with each writing, so that what was written since can be asked for.
  written bigint not null default nextval('shelf_vectors_written')
);
create index shelf_vectors_written_at on shelf_vectors (written);
alter table shelf_vectors alter column vector set storage plain;
alter table shelf add column vector_stale boolean not null default true;
create index shelf_vector_stale on shelf (changed desc) where vector_stale and not deleted;

-- Prompts that say the same in other words, as they were compared.
create table near_pairs (
  one uuid not null references prompts,
  other uuid not null references prompts,
  score real not null,
  primary key (one, other),
  check (one < other)
);
create index near_pairs_other on near_pairs (other);
-- What the writer has said of two prompts: that they are the same, or are not.
create table prompt_pairs (
  one uuid not null references prompts,
  other uuid not null references prompts,
  same boolean not null,
  said_by text not null,
  said_at timestamptz not null default now(),
  primary key (one, other),
  check (one < other)
);
create index prompt_pairs_other on prompt_pairs (other);
-- Of prompts that are the same, the least id of them; null for one by itself.
alter table shelf add column family uuid;
alter table shelf add column near_stale boolean not null default true;
create index shelf_family on shelf (family) where family is not null;
create index shelf_near_stale on shelf (changed desc) where near_stale and not said_stale and not vector_stale and not deleted;
alter table prompts add column merged_into uuid references prompts;
create index prompts_merged on prompts (merged_into) where merged_into is not null;
create or replace function shelf_of_prompt_is_stale() returns trigger language plpgsql as $$
begin
  update drafts set search_stale = true where prompt_id in (new.id, new.merged_into, old.merged_into) and not search_stale;
  return null;
end $$;
create or replace function shelf_of_proof_is_stale() returns trigger language plpgsql as $$
begin
  update drafts set search_stale = true where prompt_id in (select new.prompt_id union all select merged_into from prompts where id = new.prompt_id) and not search_stale;
  return null;
end $$;
drop trigger prompts_on_shelf on prompts;
create trigger prompts_on_shelf after update of title, status, tags, note, deleted_at, project_id, template_id, best_proof_id, merged_into on prompts for each row execute function shelf_of_prompt_is_stale();
`)
}
