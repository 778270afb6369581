import pg from 'pg'

interface Hearing {
  channel: string
  /** What the connection is called at the server. */
  name: string
  heard: (payload: string) => void
  /** The connection is there again after it was lost; something may have been missed. */
  again: () => void
  lost?: (error: Error) => void
}

/** Hears a channel of PostgreSQL over one connection of its own, which it renews when lost. */
export class Channel {
  #client: pg.Client | undefined
  #closed = false

  constructor(
    private readonly url: string,
    private readonly hearing: Hearing,
  ) {}

  async open(): Promise<void> {
    const { channel, name, heard, lost } = this.hearing
    const client = new pg.Client({ connectionString: this.url, application_name: name })
    client.on('notification', ({ payload }) => heard(payload ?? ''))
    client.on('error', (error) => {
      lost?.(error)
      this.#reopenSoon()
    })
    client.on('end', () => {
      this.#reopenSoon()
    })
    await client.connect()
    await client.query(`listen ${channel}`)
    this.#client = client
  }

  #reopenSoon(): void {
    if (this.#closed || !this.#client) return
    this.#client = undefined
    const again = () => {
      if (this.#closed) return
      this.open().then(this.hearing.again, () => setTimeout(again, 500))
    }
    setTimeout(again, 250)
  }

  async close(): Promise<void> {
    this.#closed = true
    await this.#client?.end()
  }
}
