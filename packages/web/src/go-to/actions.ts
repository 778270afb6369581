import { computed, onScopeDispose, shallowReactive } from 'vue'

/** Something that can be done from here, found by typing in Go to. */
export interface Action {
  name: string
  /** Other words people use for it; found, not shown. */
  words?: string
  /** One writes at once after it: what is typed meanwhile is held. */
  writes?: boolean
  run: () => void
}

const groups = shallowReactive(new Set<() => Action[]>())

export const actions = computed(() => [...groups].flatMap((group) => group()))

/** Offers actions in Go to while the calling component lives. */
export function useActions(list: () => Action[]): void {
  groups.add(list)
  onScopeDispose(() => groups.delete(list))
}
