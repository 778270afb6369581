import type { Facet } from '../facet.ts'

/** The tag of prompts that are sheets. */
export const SHEET_TAG = 'sheet'

/** One thing that a sheet goes through; its first option stands in the text. */
export interface SheetList {
  name: 'pose' | 'expression' | 'dress' | 'angle'
  facet: Facet
  options: readonly string[]
}

/** Where the lists of a sheet stand in a text; one whose first option was written otherwise is passed over. */
export function sheetPlaces(text: string, lists: readonly SheetList[]): (SheetList & { start: number; end: number })[] {
  const lower = text.toLowerCase()
  return lists.flatMap((list) => {
    const at = list.options.map((option) => ({ option, start: lower.indexOf(option.toLowerCase()) })).find(({ start }) => start >= 0)
    // What stands there comes first, as in every plan.
    return at ? [{ ...list, options: [text.slice(at.start, at.start + at.option.length), ...list.options.filter((one) => one !== at.option)], start: at.start, end: at.start + at.option.length }] : []
  })
}
