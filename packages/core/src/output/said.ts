import type { Draft } from '../draft/shape.ts'
import { FACETS } from '../facets.ts'
import type { EngineProfile } from '../engine/profile.ts'
import { covered, emphasisOf } from '../phrase/marks.ts'
import type { Phrase, Reading } from '../read/reading.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { Composer } from '../rewrite/composer.ts'
import { writeList } from '../rewrite/list.ts'
import { type Parts, partsOf } from '../rewrite/parts.ts'
import { writeSentences } from '../rewrite/sentences.ts'
import type { TextRange } from '../text-range.ts'
import { draftStyle } from './draft-style.ts'
import { shownText } from './shown-text.ts'

/** A draft's text as an engine wants it, and where each phrase of the draft came to stand. */
export interface SaidText {
  text: string
  places: { phrase: TextRange; start: number; end: number }[]
}

/** What is not sent: phrases that are off, and what is no part of the picture. */
const hidden = (draft: Draft, { noise }: Reading): Draft => ({
  ...draft,
  marks: [...draft.marks, ...noise.filter(({ kind }) => kind !== 'label').map(({ start, end }) => ({ from: start, to: end, kind: 'off' as const }))].sort((a, b) => a.from - b.from),
})

/** The parts of a draft that are sent, in the order an engine prefers; what weighs more comes first where order carries weight. */
function sentParts(draft: Draft, reading: Reading, { emphasis, facetOrder }: EngineProfile): Parts {
  const parts = partsOf(draft, reading)
  const weight = ({ phrase }: Parts['said'][number]) => (emphasis === 'order' || emphasis === 'repetition' ? emphasisOf(draft.marks, phrase) : 0)
  const rank = ({ phrase }: Parts['said'][number]) => (facetOrder?.length ? facetOrder.indexOf(phrase.facet) + (facetOrder.includes(phrase.facet) ? 0 : FACETS.length + 1) : 0)
  const said = parts.said
    .filter(({ phrase }) => !covered(draft.text, draft.marks, 'off', phrase))
    .map((one, at) => ({ one, at }))
    .sort((a, b) => weight(b.one) - weight(a.one) || rank(a.one) - rank(b.one) || a.at - b.at)
    .map(({ one }) => one)
  const rest = parts.rest.filter(({ start, end }) => !covered(draft.text, draft.marks, 'off', { start, end }))
  return { said, rest: rest.map((range) => ({ ...range, after: said.length })), aside: [] }
}

/** Where phrases stand in a text that kept the draft's own wording. */
function placesIn(text: string, phrases: readonly Phrase[]): SaidText['places'] {
  const places: SaidText['places'] = []
  let at = 0
  for (const phrase of phrases) {
    const start = text.indexOf(phrase.text.replace(/\s+/g, ' '), at)
    if (start < 0) continue
    at = start + phrase.text.length
    places.push({ phrase, start, end: at })
  }
  return places
}

/** The draft's text in sentences or as a list, as the engine reads it; in the draft's own words where it is written so already. */
export function saidFor(draft: Draft, reading: Reading, words: WordTable, profile: EngineProfile): SaidText {
  const style = draftStyle(draft.text, reading)
  const want = profile.reads === 'keywords' ? 'list' : profile.reads === 'sentences' ? 'sentences' : style === 'sentences' || style === 'list' ? style : 'list'
  const moved = Boolean(profile.facetOrder?.length) || (['order', 'repetition'].includes(profile.emphasis) && draft.marks.some(({ kind }) => kind === 'emphasis'))
  const shown = hidden(draft, reading)
  if (style === want && !moved) {
    const text = shownText(shown)
    return { text, places: placesIn(text, reading.phrases.filter((phrase) => !covered(draft.text, shown.marks, 'off', phrase))) }
  }
  const parts = sentParts(draft, reading, profile)
  const composer = new Composer({ ...draft, marks: [] })
  if (want === 'list') writeList(parts, draft.text, words, composer)
  else writeSentences(parts, words, composer)
  return { text: composer.text, places: composer.taken.map(({ start, end, from }) => ({ phrase: from, start, end })) }
}
