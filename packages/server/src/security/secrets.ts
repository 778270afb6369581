import type { Database } from '../database/connect.ts'
import { ProblemError } from '../http/problem.ts'
import type { Sealer } from './sealed.ts'

/** Secrets of services: written, used and forgotten, never read out. Each is sealed for its own service. */
export class Secrets<Key extends Record<string, string>> {
  constructor(
    private readonly db: Database,
    private readonly sealer: Sealer | undefined,
    private readonly table: 'engine_states' | 'model_states',
  ) {}

  async keep(key: Key, secret: string): Promise<void> {
    if (!this.sealer) throw new ProblemError('no-key', 'This copy of Idolon has no key to seal secrets with; whoever runs it sets IDOLON_KEY or IDOLON_KEY_FILE. Nothing was kept.')
    await this.db(this.table).insert({ ...key, secret: this.sealer.seal(secret, nameOf(key)) }).onConflict(Object.keys(key)).merge(['secret'])
  }

  async remove(key: Key): Promise<void> {
    await this.db(this.table).where(key).update({ secret: null })
  }

  /** Undefined where none is kept, or where it was sealed with another key. */
  async of(key: Key): Promise<string | undefined> {
    const row = await this.db(this.table).where(key).first<{ secret: string | null } | undefined>('secret')
    return row?.secret ? this.sealer?.open(row.secret, nameOf(key)) : undefined
  }
}

const nameOf = (key: Record<string, string>): string => Object.values(key).join(' ')
