import { type Helper, listHelpers } from '@idolon/contract'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'

export const useHelpers = defineStore('helpers', () => {
  const all = shallowRef<Helper[]>([])
  const read = async () => void (all.value = await call(listHelpers, {}))
  async function load(): Promise<void> {
    if (all.value.length === 0) await read()
  }
  onChange((event) => {
    if (all.value.length && (event === 'reset' || event.kind === 'helpers')) void read().catch(() => undefined)
  })
  const find = (id: string): Helper | undefined => all.value.find((one) => one.id === id)
  /** Those that are asked about a draft; a story is split where a series begins. */
  const forDrafts = computed(() => all.value.filter(({ body }) => body.answer !== 'scenes'))
  return { all, forDrafts, load, read, find }
})
