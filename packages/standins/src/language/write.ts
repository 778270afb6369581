import { applyEdit, emptyDraft, type Facet, fixedFacetsOf, type Mark } from '@idolon/core'
import { articleFor, isPlural, rewriteDraft, wantsArticle } from '@idolon/core/reader'
import type { Subject } from './kinds.ts'
import { knowledge } from './tables.ts'

/** A phrase that is to be said, of its facet. */
export interface Said {
  facet: Facet
  text: string
  /** Said beside another of its facet. */
  further?: boolean
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const countWords = (text: string) => (text.match(/\S+/g) ?? []).length
export { countWords }

/** A noun phrase with the article it wants. */
export const withArticle = (said: string, counted = false): string => (wantsArticle(said, knowledge().reader.words, counted) ? `${articleFor(said)} ${said}` : said)
/** “a, b and c”; where one of them has an “and” already, commas alone. */
export const listed = (texts: readonly string[]): string =>
  texts.length < 2 ? (texts[0] ?? '') : texts.some((text) => / and /.test(text)) ? texts.join(', ') : `${texts.slice(0, -1).join(', ')} and ${texts.at(-1) ?? ''}`

/** The preposition of an hour: “at dusk”, “on a clear morning”. */
export const hourSaid = (hour: string): string => `${/^(?:an? )?(?:\p{L}+ )?(?:morning|afternoon|evening|night)$/u.test(hour) && hour.includes(' ') ? 'on' : 'at'} ${hour}`
const WORN = /\b(?:coat|scarf|boots|sleeves|apron|hat|shawl|jacket)$/
const lead = (detail: string) => (WORN.test(detail) ? 'in' : 'with')

/** Is or are, as the subject is one or many. */
const is = ({ many }: Subject) => (many ? 'are' : 'is')

/** One text of phrases as they stand, between commas. */
export const asList = (phrases: readonly string[]): string => phrases.map((text) => text.replace(/[\s.,;]+$/, '')).filter(Boolean).join(', ')

/** Whether a text is written in sentences. */
export const isSentences = (text: string): boolean => /[.!?]\s*$/.test(text.trim()) || /[.!?]\s+\p{Lu}/u.test(text)

/** A text with phrases of known facets after it, written anew as sentences or as a list. */
export function rewritten(text: string, more: readonly Said[], style: 'list' | 'sentences'): string {
  const { reader } = knowledge()
  let whole = text.trim().replace(/[\s,;]+$/, '')
  const marks: Mark[] = []
  for (const { facet, text: said } of more) {
    whole += whole === '' ? '' : /[.!?]$/.test(whole) ? ' ' : ', '
    marks.push({ from: whole.length, to: whole.length + said.length, kind: 'facet', facet })
    whole += said
  }
  const draft = { ...emptyDraft(), text: whole, marks }
  return applyEdit(draft, rewriteDraft(draft, reader.read(whole, fixedFacetsOf(marks)), style, reader).edit).text
}

const of = (said: readonly Said[], facet: Facet): string[] => said.filter((one) => one.facet === facet).map(({ text }) => text)

/**
 * Sentences for a subject and what is said of it. `way` chooses among openings and frames, so that two seeds do not begin
 * alike. `subject` is as it is said, with its article.
 */
export function asSentences(subject: string, about: Subject, said: readonly Said[], way: number): string {
  const [action = '', ...moreActions] = of(said, 'action')
  const setting = said.find(({ facet, further }) => facet === 'setting' && !further)?.text ?? ''
  const places = said.filter(({ facet, further }) => facet === 'setting' && further).map(({ text }) => text)
  const [hour = ''] = of(said, 'moment')
  const details = of(said, 'detail')
  const [medium = ''] = of(said, 'medium')
  const worn = details.filter((one) => lead(one) === 'in')
  const had = details.filter((one) => lead(one) === 'with')
  const bears = [worn.length ? `in ${listed(worn)}` : '', had.length ? `with ${listed(had)}` : ''].filter(Boolean).join(' ')
  // Between commas, so that what it bears does not run into what it does.
  const who = bears ? `${subject}, ${bears},` : subject
  const does = [action, ...moreActions].filter(Boolean).join(', ')
  const when = hour ? hourSaid(hour) : ''
  const opening = way % 5
  const sentences: string[] = []
  const join = (...parts: string[]) => parts.filter(Boolean).join(' ')
  if (opening === 1 && when) sentences.push(`${capital(when)}, ${join(who, is(about), does || 'seen', setting)}.`)
  else if (opening === 2 && setting) sentences.push(`${capital(setting)}, ${join(who, is(about), does || 'seen')}${when ? `, ${when}` : ''}.`)
  else if (opening === 3 && medium) sentences.push(`${capital(withArticle(medium, true))} of ${join(who, does, setting, when)}.`)
  else if (opening === 4 && hour) sentences.push(`It is ${hour}, and ${join(who, is(about), does || 'there', setting)}.`)
  else sentences.push(`${capital(join(who, is(about), does || 'shown', setting, when))}.`)
  return [...sentences, ...furtherSentences(about, { said: said.filter(({ facet }) => !['action', 'moment', 'detail'].includes(facet) && !(facet === 'medium' && opening === 3)), places, way })].join(' ')
}

/** Sentences on how a picture is seen, lit, coloured and made, after what it shows. */
export function furtherSentences({ many }: Subject, { said, places, way }: { said: readonly Said[]; places: readonly string[]; way: number }): string[] {
  const [framing, ...framings] = of(said, 'framing')
  const [light, ...lights] = of(said, 'light')
  const [medium] = of(said, 'medium')
  const colours = of(said, 'colour')
  const techniques = of(said, 'technique')
  const moods = of(said, 'mood')
  const sentences: string[] = []
  const turn = way % 3
  const it = many ? 'They are' : 'It is'
  if (places.length) sentences.push(`${capital(listed(places))} ${places.length > 1 || isPlural(places[0] ?? '', knowledge().reader.words) ? 'close' : 'closes'} the view.`)
  const seen = framing === undefined ? '' : [withArticle(framing, true), framings.length ? `with ${listed(framings)}` : ''].filter(Boolean).join(' ')
  const lit = light === undefined ? '' : listed([light, ...lights])
  if (seen && lit) sentences.push(turn === 0 ? `${it} seen in ${seen}, in ${lit}.` : turn === 1 ? `${it} seen in ${seen}. The light is ${lit}.` : `${capital(seen)} shows ${many ? 'them' : 'it'} in ${lit}.`)
  else if (seen) sentences.push(`${it} seen in ${seen}.`)
  else if (lit) sentences.push(`It is shown in ${lit}.`)
  const made = medium === undefined ? '' : withArticle(medium, true)
  const palette = listed(colours)
  const worked = listed(techniques)
  if (made) sentences.push(`It is ${made}${worked ? ` with ${worked}` : ''}${palette ? `, in ${palette}` : ''}.`)
  else if (palette || worked) sentences.push(palette ? `The palette is ${palette}${worked ? `, worked with ${worked}` : ''}.` : `It is worked with ${worked}.`)
  if (moods.length) sentences.push(`The mood is ${listed(moods)}.`)
  return sentences
}
