import { listEngines } from '@idolon/contract'
import { type EngineProfile, findEngine } from '@idolon/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { call } from '../api/call.ts'

export const useEngines = defineStore('engines', () => {
  const all = ref<EngineProfile[]>([])
  async function load(): Promise<void> {
    if (all.value.length === 0) all.value = await call(listEngines, {})
  }
  const find = (id: string, revision?: string): EngineProfile | undefined => findEngine(all.value, id, revision)
  return { all, load, find }
})
