import { type AnswerOf, type FoundPrompt, listTags, type QueryOf, searchShelf, type TagCount } from '@idolon/contract'
import { type ComputedRef, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { onChange } from '../api/changes.ts'
import { useNotices, useTask } from '../notices/notices.ts'

type Query = NonNullable<QueryOf<typeof searchShelf>>
const PAGE = 40
/** Where words find fewer, what is close in meaning is looked for too. */
const FEW = 6
const CLOSE = 12
/** After a change, and while something is still being worked out. */
const AGAIN_MS = 500
const UNREAD_MS = 1_500

/** What a search of the Shelf finds, as far as it was asked for, kept up to date. */
export function useFound(query: ComputedRef<Query>) {
  const notices = useNotices()
  const task = useTask()
  const rows = shallowRef<FoundPrompt[]>()
  /** Close in meaning, where the words themselves find little. */
  const close = shallowRef<FoundPrompt[]>([])
  const answer = shallowRef<Omit<AnswerOf<typeof searchShelf>, 'rows'>>()
  const tags = shallowRef<TagCount[]>([])
  const slow = ref(false)
  /** Whether the last search could not be made. */
  const failed = ref(false)
  const complete = ref(false)

  let newest: AbortController | undefined
  let soon: ReturnType<typeof setTimeout> | undefined
  /** Reads the first rows, or the next ones; as many as there were, when something changed. */
  async function load(what: 'first' | 'next' | 'again' = 'first'): Promise<void> {
    newest?.abort()
    clearTimeout(soon)
    const mine = new AbortController()
    newest = mine
    const late = setTimeout(() => newest === mine && (slow.value = true), 250)
    failed.value = false
    const before = what === 'next' ? (rows.value ?? []) : []
    try {
      const { rows: found, ...said } = await call(searchShelf, { query: { ...query.value, limit: what === 'again' ? Math.min(200, Math.max(PAGE, rows.value?.length ?? 0)) : PAGE, offset: before.length }, signal: mine.signal })
      const known = new Set(before.map(({ id }) => id))
      rows.value = [...before, ...found.filter(({ id }) => !known.has(id))]
      complete.value = found.length === 0 || (!said.more && rows.value.length >= said.total)
      answer.value = before.length ? { ...said, frames: answer.value?.frames ?? [] } : said
      const few = query.value.q && query.value.by !== 'meaning' && rows.value.length < FEW
      if (!few) close.value = []
      else {
        const nearby = await call(searchShelf, { query: { ...query.value, by: 'meaning', limit: CLOSE }, signal: mine.signal })
        const own = new Set(rows.value.flatMap(({ id, family }) => [id, family ?? id]))
        close.value = nearby.rows.filter(({ id, family }) => !own.has(id) && !own.has(family ?? id))
      }
      // What is looked by is still being worked out: there may be more in a moment.
      if (said.unread) soon = setTimeout(() => void load('again'), UNREAD_MS)
    } catch (error) {
      if ((error as Error).name === 'AbortError') return
      failed.value = true
      notices.showError(error)
    } finally {
      clearTimeout(late)
      if (newest === mine) {
        slow.value = false
        newest = undefined
      }
    }
  }
  const loadTags = () => task(async () => (tags.value = await call(listTags, {})))
  watch(() => JSON.stringify(query.value), () => void load(), { immediate: true })
  void loadTags()
  onChange((event) => {
    if (event !== 'reset' && event.kind !== 'prompt' && event.kind !== 'proof') return
    clearTimeout(soon)
    soon = setTimeout(() => {
      void load('again')
      void loadTags()
    }, AGAIN_MS)
  })
  /** Reads further, unless all is there or is being read. */
  const further = () => {
    if (!complete.value && !newest && rows.value) void load('next')
  }
  return { rows, close, answer, tags, slow, failed, load, loadTags, further }
}
