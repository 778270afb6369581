import { emptyDraft } from '../draft/draft.ts'
import { applyEdit } from '../draft/edit.ts'
import { articleFor } from '../english/article.ts'
import { headOf, wantsArticle } from '../english/noun.ts'
import type { Facet } from '../facet.ts'
import type { Suggester } from '../glossary/suggest.ts'
import type { Phrase } from '../read/reading.ts'
import type { Reader } from '../read/reader.ts'
import { leadFor } from '../rewrite/lead.ts'
import { rewriteDraft } from '../rewrite/rewrite.ts'
import type { WritingStyleBody } from './writing-style.ts'
import { wordCount } from './writing.ts'

/** A phrase that is to be said; what comes from the writer is never left out. */
interface Said {
  facet: Facet
  text: string
  own: boolean
}
/** A facet that fewer of the examples say is only said where there is room. */
const USUAL = 0.5
const NOT_WRITTEN = new Set<Facet>(['subject', 'action', 'lettering'])

export interface InStyle {
  text: string
  /** What was put in beside what was given. */
  added: { facet: Facet; text: string }[]
}

/** A word or a line is what the picture is of, whatever a reading of so little takes it for. */
function given(source: string, phrases: readonly Phrase[]): Said[] {
  const said = phrases.map(({ facet, text }): Said => ({ facet, text, own: true }))
  const words = source.trim().replace(/[.,;]+$/u, '')
  if (said.some(({ facet }) => facet === 'subject') || !words) return said
  return wordCount(words) <= 4 ? [{ facet: 'subject', text: words, own: true }] : said.map((one, i) => (i === 0 ? { ...one, facet: 'subject' } : one))
}

/**
 * Writes from a word, a line or a draft in a writing style, with the core alone: what is given is kept, what is always said is said, and facets that
 * the examples usually say are filled with their favourite terms, those first that bring least trouble (`trouble` counts it, such as findings
 * of the checks) and fit what is said. About `words` long; a list in the writing style's own order, or sentences.
 */
export function writeInStyle(writingStyle: WritingStyleBody, source: string, reader: Reader, suggester: Suggester, { words = writingStyle.words.middle, trouble = () => 0, take = 0 }: { words?: number; trouble?: (text: string) => number; take?: number } = {}): InStyle {
  const said = given(source, reader.read(source).phrases)
  const has = (facet: Facet) => said.some((one) => one.facet === facet)
  for (const { text, facet } of writingStyle.always) if (!said.some((one) => one.text.toLowerCase().includes(text.toLowerCase()))) said.push({ facet, text, own: true })
  const listed = (list: readonly Said[]) => inOrder(list, writingStyle).map(({ text }) => text).join(writingStyle.separator)
  const length = () => said.reduce((sum, { text }) => sum + wordCount(text), 0)
  // Sentences take more words for the same.
  const room = writingStyle.style === 'sentences' ? words / 1.35 : words
  const wanted = writingStyle.facets.filter(({ facet, share }) => !NOT_WRITTEN.has(facet) && !has(facet) && share > 0).toSorted((x, y) => y.share - x.share)
  for (const { facet, share, terms } of wanted) {
    if (length() >= room && share < 1) continue
    if (share < USUAL && length() >= room * 0.8) continue
    const now = listed(said)
    const { phrases } = reader.read(now)
    const others = terms.length ? [] : suggester.suggest(facet, now, phrases, '', 4 + take).slice(take)
    // Another take begins at another of the favourites.
    const turned = terms.length ? [...terms.slice(take % terms.length), ...terms.slice(0, take % terms.length)] : []
    const candidates = [...turned, ...others].filter((term) => !now.toLowerCase().includes(term.toLowerCase()))
    const base = trouble(now)
    const chosen = candidates.slice(0, 6).map((text) => ({ text, trouble: trouble(listed([...said, { facet, text, own: false }])) - base })).sort((x, y) => x.trouble - y.trouble)[0]
    if (chosen && chosen.trouble <= 0) said.push({ facet, text: chosen.text, own: false })
  }
  const added = said.filter(({ own }) => !own).map(({ facet, text }) => ({ facet, text }))
  return { text: writingStyle.style === 'sentences' ? asSentences(inOrder(said, writingStyle), reader) : asList(inOrder(said, writingStyle), writingStyle, reader), added }
}

/** Phrases in the order of the writing style; facets it does not know come after, as they were said. */
function inOrder(said: readonly Said[], writingStyle: WritingStyleBody): Said[] {
  const place = (facet: Facet) => {
    const at = writingStyle.facets.findIndex((one) => one.facet === facet)
    return at < 0 ? writingStyle.facets.length : at
  }
  return said.toSorted((x, y) => place(x.facet) - place(y.facet))
}

/** Whether the examples put an article before what they name. */
const saysArticle = ({ examples }: WritingStyleBody) => examples.filter((text) => text.split(/[,;.\n|]/u).some((part) => /^\s*an?\s/iu.test(part))).length * 2 > examples.length
/** Facets whose words name something that an article stands before. */
const NAMED = new Set<Facet>(['subject', 'detail', 'setting'])

function asList(said: readonly Said[], writingStyle: WritingStyleBody, reader: Reader): string {
  const articled = saysArticle(writingStyle)
  const named = ({ facet, text }: Said) => (articled && NAMED.has(facet) && headOf(text) && wantsArticle(text, reader.words) ? `${articleFor(text)} ${text}` : text)
  let out = ''
  said.forEach((one, i) => {
    const before = said[i - 1]
    const joined = before !== undefined && before.facet !== one.facet && writingStyle.facets.some(({ facet, joined: own }) => facet === one.facet && own)
    const lead = joined ? leadFor(one.facet, one.text, reader.words) : ''
    // What has no word to lead to it stands by itself, unless it says what the one before it does.
    out += i === 0 ? named(one) : joined && (lead || one.facet === 'action') ? ` ${[lead, named(one)].filter(Boolean).join(' ')}` : `${writingStyle.separator}${named(one)}`
  })
  const cased = writingStyle.capital ? out.replace(/\p{L}/u, (letter) => letter.toUpperCase()) : out
  return cased && writingStyle.stop ? `${cased}.` : cased
}

function asSentences(said: readonly Said[], reader: Reader): string {
  const text = said.map((one) => one.text).join(', ')
  let at = 0
  const marks = said.map(({ facet, text: own }) => {
    const mark = { from: at, to: at + own.length, kind: 'facet' as const, facet }
    at += own.length + 2
    return mark
  })
  const draft = { ...emptyDraft(), text, marks: marks.filter(({ from, to }) => to > from) }
  const fixed = draft.marks.flatMap((mark) => (mark.kind === 'facet' ? [{ from: mark.from, to: mark.to, facet: mark.facet }] : []))
  return applyEdit(draft, rewriteDraft(draft, reader.read(text, fixed), 'sentences', reader).edit).text
}
