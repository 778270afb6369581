import { TermIndex } from '../src/glossary/term-index.ts'
import { TERMS_BY_FACET } from '../src/glossary/lexicon.ts'
import { itemsOf } from '../src/read/model/features.ts'
import { prepare } from '../src/read/prepare.ts'
import { scan } from '../src/read/scan.ts'
import { englishTagger } from '../src/read/tagger.ts'
import type { WordEntries } from '../src/read/model/word-features.ts'
import { type Example, facetNo } from './corpus.ts'
import type { Sequence } from './network.ts'

const terms = new TermIndex(TERMS_BY_FACET)
const tag = englishTagger()

/** A labelled prompt as the units the reader would read, each with the right label of every word. */
export function sequencesOf(example: Example, words: WordEntries): Sequence[] {
  return prepare(example.text).units.map((unit) => {
    const said = example.text.slice(unit.start, unit.end)
    const tokens = scan(said)
    const items = itemsOf(tokens, { words, tags: tag(said, tokens), terms: terms.find(tokens), hint: unit.hint, masks: unit.masks, place: unit.place })
    const labelOf = (start: number, end: number) => facetNo(example.labels.find((label) => label.facet && label.start <= start && end <= label.end)?.facet)
    return {
      items,
      labels: Uint8Array.from(items, ({ token }) => labelOf(token.start + unit.start, token.end + unit.start)),
      vectors: items.map(({ token }) => words.words.vector(token.lower)),
    }
  })
}
