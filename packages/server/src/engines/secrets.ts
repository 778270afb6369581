import type { Database } from '../database/connect.ts'
import { ProblemError } from '../http/problem.ts'
import type { Sealer } from '../security/sealed.ts'

/** Secrets of engines: written, used and forgotten, never read out. */
export class EngineSecrets {
  constructor(
    private readonly db: Database,
    private readonly sealer: Sealer | undefined,
  ) {}

  async keep(id: string, revision: string, secret: string): Promise<void> {
    if (!this.sealer) throw new ProblemError('no-key', 'This copy of Idolon has no key to seal secrets with; whoever runs it sets IDOLON_KEY or IDOLON_KEY_FILE. Nothing was kept.')
    await this.db('engine_states').insert({ id, revision, secret: this.sealer.seal(secret, `${id} ${revision}`) }).onConflict(['id', 'revision']).merge(['secret'])
  }

  async forget(id: string, revision: string): Promise<void> {
    await this.db('engine_states').where({ id, revision }).update({ secret: null })
  }

  /** Undefined where none is kept, or where it was sealed with another key. */
  async of(id: string, revision: string): Promise<string | undefined> {
    const row = await this.db('engine_states').where({ id, revision }).first<{ secret: string | null } | undefined>('secret')
    return row?.secret ? this.sealer?.open(row.secret, `${id} ${revision}`) : undefined
  }
}
