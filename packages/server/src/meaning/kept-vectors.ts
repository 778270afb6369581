import pg from 'pg'
import type { Meaning, Nearest, Wanted } from './meaning.ts'
import { type Close, VECTOR_MAKER, VectorTable } from './vector-table.ts'

const BATCH = 1_000

/** The vectors that are kept in the database, held in memory and brought up to date before each look. */
export class KeptVectors {
  readonly #table = new VectorTable()
  #client: pg.Client | undefined
  #last = 0

  constructor(
    private readonly databaseUrl: string,
    private readonly vectorsOf: Meaning['vectors'],
  ) {}

  async #connected(): Promise<pg.Client> {
    if (!this.#client) {
      const client = new pg.Client({ connectionString: this.databaseUrl, application_name: 'idolon meaning' })
      client.on('error', () => (this.#client = undefined))
      await client.connect()
      this.#client = client
    }
    return this.#client
  }

  /** Writers take turns, so whatever is written later has a later number. */
  async #catchUp(): Promise<void> {
    const client = await this.#connected()
    for (;;) {
      const { rows } = await client.query<{ id: string; written: string; vector: Buffer }>('select prompt_id as id, written::text, vector from shelf_vectors where written > $1 and maker = $2 order by written limit $3', [this.#last, VECTOR_MAKER, BATCH])
      for (const { id, vector } of rows) this.#table.put(id, new Int8Array(vector.buffer, vector.byteOffset, vector.length))
      this.#last = Number(rows.at(-1)?.written ?? this.#last)
      if (rows.length < BATCH) return
    }
  }

  async closest(wanted: Wanted, { most, least, among }: Nearest): Promise<Close[]> {
    const asked = 'text' in wanted ? this.vectorsOf([wanted.text]).then(([vector]) => vector) : undefined
    await this.#catchUp()
    const vector = asked ? await asked : this.#table.of((wanted as { prompt: string }).prompt)
    if (!vector) return []
    const found = this.#table.closest(vector, most + 1, among)
    return found.filter(({ id, score }) => score >= least && !('prompt' in wanted && id === wanted.prompt)).slice(0, most)
  }

  async close(): Promise<void> {
    await this.#client?.end().catch(() => undefined)
    this.#client = undefined
  }
}
