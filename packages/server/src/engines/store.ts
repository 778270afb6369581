import type { EngineProfile } from '@idolon/core'
import type { Knex } from 'knex'
import type { Database } from '../database/connect.ts'

/** Profiles that the writer added or changed, in the order they were first saved. */
export async function savedProfiles(db: Database): Promise<EngineProfile[]> {
  const rows = await db('engine_profiles').orderBy('saved_at').select<{ profile: EngineProfile }[]>('profile')
  return rows.map(({ profile }) => profile)
}

export const saveProfile = (trx: Knex.Transaction, profile: EngineProfile, actor: string): Promise<unknown> =>
  trx('engine_profiles')
    .insert({ id: profile.id, revision: profile.revision, profile: JSON.stringify(profile), saved_by: actor })
    .onConflict(['id', 'revision'])
    .merge(['profile', 'saved_by'])

/** By “id revision”: whether it is switched off, and whether an API key is kept. */
export async function statesOf(db: Database): Promise<Map<string, { off: boolean; hasApiKey: boolean }>> {
  const rows = await db('engine_states').select<{ id: string; revision: string; off: boolean; has_api_key: boolean }[]>('id', 'revision', 'off', db.raw('api_key is not null as has_api_key'))
  return new Map(rows.map((row) => [`${row.id} ${row.revision}`, { off: row.off, hasApiKey: row.has_api_key }]))
}

export const switchState = (trx: Knex.Transaction, id: string, revision: string, off: boolean): Promise<unknown> => trx('engine_states').insert({ id, revision, off }).onConflict(['id', 'revision']).merge(['off'])
