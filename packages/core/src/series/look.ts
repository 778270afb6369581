import { wholeWords } from '../english/whole-word.ts'
import type { Facet } from '../facet.ts'
import { type Aspect, ASPECTS, blankPart, freeKey, type PartBody, type PartKind } from './part.ts'
import { contradictionIn, isSaid } from './said.ts'

/** A phrase that a picture, a draft or a model gives, with what it speaks of. */
export interface FoundPhrase {
  facet: Facet
  text: string
}

/** What each kind of part is made of, in the order it is said. */
const MADE_OF: Readonly<Record<PartKind, readonly Facet[]>> = {
  character: ['subject', 'detail'],
  place: ['setting'],
  style: ['medium', 'technique', 'colour', 'light', 'mood'],
}
/** What may be said of each kind besides, and in which respect: it may be otherwise in another scene. */
const MAY_CHANGE: Readonly<Record<PartKind, Partial<Record<Facet, Aspect>>>> = {
  character: {},
  place: { light: 'light', moment: 'season' },
  style: {},
}
/** What a finish or a palette says may belong to a thing as well as to a whole picture; the writer says which. */
const MAY_BE_OF: Readonly<Record<PartKind, readonly Facet[]>> = { character: ['colour', 'technique'], place: ['detail', 'colour'], style: ['framing'] }

export const isMadeOf = (kind: PartKind, facet: Facet): boolean => MADE_OF[kind].includes(facet)
/** Whether a phrase of a facet can be said of a part of a kind at all. */
export const canBeSaidOf = (kind: PartKind, facet: Facet): boolean => isMadeOf(kind, facet) || MAY_CHANGE[kind][facet] !== undefined || MAY_BE_OF[kind].includes(facet)
const SEASON = /\b(?:spring|summer|autumn|fall|winter|snow(?:y|fall)?|harvest|frost)\b/i
/** In which respect a phrase may change; a moment without a season in it is an hour, and tells of the light. */
export function aspectFor(kind: PartKind, { facet, text }: FoundPhrase): Aspect | undefined {
  const aspect = MAY_CHANGE[kind][facet]
  return aspect === 'season' && !SEASON.test(text) ? 'light' : aspect
}

/** How a phrase goes with what a part says: nothing speaks against it; it says it already; it says the opposite, in a phrase of a key; or it must never be said. */
export type Fit = { is: 'new' } | { is: 'said'; by: string } | { is: 'against'; key: string; by: string } | { is: 'never'; entry: string }

/** Holds one phrase against all that a part says. */
export function fitOf({ says, variants, never }: Pick<PartBody, 'says' | 'variants' | 'never'>, text: string): Fit {
  const entry = never.find((one) => wholeWords(one).test(text))
  if (entry !== undefined) return { is: 'never', entry }
  const own = [...says, ...variants].filter((one) => one.text.trim())
  const against = own.find((one) => contradictionIn(text, one.text) !== undefined || contradictionIn(one.text, text) !== undefined)
  if (against) return { is: 'against', key: against.key, by: against.text }
  const said = own.find((one) => isSaid(one.text, text))
  return said ? { is: 'said', by: said.text } : { is: 'new' }
}

/** Words without what only ends them, as a part says them. */
const trimmed = (text: string) => text.trim().replace(/[\s.,;]+$/, '').slice(0, 500)

/** A part that says a phrase always, or in one respect under a name, or in place of the phrase of a key. */
export function withPhrase(body: PartBody, text: string, as: { always: true } | { aspect: Aspect; name: string } | { inPlaceOf: string }): PartBody {
  const said = trimmed(text)
  if (!said) return body
  if ('inPlaceOf' in as) {
    const put = <One extends { key: string; text: string }>(list: readonly One[]) => list.map((one) => (one.key === as.inPlaceOf ? { ...one, text: said } : one))
    return { ...body, says: put(body.says), variants: put(body.variants) }
  }
  const key = freeKey(body)
  if ('always' in as) return { ...body, says: [...body.says, { key, text: said }] }
  const taken = new Set(body.variants.filter(({ aspect }) => aspect === as.aspect).map(({ name }) => name.toLowerCase()))
  let name = as.name.trim().slice(0, 110) || said.slice(0, 60)
  for (let n = 2; taken.has(name.toLowerCase()); n++) name = `${as.name.trim().slice(0, 110) || said.slice(0, 60)} ${n}`
  return { ...body, variants: [...body.variants, { key, aspect: as.aspect, name, text: said }] }
}

/**
 * A part from phrases that were found in a draft or a picture: those of its facets in the order it says them, what may
 * change as variants. What contradicts a phrase before it is passed over, and so is what is said already.
 */
export function partFromPhrases(kind: PartKind, name: string, phrases: readonly FoundPhrase[]): PartBody {
  const order = (facet: Facet) => [...MADE_OF[kind], ...Object.keys(MAY_CHANGE[kind]), ...MAY_BE_OF[kind]].indexOf(facet)
  return phrases
    .filter(({ facet }) => canBeSaidOf(kind, facet))
    .map((phrase, at) => ({ phrase, at }))
    .sort((a, b) => order(a.phrase.facet) - order(b.phrase.facet) || a.at - b.at)
    .reduce((body, { phrase }) => {
      const { text } = phrase
      if (fitOf(body, text).is !== 'new') return body
      const aspect = aspectFor(kind, phrase)
      return withPhrase(body, text, aspect && ASPECTS[kind].includes(aspect) ? { aspect, name: '' } : { always: true })
    }, blankPart(kind, name))
}
