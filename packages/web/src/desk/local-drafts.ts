import type { Draft, Edit } from '@idolon/core'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { checkOf, hasShape } from '../api/shapes.ts'

/** An edit that the server has not acknowledged. */
export interface PendingEdit {
  edit: Edit
  /** The version the draft goes on from after this edit, when it says so. */
  goOnFrom?: number
}

/** What one open page has not yet got to the server. */
export interface LocalDraft {
  promptId: string
  client: string
  /** The revision the first pending edit was made on, and the client's own number of that edit. */
  base: number
  first: number
  pending: PendingEdit[]
  /** The whole draft as it stood on the screen. */
  draft: Draft
  at: number
}

interface Schema extends DBSchema {
  drafts: { key: [string, string]; value: LocalDraft; indexes: { prompt: string } }
}

let database: Promise<IDBPDatabase<Schema>> | undefined
const open = () =>
  (database ??= openDB<Schema>('idolon', 1, {
    upgrade(db) {
      db.createObjectStore('drafts', { keyPath: ['promptId', 'client'] }).createIndex('prompt', 'promptId')
    },
  }))

/** Where a page that is going away leaves what the store above may not finish to write. */
const LAST_WORDS = 'idolon-last-words '
const lastWordsOf = (promptId: string, client: string) => `${LAST_WORDS}${promptId} ${client}`

/** Kept when this returns, at the cost of holding up the page; for a page that is going away. Does nothing where the browser keeps nothing. */
export function keepAtOnce(draft: LocalDraft): void {
  try {
    localStorage.setItem(lastWordsOf(draft.promptId, draft.client), JSON.stringify(draft))
  } catch {
    // Full or forbidden: the database above has all but the last keys.
  }
}

function lastWords(promptId: string, client: string): LocalDraft | undefined {
  try {
    return JSON.parse(localStorage.getItem(lastWordsOf(promptId, client)) ?? 'null') as LocalDraft | undefined
  } catch {
    return undefined
  }
}

export const keepLocally = async (draft: LocalDraft): Promise<void> => {
  // Strict: on the disk before it counts as kept. The default would lose the last seconds with a browser that crashes.
  const tr = (await open()).transaction('drafts', 'readwrite', { durability: 'strict' })
  // A plain copy: the store takes no proxies.
  await Promise.all([tr.store.put(JSON.parse(JSON.stringify(draft)) as LocalDraft), tr.done])
}
export const deleteLocally = async (promptId: string, client: string): Promise<void> => {
  localStorage.removeItem(lastWordsOf(promptId, client))
  await (await open()).delete('drafts', [promptId, client])
}

const lockName = (client: string) => `idolon-draft-${client}`

/** Holds a lock for as long as this page lives, by which other pages see that its edits are in good hands. */
export function holdClient(client: string): () => void {
  let release: () => void = () => undefined
  const held = new Promise<void>((resolve) => {
    release = resolve
  })
  void navigator.locks.request(lockName(client), () => held)
  return release
}

/** The clients that have left unsent edits of a prompt: pages that are gone, and pages that are still open. */
export async function clientsWithEdits(promptId: string): Promise<string[]> {
  const all = await (await open()).getAllFromIndex('drafts', 'prompt', promptId)
  const kept = all.sort((a, b) => a.at - b.at).map(({ client }) => client)
  const words = Object.keys(localStorage).filter((key) => key.startsWith(lastWordsOf(promptId, '')))
  return [...new Set([...kept, ...words.map((key) => key.slice(lastWordsOf(promptId, '').length))])]
}

/** Waits until the page of `client` is gone: closed, crashed or reloaded. Its edits are then anyone's, once. */
export async function takeOver(promptId: string, client: string, signal: AbortSignal, take: (local: LocalDraft) => Promise<void>): Promise<void> {
  await navigator.locks.request(lockName(client), { signal }, async () => {
    const kept = await (await open()).get('drafts', [promptId, client])
    const words = lastWords(promptId, client)
    const local = words && words.at >= (kept?.at ?? 0) ? words : kept
    // What comes out of the browser's store is believed only when it has the right shape.
    if (!Array.isArray(local?.pending) || local.pending.length === 0) return
    const isEdit = await checkOf('Edit')
    if ((await hasShape('Draft', local.draft)) && local.pending.every(({ edit }) => isEdit(edit))) await take(local)
  })
}
