import type { Directive } from 'vue'

/** `v-list-field`: the field drives a list of ours below it. The library's `role` would stand on the frame around the field, too, which is none. */
export const vListField: Directive<HTMLElement> = { mounted: (root) => root.querySelector('input')?.setAttribute('role', 'combobox') }
