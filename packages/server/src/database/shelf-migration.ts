import type { Knex } from 'knex'

/** What the Shelf finds prompts by, a row each: a cache that can be emptied and is then made anew. And searches kept under a name. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
drop table prompt_search;
create table shelf (
  prompt_id uuid primary key references prompts,
  project_id uuid not null,
  status text not null,
  tags text[] not null,
  template_id uuid,
  -- Ids of the engines that have made a picture of it, and of those its draft asks.
  engines text[] not null,
  proofs int not null,
  keepers int not null,
  dropped int not null,
  changed timestamptz not null,
  deleted boolean not null,
  document tsvector not null,
  best_picture text,
  -- Of the draft's text and marks; what was read of another text is read anew.
  text_hash text not null,
  said_stale boolean not null default true
);
create index shelf_said_stale on shelf (changed desc) where said_stale and not deleted;
create index shelf_document on shelf using gin (document);
create index shelf_changed on shelf (changed desc) where not deleted;
create index shelf_project on shelf (project_id, changed desc) where not deleted;
create index shelf_tags on shelf using gin (tags) where not deleted;
create index shelf_template on shelf (template_id) where template_id is not null;
create index shelf_best_picture on shelf (best_picture) where best_picture is not null;

-- What a draft says, read in the background.
create table shelf_said (
  prompt_id uuid primary key references prompts,
  text_hash text not null,
  maker text not null,
  -- A word of a facet as “light.rim”, in order within its phrase.
  said tsvector not null
);
create index shelf_said_said on shelf_said using gin (said);
create table picture_colours (picture text primary key references pictures on delete cascade, maker text not null, names text[] not null);
create index picture_colours_names on picture_colours using gin (names);

create table kept_searches (
  id uuid primary key,
  name text not null,
  query jsonb not null,
  kept_by text not null,
  kept_at timestamptz not null default now()
);

create function shelf_of_prompt_is_stale() returns trigger language plpgsql as $$
begin
  update drafts set search_stale = true where prompt_id = new.id and not search_stale;
  return null;
end $$;
create trigger prompts_on_shelf after update of title, status, tags, note, deleted_at, project_id, template_id, best_proof_id on prompts for each row execute function shelf_of_prompt_is_stale();
create function shelf_of_proof_is_stale() returns trigger language plpgsql as $$
begin
  update drafts set search_stale = true where prompt_id = new.prompt_id and not search_stale;
  return null;
end $$;
create trigger proofs_on_shelf after update of state, verdict, deleted_at, note, rank, picture on proofs for each row execute function shelf_of_proof_is_stale();
update drafts set search_stale = true;
`)
}
