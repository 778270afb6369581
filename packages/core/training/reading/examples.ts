import { TermIndex } from '../../src/glossary/term-index.ts'
import { TERMS_BY_FACET } from '../../src/glossary/terms-by-facet.ts'
import { featuresOf, sequenceOf } from '../../src/read/model/features.ts'
import type { WordEntries } from '../../src/read/model/word-features.ts'
import { prepare } from '../../src/read/prepare.ts'
import { scan } from '../../src/read/scan.ts'
import { englishAnalyser } from '../../src/read/tagger.ts'
import { ARTICLES, PREPOSITIONS } from '../../src/read/words/function-words.ts'
import { type Example, facetNo, handOf } from './corpus.ts'

const terms = new TermIndex(TERMS_BY_FACET)
const analyse = englishAnalyser()

/** A labelled prompt in numbers, as the trainer takes it. Places are UTF-16 code units. */
export interface Lesson {
  id: string
  hand: string
  /** Hands whose phrases it is made of. */
  hands: string[]
  /** Words that count, with their right labels (facets.md): start, end, label. */
  gold: [number, number, number][]
  units: {
    /** The place of each step's word in the table of words, -1 for none. */
    words: number[]
    /** The features of each step. */
    features: number[][]
    /** Step, gap, right label, start and end of each item. */
    items: [number, number, number, number, number][]
  }[]
}

const labelAt = ({ labels }: Example, start: number, end: number): number => facetNo(labels.find((label) => label.facet && label.start <= start && end <= label.end)?.facet)

/** Words that count when a reading is judged: all but articles, prepositions and “and”. */
export function* wordsThatCount(text: string): Generator<{ word: string; start: number; end: number }> {
  for (const { 0: word, index } of text.matchAll(/\w+/g)) {
    const lower = word.toLowerCase()
    if (!ARTICLES.has(lower) && !PREPOSITIONS.has(lower) && lower !== 'and') yield { word, start: index, end: index + word.length }
  }
}

export function lessonOf(example: Example & { hands?: string[] }, words: WordEntries): Lesson {
  const units = prepare(example.text).units.flatMap((unit) => {
    const said = example.text.slice(unit.start, unit.end)
    const tokens = scan(said)
    const { steps, items } = sequenceOf(tokens, { words, facts: analyse(said, tokens), terms: terms.find(tokens), hint: unit.hint, masks: unit.masks, place: unit.place })
    if (items.length === 0) return []
    return [
      {
        words: steps.map(({ entry }) => entry.index),
        features: steps.map(featuresOf),
        items: items.map(({ token, step, gap }): Lesson['units'][number]['items'][number] => {
          const [start, end] = [token.start + unit.start, token.end + unit.start]
          return [step, gap, labelAt(example, start, end), start, end]
        }),
      },
    ]
  })
  const gold = [...wordsThatCount(example.text)].map(({ start, end }): [number, number, number] => [start, end, labelAt(example, start, end)])
  return { id: example.id, hand: handOf(example), hands: example.hands ?? [handOf(example)], gold, units }
}
