import type { ChangeEvent } from '@idolon/contract'
import { type FetchStatus, QueryClient, QueryObserver } from '@tanstack/query-core'
import { computed, type ComputedRef, onScopeDispose, type Ref, shallowRef, watch } from 'vue'
import { useNotices } from '../notices/notices.ts'
import { onChange } from './changes.ts'
import { ApiProblem } from './problem.ts'

/** Events that come in within it are answered by one reading. */
const GATHER_MS = 250
/** What no page shows any more is kept for so long, so that a page that is opened again shows at once what it showed. */
const KEEP_MS = 5 * 60_000

// Readings are repeated when the server tells of a change, and by the writer's own press; never because time has passed.
const client = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always', refetchOnWindowFocus: false, refetchOnReconnect: false, structuralSharing: false, gcTime: KEEP_MS } } })

export interface Wanted<T> {
  /** What is read, and of what; with another key it is other data. Undefined while nothing is wanted. */
  key: () => readonly [name: string, ...of: unknown[]] | undefined
  /** Reads it; the signal aborts when another key is wanted or the page is left. */
  read: (signal: AbortSignal) => Promise<T>
  /** Whether a change on the server concerns it. @param data what is shown now */
  on?: (event: ChangeEvent, data: T | undefined) => boolean
  /** Events within so many milliseconds are answered by one reading. */
  gatherMs?: number
  /** Milliseconds until it is read again though nothing changed, for what is not finished yet; undefined for never. */
  againMs?: (data: T | undefined) => number | undefined
  /** What was shown of the key before stays in sight until the next is here. */
  keepBefore?: boolean
  /** Shows itself, from `missing`, that there is no such thing; else a notice says so, as it says every other failure. */
  tells?: boolean
}

export interface PageData<T> {
  data: ComputedRef<T | undefined>
  /** Why it could not be read; what was read before stays in `data`. */
  problem: ComputedRef<Error | undefined>
  /** Whether there is nothing to show yet and it is being read. */
  loading: ComputedRef<boolean>
  /** Whether the server says that there is no such thing. */
  missing: ComputedRef<boolean>
  /** Reads it again; resolved, never rejected, when it has been read or has failed. */
  load: () => Promise<void>
  /** Shows what the server answered to a change; a reading that began before the change is dropped. */
  put: (next: T) => void
}

/** Of several pages' data that fail at once each sentence is said once (see notices); that the server is away is said by the page's own line. */
const told = (error: Error): boolean => !(error instanceof ApiProblem && error.problem === 'unreachable')

/** Data of the server that a page or store shows: read when it is wanted, kept, read again on the events that concern it, dropped when it is not wanted any more. */
export function usePageData<T>({ key, read, on, gatherMs = GATHER_MS, againMs, keepBefore = false, tells = false }: Wanted<T>): PageData<T> {
  const now = computed(key)
  const options = () => ({
    queryKey: now.value ?? ['nothing'],
    queryFn: ({ signal }: { signal: AbortSignal }) => read(signal),
    enabled: now.value !== undefined,
    staleTime: 0,
    ...(keepBefore ? { placeholderData: (before: T | undefined) => before } : {}),
    ...(againMs ? { refetchInterval: (query: { state: { data: T | undefined } }) => againMs(query.state.data) ?? false } : {}),
  })
  type Result = { data: T | undefined; error: Error | null; fetchStatus: FetchStatus; isPlaceholderData: boolean }
  const observer = new QueryObserver<T, Error, T, T, readonly unknown[]>(client, options() as never)
  const result: Ref<Result> = shallowRef(observer.getCurrentResult())
  const show = (next: Result) => (result.value = next)
  const unsubscribe = observer.subscribe(show)
  show(observer.getCurrentResult())
  watch(() => JSON.stringify(now.value), () => {
    observer.setOptions(options() as never)
    show(observer.getCurrentResult())
  }, { flush: 'sync' })

  const problem = computed(() => (now.value ? (result.value.error ?? undefined) : undefined))
  const data = computed(() => (now.value ? result.value.data : undefined))
  const missing = computed(() => problem.value instanceof ApiProblem && (problem.value.problem === 'not-found' || problem.value.problem === 'invalid'))
  const notices = useNotices()
  watch(problem, (error) => error && !(tells && missing.value) && (told(error) || data.value === undefined) && notices.showError(error), { immediate: true })

  const load = async () => {
    // A first reading that is under way is as good as another; one that may be older than a change is not.
    if (now.value) await observer.refetch({ cancelRefetch: observer.getCurrentResult().data !== undefined })
  }
  let soon: ReturnType<typeof setTimeout> | undefined
  let reading = false
  let changed = false
  /** One reading at a time: events that come in faster than they can be answered must not break off each other's. */
  async function readAgain(): Promise<void> {
    changed = true
    if (reading) return
    reading = true
    while (changed) {
      changed = false
      await load()
    }
    reading = false
  }
  onChange((event) => {
    if (!now.value || (event !== 'reset' && !on?.(event, data.value))) return
    // The first of a burst begins the wait and the rest are in its reading: many events without a pause must not put it off for ever.
    soon ??= setTimeout(() => {
      soon = undefined
      void readAgain()
    }, gatherMs)
  })
  onScopeDispose(() => {
    clearTimeout(soon)
    unsubscribe()
  })
  return {
    data,
    problem,
    missing,
    loading: computed(() => now.value !== undefined && result.value.data === undefined && result.value.fetchStatus === 'fetching'),
    load,
    put: (next) => {
      const of = now.value
      if (!of) return
      void client.cancelQueries({ queryKey: of, exact: true })
      client.setQueryData(of, next)
    },
  }
}

/** Drops everything that was kept; for tests, each of which begins with nothing read. */
export const dropPageData = (): void => client.clear()
