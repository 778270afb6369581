import type { ChangeEvent } from '@idolon/contract'
import { ref, shallowRef, watch } from 'vue'
import { usePageData } from '../api/page-data.ts'

/** A list that many views need, for a store: read when it is first asked for, and again whenever the server says that it changed. */
export function useKnownList<T>(name: string, read: (signal: AbortSignal) => Promise<T[]>, on: (event: ChangeEvent) => boolean, gatherMs?: number) {
  const all = shallowRef<T[]>([])
  const wanted = ref(false)
  const list = usePageData({ key: () => (wanted.value ? [name] : undefined), read, on, ...(gatherMs === undefined ? {} : { gatherMs }) })
  watch(list.data, (data) => data && (all.value = data), { flush: 'sync' })
  /** Reads it again; what goes wrong is said, never thrown. */
  const reread = async (): Promise<void> => {
    wanted.value = true
    await list.load()
  }
  /** Reads it unless it is here. */
  const load = async (): Promise<void> => {
    if (all.value.length === 0) await reread()
  }
  return { all, load, read: reread, loaded: () => list.data.value !== undefined }
}
