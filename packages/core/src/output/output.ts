import { Type, type Static } from '@sinclair/typebox'
import type { Draft } from '../draft/shape.ts'
import { ReferenceUse, Settings } from '../draft/shape.ts'
import type { Facet } from '../facet.ts'
import { FACETS } from '../facets.ts'
import type { EngineProfile, SettingProfile } from '../engine/profile.ts'
import { covered, emphasisOf } from '../phrase/marks.ts'
import type { Reading } from '../read/reading.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { positiveFor } from './positive.ts'
import { saidFor } from './said.ts'
import { rangesPast, shownText } from './shown-text.ts'

/** Exactly what an engine is given, and what was lost on the way. */
export const Output = Type.Object(
  {
    text: Type.String(),
    leaveOut: Type.String(),
    settings: Settings,
    used: Type.Integer({ minimum: 0, description: "Length of the text, in the unit of the engine's limit." }),
    limit: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
    cut: Type.Array(
      Type.Object({
        start: Type.Integer({ minimum: 0, description: 'UTF-16 code unit of the draft.' }),
        end: Type.Integer({ minimum: 0 }),
      }),
    ),
    notes: Type.Array(Type.String()),
    references: Type.Optional(Type.Array(ReferenceUse, { description: 'Pictures that go along, of the roles that the engine takes.' })),
    weights: Type.Optional(
      Type.Array(Type.Object({ text: Type.String(), weight: Type.Number({ description: '1 is plain.' }) }), {
        description: 'What weighs more or less, for an engine that takes weights as a field.',
      }),
    ),
  },
  { title: 'Output' },
)
export type Output = Static<typeof Output>

const wordsOf = (text: string) => text.match(/\S+/g) ?? []

/** How long a text is for an engine: characters, words, or tokens (estimated at four characters each). */
export function lengthIn(unit: 'characters' | 'words' | 'tokens', text: string): number {
  if (unit === 'characters') return text.length
  if (unit === 'words') return wordsOf(text).length
  return Math.ceil(text.length / 4)
}

/** “60 words”, “1 word”. */
export const sayLimit = ({ max, unit }: NonNullable<EngineProfile['limit']>): string => `${max.toLocaleString('en')} ${max === 1 ? unit.slice(0, -1) : unit}`

/** The longest start of the text, ending at a word, that the engine reads. */
export function fitTo(text: string, limit: NonNullable<EngineProfile['limit']>): string {
  if (lengthIn(limit.unit, text) <= limit.max) return text
  let end = 0
  for (const word of text.matchAll(/\S+/g)) {
    const next = word.index + word[0].length
    if (lengthIn(limit.unit, text.slice(0, next)) > limit.max) break
    end = next
  }
  return text.slice(0, end).replace(/[\s,;:]+$/, '')
}

const fitSetting = (profile: SettingProfile, value: number | string | undefined): number | string => {
  if (profile.kind === 'choice') return typeof value === 'string' && profile.values.includes(value) ? value : profile.default
  if (typeof value !== 'number' || !Number.isFinite(value)) return profile.default
  return Math.min(profile.max, Math.max(profile.min, value))
}

export const DEFAULT_COUNT = 4

/** The size an engine makes for an aspect ratio, of the width asked for where it has several; its first size when it has no such ratio. */
export function sizeFor(profile: EngineProfile, { aspectRatio, width }: Settings): EngineProfile['sizes'][number] {
  const fit = profile.sizes.filter((size) => size.aspectRatio === aspectRatio)
  return fit.find((size) => size.width === width) ?? fit[0] ?? profile.sizes[0]!
}

export const countOf = (settings: Settings): number => {
  const count = settings['count']
  return typeof count === 'number' && Number.isInteger(count) && count > 0 ? Math.min(count, 24) : DEFAULT_COUNT
}

/** What `countOf(settings)` pictures cost, in the profile's unit. */
export const costOf = (profile: EngineProfile, settings: Settings): number =>
  sizeFor(profile, settings).cost * countOf(settings)

/** What each step of emphasis is as a weight; 1 is plain. */
const WEIGHTS: Readonly<Record<number, number>> = { [-2]: 0.5, [-1]: 0.75, 1: 1.25, 2: 1.5 }
/** Quotation marks that people type, as the plain ones that every engine reads. */
const plainQuotes = (text: string): string => text.replace(/[“”„«»]/g, '"')

