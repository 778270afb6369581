import type { Facet } from '../facet.ts'
import { blankSlot, type SlotValues, type TemplateSlot } from './body.ts'

/** A phrase that is to become a slot. */
export interface Taken {
  start: number
  end: number
  facet: Facet
  /** Else named by its facet. */
  name?: string
}

/**
 * One text as a template: each phrase taken becomes a slot, named by its facet, whose default and only option is what stood there. Filled
 * with these values it is the text again. Ranges must not overlap; `{{` in what stays becomes a slot of its own, since it cannot stand for itself.
 */
export function takenApart(text: string, taken: readonly Taken[]): { text: string; slots: TemplateSlot[]; values: SlotValues } {
  const inOrder = [...taken].sort((a, b) => a.start - b.start)
  const braces = [...text.matchAll(/\{\{+|\}\}+/gu)].map(({ index, 0: said }): Taken & { name: string } => ({ start: index, end: index + said.length, facet: 'lettering', name: 'braces' })).filter(({ start, end }) => !inOrder.some((one) => one.start < end && one.end > start))
  const slots: TemplateSlot[] = []
  const values: SlotValues = {}
  let out = ''
  let last = 0
  for (const { start, end, facet, name } of [...inOrder, ...braces].sort((a, b) => a.start - b.start)) {
    const value = text.slice(start, end)
    const known = slots.find((slot) => slot.facet === facet && values[slot.name] === value && (name === undefined || slot.name === name))
    const own = known?.name ?? freeName(name ?? facet, slots)
    if (!known) {
      slots.push({ ...blankSlot(own, facet), options: [value], fallback: value })
      values[own] = value
    }
    out += `${text.slice(last, start)}{{ ${own} }}`
    last = end
  }
  return { text: out + text.slice(last), slots, values }
}

/** A name that no slot has yet: “subject”, “subject 2”. */
export function freeName(wanted: string, slots: readonly Pick<TemplateSlot, 'name'>[]): string {
  const has = (name: string) => slots.some((slot) => slot.name === name)
  let n = 1
  while (has(n === 1 ? wanted : `${wanted} ${n}`)) n++
  return n === 1 ? wanted : `${wanted} ${n}`
}
