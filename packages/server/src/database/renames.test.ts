import { afterAll, beforeAll, expect, it } from 'vitest'
import { up as apiKeys } from './api-keys-migration.ts'
import { connectDatabase, type Database } from './connect.ts'
import { createDatabase } from './create-database.ts'
import { migrate } from './migrate.ts'
import { up as savedSearches } from './saved-searches-migration.ts'

let db: Database
beforeAll(async () => {
  db = connectDatabase(await createDatabase(process.env['TEST_DATABASE_URL'] ?? '', 'renames'), 2)
  await migrate(db)
  // As it was before both.
  await db.raw(`
alter table saved_searches rename to kept_searches;
alter table kept_searches rename column saved_at to kept_at;
alter table kept_searches rename column saved_by to kept_by;
alter table engine_states rename column api_key to secret;
alter table model_states rename column api_key to secret;`)
})
afterAll(() => db.destroy())

it('searches that were kept are saved, each as it was', async () => {
  await db('kept_searches').insert({ id: '00000000-0000-4000-8000-000000000001', name: 'Herons', query: JSON.stringify({ q: 'heron' }), kept_by: 'me', kept_at: '2026-01-02T03:04:05Z' })
  await savedSearches(db)
  expect(await db('saved_searches').select('name', 'query', 'saved_by', 'saved_at')).toEqual([{ name: 'Herons', query: { q: 'heron' }, saved_by: 'me', saved_at: new Date('2026-01-02T03:04:05Z') }])
})

it('what was sealed stays sealed under its new name, and a header has a place for an API key where it had one for a secret', async () => {
  const profile = (headers: Record<string, string>) => JSON.stringify({ notes: 'No secret of ours.', connection: { url: 'https://pictures.example', headers } })
  await db('engine_states').insert({ id: 'press', revision: '1', secret: 'sealed' })
  await db('model_states').insert({ id: 'quill', secret: null })
  await db('engine_profiles').insert([
    { id: 'press', revision: '1', profile: profile({ authorization: 'Bearer {secret}', 'x-key': '{secret}' }), saved_by: 'me' },
    { id: 'open', revision: '1', profile: profile({ accept: 'image/png' }), saved_by: 'me' },
  ])
  await db('model_profiles').insert({ id: 'quill', profile: profile({ 'x-key': '{secret}' }), saved_by: 'me' })
  await apiKeys(db)
  expect([await db('engine_states').select('api_key'), await db('model_states').select('api_key')]).toEqual([[{ api_key: 'sealed' }], [{ api_key: null }]])
  const headersOf = async (table: string) => (await db(table).orderBy('id').select<{ profile: { notes: string; connection: { headers: object } } }[]>('profile')).map((row) => [row.profile.notes, row.profile.connection.headers])
  expect(await headersOf('engine_profiles')).toEqual([['No secret of ours.', { accept: 'image/png' }], ['No secret of ours.', { authorization: 'Bearer {apiKey}', 'x-key': '{apiKey}' }]])
  expect(await headersOf('model_profiles')).toEqual([['No secret of ours.', { 'x-key': '{apiKey}' }]])
})
