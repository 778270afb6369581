import type { Database } from '../database/connect.ts'
import { ProblemError } from '../http/problem.ts'
import type { Sealer } from './sealed.ts'

/** API keys of services: written, used and removed, never read out. Each is sealed for its own service. */
export class ApiKeys<Key extends Record<string, string>> {
  constructor(
    private readonly db: Database,
    private readonly sealer: Sealer | undefined,
    private readonly table: 'engine_states' | 'model_states',
  ) {}

  async keep(key: Key, apiKey: string): Promise<void> {
    if (!this.sealer) throw new ProblemError('no-key', 'This copy of Idolon has no key to seal API keys with; whoever runs it sets IDOLON_KEY or IDOLON_KEY_FILE. Nothing was kept.')
    await this.db(this.table).insert({ ...key, api_key: this.sealer.seal(apiKey, nameOf(key)) }).onConflict(Object.keys(key)).merge(['api_key'])
  }

  async remove(key: Key): Promise<void> {
    await this.db(this.table).where(key).update({ api_key: null })
  }

  /** Undefined where none is kept, or where it was sealed with another key. */
  async of(key: Key): Promise<string | undefined> {
    const row = await this.db(this.table).where(key).first<{ api_key: string | null } | undefined>('api_key')
    return row?.api_key ? this.sealer?.open(row.api_key, nameOf(key)) : undefined
  }
}

const nameOf = (key: Record<string, string>): string => Object.values(key).join(' ')
