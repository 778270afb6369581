import { saveEdits } from '@idolon/contract'
import type { Draft } from '@idolon/core'
import { computed, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { ApiProblem } from '../api/problem.ts'
import { deleteLocally, keepAtOnce, keepLocally, type LocalDraft, type PendingEdit } from './local-drafts.ts'

export type SaveState = 'saved' | 'saving' | 'unsent' | 'moved' | 'refused'

/** An edit reaches the server within 500 ms: this long after the first unsent one, plus the way there. */
const SEND_AFTER_MS = 250
const LONGEST_WAIT_MS = 8_000
const MOST_AT_ONCE = 200

/** Sends a page's edits in order, each once, and keeps in the browser whatever the server has not acknowledged. */
export class DraftSaver {
  readonly state = shallowRef<SaveState>('saved')
  readonly savedAt = shallowRef('')
  /** False when this browser's own store took nothing: the page must then say so. */
  readonly keptLocally = shallowRef(true)
  readonly revision = computed(() => this.#revision.value + this.#pending.value.length)
  readonly #revision = shallowRef(0)
  readonly #pending = shallowRef<PendingEdit[]>([])
  #first = 1
  #timer: ReturnType<typeof setTimeout> | undefined
  #sending: Promise<void> | undefined
  #keeping = false
  #unkept = false
  #wait = 0
  #stopped = false

  constructor(
    readonly promptId: string,
    readonly client: string,
    revision: number,
    savedAt: string,
    private readonly draft: () => Draft,
    private readonly onMoved: () => void,
    private readonly onRefused: (message: string) => void,
  ) {
    this.#revision.value = revision
    this.savedAt.value = savedAt
  }

  get acknowledged(): number {
    return this.#revision.value
  }
  get hasPending(): boolean {
    return this.#pending.value.length > 0
  }

  push(entry: PendingEdit): void {
    this.#pending.value = [...this.#pending.value, entry]
    this.#keep()
    if (this.state.value === 'saved') this.state.value = 'saving'
    if (this.state.value !== 'moved') this.#sendSoon(SEND_AFTER_MS)
  }

  /** Waits until everything is acknowledged. */
  async settled(): Promise<void> {
    clearTimeout(this.#timer)
    // Else what is written next would wait for a timer that is gone.
    this.#timer = undefined
    while (this.hasPending && this.state.value !== 'moved' && this.state.value !== 'refused') {
      await this.#send()
      if (this.state.value === 'unsent') throw new ApiProblem('unreachable', 'The server does not answer. Your text is kept in this browser; try again when it does.')
    }
  }

  /** Keeps and sends what is there while the page may be going away: a page that goes waits for no store. */
  hurry(): void {
    if (!this.hasPending) return
    keepAtOnce(this.#local())
    if (!this.#sending) void this.#send(true)
  }

  /** Begins again from what the server has: pending edits are given up for `pending`, made on `revision`. */
  rebase(revision: number, pending: PendingEdit[]): void {
    this.#first += this.#pending.value.length
    this.#revision.value = revision
    this.#pending.value = pending
    this.#keep()
    this.state.value = pending.length ? 'saving' : 'saved'
    if (pending.length) this.#sendSoon(0)
  }

  stop(): void {
    this.#stopped = true
    clearTimeout(this.#timer)
    this.hurry()
  }

  #local(): LocalDraft {
    return { promptId: this.promptId, client: this.client, base: this.#revision.value, first: this.#first, pending: this.#pending.value, draft: this.draft(), at: Date.now() }
  }

  /** One write at a time, always of the newest: a queue of older ones would hold the last keys up. */
  #keep(): void {
    this.#unkept = true
    if (!this.#keeping) void this.#keepNewest()
  }

  async #keepNewest(): Promise<void> {
    this.#keeping = true
    while (this.#unkept) {
      this.#unkept = false
      try {
        await (this.hasPending ? keepLocally(this.#local()) : deleteLocally(this.promptId, this.client))
        this.keptLocally.value = true
      } catch {
        this.keptLocally.value = false
      }
    }
    this.#keeping = false
  }

  #sendSoon(after: number): void {
    if (this.#timer !== undefined || this.#stopped) return
    this.#timer = setTimeout(() => {
      this.#timer = undefined
      void this.#send()
    }, after)
  }

  #send(keepalive = false): Promise<void> {
    this.#sending ??= this.#sendBatch(keepalive).finally(() => {
      this.#sending = undefined
    })
    return this.#sending
  }

  async #sendBatch(keepalive: boolean): Promise<void> {
    const pending = this.#pending.value
    if (pending.length === 0) return
    // A batch ends with an edit that names a version to go on from, since the version holds from there.
    const named = pending.findIndex(({ goOnFrom }) => goOnFrom !== undefined)
    const batch = pending.slice(0, Math.min(named < 0 ? MOST_AT_ONCE : named + 1, MOST_AT_ONCE))
    const goOnFrom = batch.at(-1)?.goOnFrom
    const first = this.#first
    try {
      const state = await call(saveEdits, {
        params: { prompt: this.promptId },
        body: { client: this.client, first, base: this.#revision.value, edits: batch.map(({ edit }) => edit), ...(goOnFrom === undefined ? {} : { goOnFrom }) },
        keepalive,
      })
      if (first !== this.#first) return
      this.#first += batch.length
      // Not the server's revision: were it further on, another page's edits would be taken for seen.
      this.#revision.value += batch.length
      this.#pending.value = this.#pending.value.slice(batch.length)
      this.savedAt.value = state.savedAt
      this.#wait = 0
      this.#keep()
      this.state.value = this.hasPending ? 'saving' : 'saved'
      if (this.hasPending) this.#sendSoon(0)
    } catch (error) {
      if (first !== this.#first) return
      const problem = error instanceof ApiProblem ? error.problem : 'unreachable'
      if (problem === 'draft-moved' || problem === 'edit-does-not-fit') {
        this.state.value = 'moved'
        this.onMoved()
      } else if (problem === 'invalid' || problem === 'text-too-long' || problem === 'not-found' || problem === 'too-large') {
        this.state.value = 'refused'
        this.onRefused((error as Error).message)
      } else {
        this.state.value = 'unsent'
        this.#wait = Math.min(this.#wait ? this.#wait * 2 : 500, LONGEST_WAIT_MS)
        this.#sendSoon(this.#wait)
      }
    }
  }
}

/** Sends what a page that is gone had left. True when the server has all of it now; false when the draft moved on meanwhile. */
export async function sendOrphan(local: LocalDraft): Promise<boolean> {
  let { base, first } = local
  let rest = local.pending
  while (rest.length) {
    const named = rest.findIndex(({ goOnFrom }) => goOnFrom !== undefined)
    const batch = rest.slice(0, Math.min(named < 0 ? MOST_AT_ONCE : named + 1, MOST_AT_ONCE))
    const goOnFrom = batch.at(-1)?.goOnFrom
    try {
      await call(saveEdits, {
        params: { prompt: local.promptId },
        body: { client: local.client, first, base, edits: batch.map(({ edit }) => edit), ...(goOnFrom === undefined ? {} : { goOnFrom }) },
      })
    } catch (error) {
      if (error instanceof ApiProblem && (error.problem === 'draft-moved' || error.problem === 'edit-does-not-fit')) return false
      throw error
    }
    first += batch.length
    base += batch.length
    rest = rest.slice(batch.length)
  }
  return true
}
