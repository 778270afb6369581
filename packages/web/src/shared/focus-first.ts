import type { Directive } from 'vue'

/**
 * `v-focus-first`: the caret is in the field as soon as it is there. The library's own `autofocus` waits until the
 * field has been seen on the screen, and what is typed until then goes elsewhere.
 */
export const vFocusFirst: Directive<HTMLElement> = { mounted: (root) => root.querySelector<HTMLElement>('input, textarea')?.focus() }
