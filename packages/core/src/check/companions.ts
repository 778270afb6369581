import { singularOf } from '../english/noun.ts'
import { placesOf, showingsIn } from '../lexicon/shown.ts'
import { lexicalWords } from '../lexicon/words.ts'
import type { Checked } from './checked.ts'

/** What is only what it is: a place or a thing has a look of its own, where a figure, a feast or a genre brings a whole costume. */
const PLAIN = ['animal', 'plant', 'structure', 'location', 'formation', 'sea', 'lake', 'stream', 'artifact', 'food', 'area', 'vehicle', 'vegetation', 'land']
/** Classes of the table of words. */
const ADJECTIVE = 2
const ADVERB = 3

/** Whether a term names a thing or a place, whose companions are parts of it or stand around it. */
export const isPlainThing = ({ isKind }: Checked, term: string): boolean => PLAIN.some((kind) => isKind(term, kind))

/** Whether a term only says how something is; what it may bring is nobody's surprise. */
export const isOnlyQuality = ({ language }: Checked, term: string): boolean => [ADJECTIVE, ADVERB].includes(language.words.find(term)?.main ?? -1)

const WORD = /\p{L}+/gu
/** The words of a term, in the singular. */
export const singulars = (said: string): string[] => [...said.toLowerCase().matchAll(WORD)].map(([word]) => singularOf(word))

/** Remembered, since drafts of one project share their lists. */
const answers = new Map<string, boolean>()
const MOST_ANSWERS = 20_000

/** Whether an entry of a leave-out list, as the bare thing it means, rules out something that would come along: by its words, by what shows it, or as a kind of it. */
export function rulesOut({ language, isKind }: Checked, entry: string, what: string): boolean {
  const key = `${entry}|${what}`
  let known = answers.get(key)
  if (known === undefined) {
    const [own, its] = [singulars(entry), singulars(what)]
    known = (own.length > 0 && own.every((word) => its.includes(word))) || its.every((word) => own.includes(word)) || placesOf(showingsIn(lexicalWords(what), isKind), own.join(' ')).length > 0 || (own.length === 1 && language.kin.below(what, entry) > 0)
    if (answers.size > MOST_ANSWERS) answers.clear()
    answers.set(key, known)
  }
  return known
}
