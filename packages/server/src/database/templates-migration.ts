import type { Knex } from 'knex'

/** Templates with their versions, and which drafts were made from which. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table templates (
  id uuid primary key,
  -- Null: for all projects.
  project_id uuid references projects,
  shipped boolean not null default false,
  place int not null default 0,
  current int not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  deleted_at timestamptz
);
create table template_versions (
  template_id uuid not null references templates,
  number int not null,
  body json not null,
  why text not null default '',
  shipped_as text,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (template_id, number)
);
alter table prompts
  add column template_id uuid references templates,
  -- The version whose text the draft has, and up to which its changes were left.
  add column template_version int,
  add column template_left int,
  add column template_values json;
create index prompts_template on prompts (template_id) where template_id is not null;
`)
}
