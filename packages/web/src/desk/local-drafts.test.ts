import { emptyDraft } from '@idolon/core'
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { reactive } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { LocalDraft } from './local-drafts.ts'

const record = (client: string, more: Partial<LocalDraft> = {}): LocalDraft => ({
  promptId: 'p',
  client,
  base: 3,
  first: 1,
  pending: [{ edit: { text: [{ from: 0, to: 0, insert: 'a' }] } }],
  draft: { ...emptyDraft(), text: 'a fox' },
  at: 1,
  ...more,
})

/** Locks as a browser grants them: one holder a name, the next when it lets go. */
function fakeLocks() {
  const tails = new Map<string, Promise<unknown>>()
  return {
    request: (name: string, options: unknown, callback?: () => Promise<unknown>) => {
      const run = (callback ?? options) as () => Promise<unknown>
      const mine = (tails.get(name) ?? Promise.resolve()).then(run)
      tails.set(name, mine.catch(() => undefined))
      return mine
    },
  }
}

// A module of its own each time, as a page of its own has.
let store: typeof import('./local-drafts.ts')
beforeEach(async () => {
  vi.resetModules()
  vi.stubGlobal('indexedDB', new IDBFactory())
  localStorage.clear()
  Object.defineProperty(navigator, 'locks', { value: fakeLocks(), configurable: true })
  store = await import('./local-drafts.ts')
})
const never = new AbortController().signal

describe('the browser’s own store', () => {
  it('keeps what it is given, proxies of the view included', async () => {
    await store.keepLocally(reactive(record('gone')))
    const taken: LocalDraft[] = []
    await store.takeOver('p', 'gone', never, (local) => {
      taken.push(local)
      return Promise.resolve()
    })
    expect(taken).toEqual([record('gone')])
  })

  it('hands a page’s edits over only when that page is gone', async () => {
    const leave = store.holdClient('alive')
    await store.keepLocally(record('alive'))
    let taken = 0
    const waiting = store.takeOver('p', 'alive', never, () => {
      taken++
      return Promise.resolve()
    })
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(taken).toBe(0)
    leave()
    await waiting
    expect(taken).toBe(1)
  })

  it('lists the clients of one prompt, the oldest first, and forgets what is told', async () => {
    await store.keepLocally(record('b', { at: 2 }))
    await store.keepLocally(record('a', { at: 1 }))
    await store.keepLocally(record('c', { promptId: 'other' }))
    expect(await store.clientsWithEdits('p')).toEqual(['a', 'b'])
    await store.deleteLocally('p', 'a')
    expect(await store.clientsWithEdits('p')).toEqual(['b'])
  })

  it('takes the last words of a page that went before the store had them, and forgets them with the rest', async () => {
    await store.keepLocally(record('gone', { at: 1 }))
    store.keepAtOnce(record('gone', { at: 2, draft: { ...emptyDraft(), text: 'a fox at dusk' } }))
    store.keepAtOnce(record('never stored'))
    expect(await store.clientsWithEdits('p')).toEqual(['gone', 'never stored'])
    const taken: string[] = []
    await store.takeOver('p', 'gone', never, (local) => {
      taken.push(local.draft.text)
      return store.deleteLocally('p', 'gone')
    })
    expect(taken).toEqual(['a fox at dusk'])
    expect(await store.clientsWithEdits('p')).toEqual(['never stored'])
  })

  it('believes nothing that has not the shape of a draft', async () => {
    await store.keepLocally(record('odd', { draft: { text: 7 } as never }))
    await store.keepLocally(record('odder', { pending: [{ edit: { text: 'no' } as never }] }))
    const take = vi.fn(() => Promise.resolve())
    for (const client of ['odd', 'odder']) await store.takeOver('p', client, never, take)
    expect(take).not.toHaveBeenCalled()
  })
})
