import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** Does what the address asks of a view (“?do=new”), whether one comes from elsewhere or is there already; then the address asks no more, so that it can be asked again. */
export function useAsked(acts: ReadonlyMap<string, () => unknown>): void {
  const route = useRoute()
  const router = useRouter()
  watch(
    () => route.query['do'],
    (asked) => {
      if (typeof asked !== 'string') return
      acts.get(asked)?.()
      void router.replace({ query: { ...route.query, do: undefined } })
    },
    { immediate: true },
  )
}
