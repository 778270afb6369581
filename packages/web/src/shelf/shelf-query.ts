import type { QueryOf, searchShelf, Status } from '@idolon/contract'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'

type Query = NonNullable<QueryOf<typeof searchShelf>>
export const STATUSES: readonly Status[] = ['rough', 'testing', 'proven', 'retired']
/** What a search may name, as its address has it. */
export const NAMES = ['q', 'by', 'project', 'tag', 'status', 'engine', 'kept', 'tried', 'colour', 'template', 'part', 'each', 'since', 'until'] as const
export type SearchName = (typeof NAMES)[number]
const DAY = /^\d{4}-\d{2}-\d{2}$/

/** The query that an address asks for; what does not fit is passed over, since an address is anyone's to write. */
export function queryOf(text: (name: SearchName) => string): Query {
  const kept = Number(text('kept'))
  const words = (name: 'project' | 'tag' | 'engine' | 'colour' | 'template' | 'part') => (text(name) ? { [name]: text(name) } : {})
  return {
    q: text('q').slice(0, 500),
    ...(text('by') === 'meaning' ? { by: 'meaning' as const } : {}),
    ...(text('each') === 'yes' ? { each: true } : {}),
    ...words('project'),
    ...words('tag'),
    ...words('engine'),
    ...words('colour'),
    ...words('template'),
    ...words('part'),
    ...(STATUSES.includes(text('status') as Status) ? { status: text('status') as Status } : {}),
    ...(Number.isInteger(kept) && kept > 0 ? { kept } : {}),
    ...(text('tried') === 'yes' || text('tried') === 'no' ? { tried: text('tried') === 'yes' } : {}),
    ...(DAY.test(text('since')) ? { since: text('since') } : {}),
    ...(DAY.test(text('until')) ? { until: text('until') } : {}),
  }
}

/** What is looked for on the Shelf, kept in its address, so that a search can be kept, shared and gone back to. */
export function useShelfQuery() {
  const route = useRoute()
  const router = useRouter()
  const text = (name: SearchName) => (typeof route.query[name] === 'string' ? route.query[name] : '')
  const set = (name: SearchName, value: string) => void router.replace({ query: { ...route.query, [name]: value || undefined } })
  const query = computed(() => queryOf(text))
  /** The names and values that are set. */
  const given = computed(() => Object.fromEntries(NAMES.flatMap((name) => (text(name) ? [[name, text(name)]] : []))))
  return { text, set, query, given }
}
