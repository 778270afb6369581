import { type Draft, emptyDraft, filledDraft, type FilledFrom, fixedFacetsOf, readTemplate, type SlotValues, type TemplateBody, valuesFor, withFacetsOfSlots } from '@idolon/core'
import { fillTemplate, type Reader } from '@idolon/core/reader'

/** What a template gives with some values: a draft's text with its marks, and what is left out. */
export function fillWith(reader: Reader, body: TemplateBody, values: SlotValues, from: FilledFrom, draft: Draft = emptyDraft()): Draft {
  const facetOf = (name: string) => body.slots.find((slot) => slot.name === name)?.facet
  const filled = fillTemplate(readTemplate(body.text).parts, valuesFor(body.slots, values), reader.words, facetOf)
  const made = filledDraft(draft, filled, body.leaveOut, from)
  const { phrases } = reader.read(made.text, fixedFacetsOf(made.marks))
  return withFacetsOfSlots(made, filled, facetOf, (start, end) => {
    const over = phrases.filter((phrase) => phrase.start < end && phrase.end > start)
    return over.length && over.every(({ facet }) => facet === over[0]!.facet) ? over[0]!.facet : undefined
  })
}
