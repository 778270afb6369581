import type { Knex } from 'knex'

/**
 * What was written while the Shelf was being brought up to date could stay out of it for good: a draft whose flag stood
 * already was passed over, though the flag was just being taken down by one that had read the prompt before the change.
 * The flag is written every time, so the one that writes waits for the one that takes it down.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
create or replace function shelf_of_prompt_is_stale() returns trigger language plpgsql as $$
begin
  update drafts set search_stale = true where prompt_id in (new.id, new.merged_into, old.merged_into);
  return null;
end $$;
create or replace function shelf_of_proof_is_stale() returns trigger language plpgsql as $$
begin
  update drafts set search_stale = true where prompt_id in (select new.prompt_id union all select merged_into from prompts where id = new.prompt_id);
  return null;
end $$;
update drafts set search_stale = true where not search_stale;
`)
}
