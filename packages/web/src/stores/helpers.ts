import { type Helper, listHelpers } from '@idolon/contract'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { useKnownList } from './known-list.ts'

export const useHelpers = defineStore('helpers', () => {
  const { all, load, read } = useKnownList<Helper>('helpers', (signal) => call(listHelpers, { signal }), ({ kind }) => kind === 'helpers')
  const find = (id: string): Helper | undefined => all.value.find((one) => one.id === id)
  /** Those that are asked about a draft; a story is split where a series begins. */
  const forDrafts = computed(() => all.value.filter(({ body }) => body.answer !== 'scenes'))
  return { all, forDrafts, load, read, find }
})
