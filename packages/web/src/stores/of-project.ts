import type { ChangeEvent } from '@idolon/contract'
import { ref, shallowRef, watch } from 'vue'
import { usePageData } from '../api/page-data.ts'

interface OfProject<T> {
  /** What it is, in the singular or plural that its key has. */
  name: string
  /** What stands there until it is read. */
  none: T
  read: (project: string, signal: AbortSignal) => Promise<T>
  on: (event: ChangeEvent, project: string) => boolean
  gatherMs?: number
}

/** What a store has of the project that was last asked for; the project is undefined until one is. */
export function useOfProject<T>({ name, none, read, on, gatherMs }: OfProject<T>) {
  const project = ref<string>()
  const page = usePageData<T>({
    key: () => (project.value === undefined ? undefined : [name, project.value]),
    read: (signal) => read(project.value!, signal),
    on: (event) => on(event, project.value!),
    ...(gatherMs === undefined ? {} : { gatherMs }),
  })
  const shown = shallowRef<T>(none)
  watch(page.data, (found) => (shown.value = found ?? none), { flush: 'sync' })
  /** Reads that of a project; what goes wrong is said, never thrown. */
  async function load(id: string): Promise<void> {
    project.value = id
    await page.load()
  }
  return { project, shown, load, again: page.load, put: page.put }
}