/** A reading of the draft's text as it stands, and the table of words, for saying it in another way. */
export interface ReadDraft {
  reading: Reading
  words: WordTable
}

const PERSON = 18
const PEOPLE = /^(?:people|persons?|humans?|human figures?|figures?|anyone|crowds?)$/i
/** Whether the text is of somebody: “a deserted scene” would fight it. */
const isOfSomebody = ({ reading, words }: ReadDraft): boolean =>
  reading.phrases.some(({ facet, text }) => facet === 'subject' && (/^\p{Lu}\p{Ll}+ \p{Lu}\p{Ll}+/u.test(text) || (text.toLowerCase().match(/\p{L}+/gu) ?? []).some((word) => words.find(word)?.noun1 === PERSON)))
/** What is there instead of an exclusion, for an engine without a leave-out list; undefined where no words say it or the text says otherwise. */
const insteadOf = (entry: string, read: ReadDraft): string | undefined => (PEOPLE.test(entry.trim()) && isOfSomebody(read) ? undefined : positiveFor(entry))

/** A text that fits, what of the draft it lost, and what weighs more or less in it. */
type Written = Pick<Output, 'text' | 'cut' | 'weights'>

/** The draft's own words, without what is off. */
function asWritten(draft: Draft, { limit }: EngineProfile): Written {
  const whole = shownText(draft)
  const text = limit ? fitTo(whole, limit) : whole
  return { text, cut: limit && text !== whole ? rangesPast(draft, (shown) => lengthIn(limit.unit, shown) <= limit.max) : [] }
}

/** What a sentence needs to say a thing, and a field does not: “It is a travel poster”. */
const CARRIER = /^(?:it|this|the picture) (?:is|shows|has) (?:shown )?(?:an? |the )?/i

/** The draft by facet as one JSON object; phrases are dropped from the end until it fits. */
function asJson(draft: Draft, { reading }: ReadDraft, { limit }: EngineProfile): Written {
  const phrases = reading.phrases.filter((phrase) => !covered(draft.text, draft.marks, 'off', phrase))
  const write = (count: number): string => {
    const object: Partial<Record<Facet, string | string[]>> = {}
    for (const facet of FACETS) {
      const said = phrases.slice(0, count).filter((phrase) => phrase.facet === facet).map(({ text }) => text.replace(CARRIER, ''))
      if (said.length) object[facet] = said.length === 1 ? said[0]! : said
    }
    return count > 0 ? JSON.stringify(object) : ''
  }
  let count = phrases.length
  while (count > 0 && limit && lengthIn(limit.unit, write(count)) > limit.max) count--
  return { text: write(count), cut: phrases.slice(count).map(({ start, end }) => ({ start, end })) }
}

