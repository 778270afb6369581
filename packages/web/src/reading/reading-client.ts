import { type Reading, textChangeBetween } from '@idolon/core'
import type { FixedFacet } from '@idolon/core/reader'
import { shallowRef } from 'vue'
import type { AskKind, Asks, FromWorker, ToWorker } from './protocol.ts'

/** A worker that says nothing for this long is taken for stuck. */
const SILENT_MS = 2_000
/** Loading its tables takes longer, above all the first time. */
const STARTING_MS = 20_000

/** What of a Worker the client needs; a test gives its own. */
export interface ReadingWorker {
  postMessage(message: ToWorker): void
  terminate(): void
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
}

/**
 * Keeps a reading of a text that changes, made in a worker. Edits travel, not whole texts; an answer for an older
 * text is dropped; a worker that throws or falls silent is started again with the whole text.
 */
export class ReadingClient {
  /** What the text says, as far as it is read; the text it is a reading of comes with it. */
  readonly reading = shallowRef<{ text: string; reading: Reading }>()
  /** starting: its tables are being loaded; reading: the newest text is not read yet; ready: it is. */
  readonly state = shallowRef<'starting' | 'reading' | 'ready'>('starting')
  #worker: ReadingWorker
  #revision = 0
  #text = ''
  #fixed: readonly FixedFacet[] = []
  #loaded = false
  #asked = 0
  /** Questions without an answer yet. */
  readonly #open = new Map<number, { message: ToWorker; resolve: (answer: unknown) => void }>()
  #alarm: ReturnType<typeof setTimeout> | undefined

  constructor(private readonly make: () => ReadingWorker) {
    this.#worker = this.#start()
  }

  /** Tells the worker what the text and the facets set by hand are now. */
  update(text: string, fixed: readonly FixedFacet[]): void {
    if (this.#revision > 0 && text === this.#text && JSON.stringify(fixed) === JSON.stringify(this.#fixed)) return
    const base = this.#revision++
    const changes = textChangeBetween(this.#text, text)
    this.#text = text
    this.#fixed = fixed
    this.#post(base === 0 ? { type: 'text', revision: this.#revision, text, fixed } : { type: 'edit', revision: this.#revision, base, changes, fixed })
  }

  /** Asks the worker something; a worker that is started again is asked again. */
  ask<K extends AskKind>(kind: K, ask: Asks[K]['ask']): Promise<Asks[K]['answer']> {
    return new Promise((resolve) => {
      const message = structuredClone({ type: 'ask', id: ++this.#asked, kind, ...ask }) as unknown as ToWorker
      this.#open.set(this.#asked, { message, resolve: resolve as (answer: unknown) => void })
      this.#worker.postMessage(message)
      this.#watch()
    })
  }

  stop(): void {
    clearTimeout(this.#alarm)
    this.#worker.terminate()
  }

  #post(message: ToWorker): void {
    if (this.#loaded) this.state.value = 'reading'
    this.#worker.postMessage(message)
    this.#watch()
  }

  #start(): ReadingWorker {
    const worker = this.make()
    this.#loaded = false
    this.state.value = 'starting'
    worker.onmessage = ({ data }) => this.#hear(data)
    worker.onerror = () => this.#restart()
    return worker
  }

  #restart(): void {
    this.stop()
    this.#worker = this.#start()
    if (this.#revision > 0) this.#sendWhole()
    for (const { message } of this.#open.values()) this.#worker.postMessage(message)
  }

  #sendWhole(): void {
    this.#post({ type: 'text', revision: this.#revision, text: this.#text, fixed: this.#fixed })
  }

  #watch(): void {
    clearTimeout(this.#alarm)
    this.#alarm = setTimeout(() => this.#restart(), this.#loaded ? SILENT_MS : STARTING_MS)
  }

  #hear(message: FromWorker): void {
    clearTimeout(this.#alarm)
    if (message.type === 'ready') {
      this.#loaded = true
      if (this.#revision === 0) this.state.value = 'ready'
      else {
        this.state.value = 'reading'
        this.#watch()
      }
    } else if (message.type === 'answer') {
      this.#open.get(message.id)?.resolve(message.answer)
      this.#open.delete(message.id)
      if (this.state.value === 'reading') this.#watch()
    } else if (message.type === 'behind') this.#sendWhole()
    else if (message.revision === this.#revision) {
      this.reading.value = { text: this.#text, reading: message.reading }
      this.state.value = 'ready'
    } else this.#watch()
  }
}

export const startReadingWorker = (): ReadingWorker => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' }) as ReadingWorker
