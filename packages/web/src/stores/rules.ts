import { readRules, setRules } from '@idolon/contract'
import { type HouseRules, NO_RULES } from '@idolon/core'
import { defineStore } from 'pinia'
import { call } from '../api/call.ts'
import { useOfProject } from './of-project.ts'

/** House rules of the project that was last asked for. */
export const useRules = defineStore('rules', () => {
  const { project, shown: rules, load, put } = useOfProject<HouseRules>({
    name: 'house rules',
    none: NO_RULES,
    read: (id, signal) => call(readRules, { params: { project: id }, signal }),
    on: (event, id) => event.kind === 'project' && event.projectId === id,
  })
  async function set(id: string, next: HouseRules): Promise<void> {
    const saved = await call(setRules, { params: { project: id }, body: next })
    if (id === project.value) put(saved)
  }
  return { rules, load, set }
})
