import type { Knex } from 'knex'

/** Trial plans that were started; their combinations are runs, the texts of these versions. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create table trials (
  id uuid primary key,
  prompt_id uuid not null references prompts,
  body json not null,
  -- The combinations, as places of options, in order.
  combinations jsonb not null,
  asked_by text not null,
  asked_at timestamptz not null default now(),
  stopped_at timestamptz
);
create index trials_prompt on trials (prompt_id, asked_at desc);
alter table runs
  add column trial_id uuid references trials,
  add column trial_row int,
  -- What was chosen, in words, by what varies.
  add column trial_options jsonb;
create index runs_trial on runs (trial_id, trial_row) where trial_id is not null;
alter table versions add column trial_id uuid references trials;
`)
}
