import type { Facet } from '../../facet.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import type { TemplatePart } from '../template.ts'
import { withCounts, withVerbs } from './agree.ts'
import { withArticles } from './article.ts'
import { withCapitals } from './capital.ts'
import { closedUp } from './empty.ts'
import { CLOSE, EMPTY, OPEN, withoutSigns } from './signs.ts'

/** A filled template, and where the values stand in it, in UTF-16 code units. */
export interface Filled {
  text: string
  slots: { slot: string; from: number; to: number }[]
}

/** A sentence ends the template, or stands in it before another. */
const isProse = (parts: readonly TemplatePart[]): boolean => {
  const text = parts.map((part) => ('text' in part ? part.text : 'x')).join('')
  return /[.!?]["”']?\s*$/u.test(text) || /[.!?]\s+\p{Lu}/u.test(text)
}

/** A value as it goes into a text: on one line, without the stop that the template has itself. */
const tidied = (value: string, next: string): string => {
  const plain = withoutSigns(value).replace(/\s+/gu, ' ').trim()
  return /^\s*(?:[,;.!?]|$)/u.test(next) ? plain.replace(/[,;.]+$/u, '') : plain.replace(/[,;]+$/u, '')
}

/**
 * A template with its slots filled: “a” and “an”, one and many, verbs and capitals follow the values, and a slot without a value
 * leaves no comma, article or preposition behind. Where the values are such as the template was written for, this is what
 * `filledExactly` gives.
 */
export function fillTemplate(parts: readonly TemplatePart[], values: Readonly<Record<string, string>>, words: WordTable, facetOf: (slot: string) => Facet | undefined = () => undefined): Filled {
  const names: string[] = []
  const text = parts
    .map((part, i) => {
      if ('text' in part) return withoutSigns(part.text)
      const next = parts[i + 1]
      const value = tidied(values[part.slot] ?? '', next && 'text' in next ? next.text : '')
      if (!value) return EMPTY
      names.push(part.slot)
      return `${OPEN}${value}${CLOSE}`
    })
    .join('')
  const steps = [closedUp, withCounts, (one: string) => withArticles(one, words), (one: string) => withVerbs(one, (nth) => facetOf(names[nth] ?? '') === 'subject', words), (one: string) => withCapitals(one, isProse(parts), words)]
  const signed = steps.reduce((one, step) => step(one), text)
  const slots: Filled['slots'] = []
  let plain = ''
  for (const piece of signed.split(/([\uE001\uE002])/u)) {
    if (piece === OPEN) slots.push({ slot: names[slots.length]!, from: plain.length, to: plain.length })
    else if (piece === CLOSE) slots.at(-1)!.to = plain.length
    else plain += piece
  }
  return { text: plain, slots }
}
