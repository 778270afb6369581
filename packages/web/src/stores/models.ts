import { listModels, type Model } from '@idolon/contract'
import type { ModelProfile } from '@idolon/core/helper'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'

/** The language models, and which of them the writer uses. */
export const useModels = defineStore('models', () => {
  const all = shallowRef<Model[]>([])
  const read = async () => void (all.value = await call(listModels, {}))
  async function load(): Promise<void> {
    if (all.value.length === 0) await read()
  }
  onChange((event) => {
    if (all.value.length && (event === 'reset' || event.kind === 'models')) void read().catch(() => undefined)
  })
  const usable = computed(() => all.value.filter(({ connected }) => connected))
  const kept = useLocalStorage('idolon.model', 'quoin')
  /** The one that is asked where a helper names none. */
  const usual = computed({ get: () => (usable.value.some(({ profile }) => profile.id === kept.value) ? kept.value : (usable.value[0]?.profile.id ?? '')), set: (id: string) => (kept.value = id) })
  const find = (id: string): ModelProfile | undefined => all.value.find(({ profile }) => profile.id === id)?.profile
  return { all, usable, usual, load, read, find }
})
