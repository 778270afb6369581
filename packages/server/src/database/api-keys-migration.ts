import type { Knex } from 'knex'

/** A service’s secret is its API key, in the columns and in the headers of profiles, too. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
alter table engine_states rename column secret to api_key;
alter table model_states rename column secret to api_key;
`)
  for (const table of ['engine_profiles', 'model_profiles']) {
    await db.raw(`update ?? set profile = replace(profile::text, '{secret}', '{apiKey}')::jsonb where profile::text like '%{secret}%'`, [table])
  }
}
