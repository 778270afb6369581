import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import type { Meaning, Nearest, Wanted } from './meaning.ts'
import type { Close } from './vector-table.ts'

type Ask = { what: 'vectors'; texts: readonly string[] } | { what: 'closest'; wanted: Wanted; nearest: Nearest }
export interface Asked {
  id: number
  ask: Ask
}
export type Answered = { id: number; found: Int8Array[] | Close[] } | { id: number; wrong: string }

interface Waiting {
  resolve: (found: unknown) => void
  reject: (error: Error) => void
}

/** Meanings worked out in a thread of its own, so that requests are answered meanwhile. It starts when it is first asked. */
export class MeaningThread implements Meaning {
  #thread: Worker | undefined
  #closed = false
  readonly #waiting = new Map<number, Waiting>()
  #next = 1

  /** `file` is the bundle of thread.ts, which lies beside the server's. */
  constructor(
    private readonly databaseUrl: string,
    private readonly file: string = fileURLToPath(new URL('meaning.mjs', import.meta.url)),
  ) {}

  vectors(texts: readonly string[]): Promise<Int8Array[]> {
    return this.#ask({ what: 'vectors', texts }) as Promise<Int8Array[]>
  }

  closest(wanted: Wanted, nearest: Nearest): Promise<Close[]> {
    return this.#ask({ what: 'closest', wanted, nearest }) as Promise<Close[]>
  }

  #ask(ask: Ask): Promise<unknown> {
    if (this.#closed) return Promise.reject(new Error('The server is stopping.'))
    const thread = (this.#thread ??= this.#start())
    const id = this.#next++
    return new Promise((resolve, reject) => {
      this.#waiting.set(id, { resolve, reject })
      thread.postMessage({ id, ask } satisfies Asked)
    })
  }

  #start(): Worker {
    const thread = new Worker(this.file, { workerData: this.databaseUrl })
    const ended = (error: Error) => {
      // The next question gets a fresh thread.
      if (this.#thread === thread) this.#thread = undefined
      for (const { reject } of this.#waiting.values()) reject(error)
      this.#waiting.clear()
    }
    thread.on('message', (answered: Answered) => {
      const waiting = this.#waiting.get(answered.id)
      this.#waiting.delete(answered.id)
      if ('wrong' in answered) waiting?.reject(new Error(answered.wrong))
      else waiting?.resolve(answered.found)
    })
    thread.on('error', ended)
    thread.on('exit', () => { ended(new Error('The thread that knows meanings ended.')) })
    return thread
  }

  async close(): Promise<void> {
    this.#closed = true
    await this.#thread?.terminate()
  }
}
