import { defineStore } from 'pinia'
import { ref } from 'vue'
import { messageOf } from '../api/problem.ts'

export interface Notice {
  id: number
  text: string
  problem: boolean
  action?: { label: string; run: () => void }
}

const STAYS_MS = 8_000
let next = 1

/** Short messages at the foot of the page. Problems stay until they are closed. */
export const useNotices = defineStore('notices', () => {
  const shown = ref<Notice[]>([])
  function close(id: number): void {
    shown.value = shown.value.filter((notice) => notice.id !== id)
  }
  function show(text: string, more: { problem?: boolean; action?: Notice['action'] } = {}): void {
    const notice: Notice = { id: next++, text, problem: more.problem ?? false, ...(more.action ? { action: more.action } : {}) }
    shown.value = [...shown.value.filter((other) => other.text !== text), notice].slice(-3)
    if (!notice.problem) setTimeout(() => close(notice.id), STAYS_MS)
  }
  const showError = (error: unknown): void => show(messageOf(error), { problem: true })
  return { shown, show, showError, close }
})

/** Runs a task from the page; what goes wrong is said, never swallowed. */
export function useTask() {
  const notices = useNotices()
  return async <T>(task: () => Promise<T>): Promise<T | undefined> => {
    try {
      return await task()
    } catch (error) {
      notices.showError(error)
      return undefined
    }
  }
}
