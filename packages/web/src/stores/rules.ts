import { readRules, setRules } from '@idolon/contract'
import { type HouseRules, NO_RULES } from '@idolon/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'

/** House rules of the project that was last asked for. */
export const useRules = defineStore('rules', () => {
  const rules = shallowRef<HouseRules>(NO_RULES)
  let project = ''
  async function load(id: string): Promise<void> {
    project = id
    const found = await call(readRules, { params: { project: id } })
    if (id === project) rules.value = found
  }
  async function set(id: string, next: HouseRules): Promise<void> {
    const saved = await call(setRules, { params: { project: id }, body: next })
    if (id === project) rules.value = saved
  }
  onChange((event) => {
    if (project && (event === 'reset' || (event.kind === 'project' && event.projectId === project))) void load(project).catch(() => undefined)
  })
  return { rules, load, set }
})
