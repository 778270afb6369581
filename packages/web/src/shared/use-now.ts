import { useNow as tick } from '@vueuse/core'
import { computed } from 'vue'

/** The time in ms, renewed every half minute: for "3 minutes ago". */
export function useNow() {
  const now = tick({ interval: 30_000 })
  return computed(() => now.value.getTime())
}
