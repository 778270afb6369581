import { listModels, type Model } from '@idolon/contract'
import type { ModelProfile } from '@idolon/core/helper'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { useKnownList } from './known-list.ts'

/** The language models, and which of them the writer uses. */
export const useModels = defineStore('models', () => {
  const { all, load, read } = useKnownList<Model>('models', (signal) => call(listModels, { signal }), ({ kind }) => kind === 'models')
  const usable = computed(() => all.value.filter(({ connected }) => connected))
  const kept = useLocalStorage('idolon.model', 'quoin')
  /** The one that is asked where a helper names none. */
  const usual = computed({ get: () => (usable.value.some(({ profile }) => profile.id === kept.value) ? kept.value : (usable.value[0]?.profile.id ?? '')), set: (id: string) => (kept.value = id) })
  const find = (id: string): ModelProfile | undefined => all.value.find(({ profile }) => profile.id === id)?.profile
  return { all, usable, usual, load, read, find }
})
