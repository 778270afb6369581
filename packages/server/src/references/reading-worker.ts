import type { ReadingStage } from '@idolon/contract'
import type { Logger } from 'pino'
import type { Database } from '../database/connect.ts'
import { recordEvent } from '../events/events.ts'
import { NotAPicture } from '../pictures/not-a-picture.ts'
import { READING_MAKER, type SightReader } from '../pictures/sight/reader.ts'

/** A picture whose reader is silent for so long is free for another, and one that failed so often is left. */
const LEASE_SECONDS = 75
const MOST_TRIES = 3

/** Reads the pictures that were asked to be read, one at a time, and tells as it comes. */
export class ReadingWorker {
  #closed = false
  #looking: Promise<void> | undefined
  #again = false

  constructor(
    private readonly db: Database,
    private readonly sight: SightReader,
    private readonly log: Logger,
  ) {}

  /** Looks for pictures that wait; called when there is reason to, and now and then. */
  look(): Promise<void> {
    this.#again = true
    return (this.#looking ??= this.#all().finally(() => (this.#looking = undefined)))
  }

  async #all(): Promise<void> {
    while (this.#again && !this.#closed) {
      this.#again = false
      for (let picture = await this.#claim(); picture && !this.#closed; picture = await this.#claim()) await this.#read(picture)
    }
  }

  /** One that was asked for, was left by a reader that is gone, or was read by an older maker. */
  async #claim(): Promise<string | undefined> {
    const { rows } = await this.db.raw<{ rows: { picture: string }[] }>(
      `update picture_readings set leased_until = now() + interval '${LEASE_SECONDS} seconds', tries = case when maker = ? then tries + 1 else 1 end, maker = ?
       where picture = (
         select picture from picture_readings where (leased_until is null or leased_until < now()) and (stage not in ('read', 'failed') or maker <> ?)
         order by stage = 'read', picture limit 1 for update skip locked)
       returning picture`,
      [READING_MAKER, READING_MAKER, READING_MAKER],
    )
    return rows[0]?.picture
  }

  async #read(picture: string): Promise<void> {
    let told = Promise.resolve()
    const tell = (stage: ReadingStage, values: object) => (told = told.then(() => this.#note(picture, stage, values)))
    try {
      const row = await this.db('pictures').where({ sha256: picture }).first<{ bytes: Buffer } | undefined>('bytes')
      if (!row) return
      const reading = await this.sight.read(row.bytes, {
        first: (facts) => void tell('glance', { facts: JSON.stringify(facts) }).catch(() => undefined),
        facts: (facts) => void tell('measured', { facts: JSON.stringify(facts) }).catch(() => undefined),
      })
      await tell('read', { reading: JSON.stringify(reading), problem: null, leased_until: null })
    } catch (error) {
      if (this.#closed) return
      const isPicture = !(error instanceof NotAPicture)
      if (isPicture) this.log.warn({ err: error, picture }, 'picture not read')
      const { tries } = (await this.db('picture_readings').where({ picture }).first<{ tries: number } | undefined>('tries')) ?? { tries: MOST_TRIES }
      if (isPicture && tries < MOST_TRIES) await this.db('picture_readings').where({ picture }).update({ leased_until: null })
      else await this.#note(picture, 'failed', { problem: isPicture ? 'It could not be read; the picture itself is kept.' : `It could not be read: it is ${error.message}. The picture itself is kept.`, leased_until: null })
    }
  }

  async #note(picture: string, stage: ReadingStage, values: object): Promise<void> {
    await this.db.transaction(async (trx) => {
      await trx('picture_readings').where({ picture }).update({ stage, ...values, ...(stage === 'read' ? { read_at: trx.fn.now() } : {}) })
      const references = await trx('reference_pictures').where({ picture }).select<{ id: string; project_id: string }[]>('id', 'project_id')
      for (const { id, project_id } of references) await recordEvent(trx, { kind: 'reference', projectId: project_id, referenceId: id })
      // A proof that is held against a reference is none itself; whoever waits for it reads again.
      if (references.length === 0 && (stage === 'read' || stage === 'failed')) await recordEvent(trx, { kind: 'reference' })
    })
  }

  async close(): Promise<void> {
    this.#closed = true
    await this.sight.close()
    await this.#looking?.catch(() => undefined)
  }
}
