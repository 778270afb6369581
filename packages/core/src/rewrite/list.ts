import { ingOf, openingVerb } from '../english/verb.ts'
import type { Facet } from '../facet.ts'
import type { TextChange } from '../draft/text-change.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { WordTable } from '../read/words/word-table.ts'
import type { Composer } from './composer.ts'
import { leadFor } from './lead.ts'
import type { Parts, Said } from './parts.ts'

/** Leading words that say no more of a facet than that it is one: “in an ochre coat”, “on a hillside”. */
const USUAL: Partial<Record<Facet, readonly string[]>> = { detail: ['with', 'in', 'wearing'], setting: ['in', 'on', 'at'], moment: ['at', 'in', 'on', 'during'] }

const AUXILIARY = /^(?:(?:who|which|that)\s+)?(?:is|are|was|were|['’]s|['’]re)\s+(?=\p{L})/iu

/** How a phrase's words change once it stands by itself: “is standing” becomes “standing”, “throws a vase” “throwing a vase”. */
function alone({ phrase, locked, tied }: Said, words: WordTable, opensSentence: boolean): TextChange[] {
  if (locked) return []
  const { text, start } = phrase
  const auxiliary = phrase.facet === 'action' ? (AUXILIARY.exec(text)?.[0].length ?? 0) : 0
  if (auxiliary) return [{ from: start, to: start + auxiliary, insert: '' }]
  const verb = phrase.facet === 'action' && tied ? openingVerb(text, words) : undefined
  if (verb) {
    const at = start + text.indexOf(verb.word)
    return [{ from: at, to: at + verb.word.length, insert: ingOf(verb.plain) }]
  }
  // The capital of a sentence's first word goes, unless the word is a name.
  const first = /^\p{Lu}\p{Ll}+/u.exec(text)?.[0]
  if (opensSentence && first && words.find(first.toLowerCase())) return [{ from: start, to: start + 1, insert: text.charAt(0).toLowerCase() }]
  return []
}

/** Every phrase by itself between commas, in the order of the text; words that lead to it stay where they say something of their own. */
export function writeList(parts: Parts, text: string, words: WordTable, to: Composer): void {
  const next = () => {
    if (to.text) to.say(', ')
  }
  let rest = 0
  const takeRest = (until: number) => {
    for (; rest < parts.rest.length && parts.rest[rest]!.after <= until; rest++) {
      next()
      to.take(parts.rest[rest]!)
    }
  }
  parts.said.forEach((one, i) => {
    takeRest(i)
    next()
    const { phrase, lead, article } = one
    const usual = lead.join(' ') === leadFor(phrase.facet, phrase.text, words) || USUAL[phrase.facet]?.includes(lead.join(' '))
    // “from above” says nothing without its first word.
    if (lead.length && (!usual || isFunctionWord(phrase.text.toLowerCase()))) to.lead(`${[...lead, article].filter(Boolean).join(' ')} `)
    const opens = /(?:^|[.!?:\n{"]\s*)(?:(?:an?|the)\s+)?$/i.test(text.slice(0, phrase.start))
    to.take(phrase, alone(one, words, opens), phrase.facet)
  })
  takeRest(parts.said.length)
}