/** A text that was cut, without the sentence or the phrase that the cut went through; as it is where it holds no whole one. */
function wholePhrases(cut: string, whole: string, places: readonly { start: number; end: number }[]): string {
  if (cut === whole) return whole
  const sentence = Math.max(...[...cut.matchAll(/[.!?]["”]?(?=\s|$)/g)].map((stop) => stop.index + stop[0].length), 0)
  if (sentence > 0) return cut.slice(0, sentence)
  const phrase = Math.max(...places.filter(({ end }) => end <= cut.length).map(({ end }) => end), 0)
  return phrase > 0 ? cut.slice(0, phrase) : cut
}

/** The draft in sentences or as a list, with exclusions as what is there instead and emphasis as the engine carries it. */
function asRead(draft: Draft, { reading, words }: ReadDraft, profile: EngineProfile): Written {
  const { text: own, places } = saidFor(draft, reading, words, profile)
  const level = ({ phrase }: (typeof places)[number]) => emphasisOf(draft.marks, phrase)
  let whole = plainQuotes(own)
  const instead = profile.leaveOut ? [] : [...new Set(draft.leaveOut.flatMap((entry) => insteadOf(entry, { reading, words }) ?? []))]
  if (instead.length) whole = /[.!?]["”]?$/.test(whole) ? `${whole} It shows ${instead.join(', ')}.` : [whole, ...instead].filter(Boolean).join(', ')
  if (profile.emphasis === 'repetition') {
    const again = places.flatMap((place) => Array<string>(Math.max(0, level(place))).fill(own.slice(place.start, place.end)))
    if (again.length) whole = `${whole.replace(/[.\s]+$/, '')}, ${again.join(', ')}`
  }
  const text = profile.limit ? wholePhrases(fitTo(whole, profile.limit), whole, places) : whole
  const lost = text === whole ? [] : places.filter(({ end }) => end > text.length)
  const weights = profile.emphasis === 'weights' ? places.flatMap((place) => (level(place) ? [{ text: own.slice(place.start, place.end), weight: WEIGHTS[level(place)]! }] : [])) : []
  return { text, cut: lost.map(({ phrase }) => ({ start: phrase.start, end: phrase.end })).sort((a, b) => a.start - b.start), ...(weights.length ? { weights } : {}) }
}

/** What is lost on the way, in sentences. */
function lossesOf(draft: Draft, profile: EngineProfile, cut: Output['cut'], read: ReadDraft | undefined): string[] {
  const notes: string[] = []
  const { limit, name } = profile
  if (cut.length && limit) notes.push(`${name} reads ${sayLimit(limit)}; the rest is not sent.`)
  const unsaid = profile.leaveOut ? [] : draft.leaveOut.filter((entry) => !read || profile.reads === 'json' || !insteadOf(entry, read))
  if (unsaid.length) notes.push(unsaid.length === draft.leaveOut.length ? `${name} takes no leave-out list; it is not sent.` : `${name} takes no leave-out list; not sent: ${unsaid.join(', ')}.`)
  if (profile.emphasis === 'none' && draft.marks.some(({ kind }) => kind === 'emphasis')) notes.push(`${name} cannot be told what weighs more; all phrases weigh the same.`)
  const asked = draft.settings['aspectRatio']
  const made = sizeFor(profile, draft.settings).aspectRatio
  if (asked !== undefined && asked !== made) notes.push(`${name} has no ${asked}; it makes ${made}.`)
  const untaken = draft.references.filter(({ role }) => !profile.references?.includes(role))
  if (untaken.length) notes.push(profile.references?.length ? `${name} takes no reference as ${untaken.map(({ role }) => role).join(', ')}; it is not sent.` : `${name} takes no reference pictures; none is sent.`)
  return notes
}

/** The fields an engine takes, within what it takes. */
function fieldsFor(draft: Draft, profile: EngineProfile): Settings {
  const size = sizeFor(profile, draft.settings)
  const settings: Settings = { aspectRatio: size.aspectRatio, width: size.width, height: size.height, count: countOf(draft.settings) }
  if (typeof draft.settings['seed'] === 'number') settings['seed'] = draft.settings['seed']
  for (const setting of profile.settings) settings[setting.key] = fitSetting(setting, draft.settings[setting.key])
  for (const key of profile.refuses ?? []) delete settings[key]
  return settings
}

/** Settings that decide what a try costs: these hold only from their fields, beside which the cost stands. */
const COSTLY = new Set(['aspectRatio', 'width', 'height', 'count'])

/** A draft with what was typed into its text where it belongs: a setting in a field, an exclusion on the list. */
const withTyped = (draft: Draft, { settings, leaveOut }: Reading): Draft => ({
  ...draft,
  settings: { ...Object.fromEntries(Object.entries(settings).filter(([key]) => !COSTLY.has(key))), ...draft.settings },
  leaveOut: [...draft.leaveOut, ...leaveOut.filter((entry) => !draft.leaveOut.some((own) => own.toLowerCase() === entry.toLowerCase()))],
})

/**
 * One draft as an engine is given it. With a reading the text is said in the engine's own way: sentences, a list or JSON,
 * without settings, praise and instructions, what weighs more first or more often, exclusions as what is there instead.
 * Without one it is sent as it is written.
 */
export function outputFor(given: Draft, profile: EngineProfile, read?: ReadDraft): Output {
  // A change is an instruction: said in no other way, and nothing of it is taken for a setting.
  const draft = read && given.kind !== 'change' ? withTyped(given, read.reading) : given
  const references = draft.references.filter(({ role }) => profile.references?.includes(role))
  const written = !read || given.kind === 'change' ? asWritten(draft, profile) : profile.reads === 'json' ? asJson(draft, read, profile) : asRead(draft, read, profile)
  return {
    ...written,
    leaveOut: profile.leaveOut ? draft.leaveOut.join(', ') : '',
    settings: fieldsFor(draft, profile),
    used: lengthIn(profile.limit?.unit ?? 'characters', written.text),
    limit: profile.limit?.max ?? null,
    ...(references.length ? { references } : {}),
    notes: lossesOf(draft, profile, written.cut, read),
  }
}
