import { readRules, setRules } from '@idolon/contract'
import { type HouseRules, NO_RULES } from '@idolon/core'
import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'

/** House rules of the project that was last asked for. */
export const useRules = defineStore('rules', () => {
  const rules = shallowRef<HouseRules>(NO_RULES)
  const project = ref('')
  const page = usePageData({
    key: () => (project.value ? ['house rules', project.value] : undefined),
    read: (signal) => call(readRules, { params: { project: project.value }, signal }),
    on: (event) => event.kind === 'project' && event.projectId === project.value,
  })
  watch(page.data, (found) => (rules.value = found ?? NO_RULES), { flush: 'sync' })
  /** Reads the rules of a project; what goes wrong is said, never thrown. */
  async function load(id: string): Promise<void> {
    project.value = id
    await page.load()
  }
  async function set(id: string, next: HouseRules): Promise<void> {
    const saved = await call(setRules, { params: { project: id }, body: next })
    if (id === project.value) page.put(saved)
  }
  return { rules, load, set }
})
