import type { QueryOf, readSheet } from '@idolon/contract'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'

type Filter = NonNullable<QueryOf<typeof readSheet>>
const NAMES = ['project', 'prompt', 'run', 'trial', 'version', 'engine', 'fault', 'verdict'] as const

/** What a sheet shows and how, kept in its address. */
export function useSheetFilter() {
  const route = useRoute()
  const router = useRouter()
  const text = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
  const set = (name: string, value: string) => void router.replace({ query: { ...route.query, [name]: value || undefined } })
  // The server refuses what does not fit; an address is anyone's to write.
  const filter = computed(() => Object.fromEntries(NAMES.flatMap((name) => (text(name) ? [[name, name === 'version' ? Number(text(name)) : text(name)]] : []))) as Filter)
  const arrangement = computed(() => text('by') || (text('trial') ? 'options' : text('prompt') ? 'version-engine' : 'free'))
  return { text, set, filter, arrangement }
}
