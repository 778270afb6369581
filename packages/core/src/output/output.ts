import { Type, type Static } from '@sinclair/typebox'
import type { Draft } from '../draft/draft.ts'
import { Settings } from '../draft/draft.ts'
import type { EngineProfile, SettingProfile } from '../engine/profile.ts'

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
  },
  { title: 'Output' },
)
export type Output = Static<typeof Output>

/** A piece of the draft's text that is sent, with where it stood. */
interface Piece {
  start: number
  end: number
}

function piecesThatShow(draft: Pick<Draft, 'text' | 'marks'>): Piece[] {
  const pieces: Piece[] = []
  let at = 0
  for (const mark of draft.marks) {
    if (mark.kind !== 'off') continue
    if (mark.from > at) pieces.push({ start: at, end: mark.from })
    at = Math.max(at, mark.to)
  }
  if (at < draft.text.length) pieces.push({ start: at, end: draft.text.length })
  return pieces
}

/** Takes out the commas and spaces that an omitted phrase leaves standing. */
const closeGaps = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .replace(/ ([,;.:!?])/g, '$1')
    .replace(/([,;:])(?:\s*[,;:])+/g, '$1')
    .replace(/[,;:]+\s*([.!?])/g, '$1')
    .replace(/([.!?])\s*[,;:]+/g, '$1')
    .replace(/^[\s,;:.]+/, '')
    .replace(/[\s,;:]+$/, '')

/** The text without its phrases that are switched off, spaces and commas closed up. */
export function shownText(draft: Pick<Draft, 'text' | 'marks'>): string {
  return closeGaps(piecesThatShow(draft).map(({ start, end }) => draft.text.slice(start, end)).join(' '))
}

const wordsOf = (text: string) => text.match(/\S+/g) ?? []

/** How long a text is for an engine: characters, words, or pieces (estimated at four characters each). */
export function lengthIn(unit: 'characters' | 'words' | 'pieces', text: string): number {
  if (unit === 'characters') return text.length
  if (unit === 'words') return wordsOf(text).length
  return Math.ceil(text.length / 4)
}

/** The longest start of the text, ending at a word, that the engine reads. */
function fitTo(text: string, limit: NonNullable<EngineProfile['limit']>): string {
  if (lengthIn(limit.unit, text) <= limit.max) return text
  let end = 0
  for (const word of text.matchAll(/\S+/g)) {
    const next = word.index + word[0].length
    if (lengthIn(limit.unit, text.slice(0, next)) > limit.max) break
    end = next
  }
  return text.slice(0, end).replace(/[\s,;:]+$/, '')
}

/** Where in the draft the text past the first `shown` visible characters lies. */
function rangesPast(draft: Pick<Draft, 'text' | 'marks'>, fits: (text: string) => boolean): Piece[] {
  const pieces = piecesThatShow(draft)
  const shown = (until: number) =>
    closeGaps(
      pieces
        .filter((p) => p.start < until)
        .map((p) => draft.text.slice(p.start, Math.min(p.end, until)))
        .join(' '),
    )
  const ends = [...draft.text.matchAll(/\S+/g)].map((m) => m.index + m[0].length)
  let [low, high] = [0, ends.length]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (fits(shown(ends[middle - 1] ?? 0))) low = middle
    else high = middle - 1
  }
  const from = low === 0 ? 0 : (ends[low - 1] ?? 0)
  return pieces.filter((p) => p.end > from).map((p) => ({ start: Math.max(p.start, from), end: p.end }))
}

const fitSetting = (profile: SettingProfile, value: number | string | undefined): number | string => {
  if (profile.kind === 'choice') return typeof value === 'string' && profile.values.includes(value) ? value : profile.default
  if (typeof value !== 'number' || !Number.isFinite(value)) return profile.default
  return Math.min(profile.max, Math.max(profile.min, value))
}

export const DEFAULT_COUNT = 4

/** The size an engine makes for the draft's aspect ratio; its first size when it has no such ratio. */
export const sizeFor = (profile: EngineProfile, aspectRatio: number | string | undefined): EngineProfile['sizes'][number] =>
  profile.sizes.find((size) => size.aspectRatio === aspectRatio) ?? profile.sizes[0]!

export const countOf = (settings: Settings): number => {
  const count = settings['count']
  return typeof count === 'number' && Number.isInteger(count) && count > 0 ? Math.min(count, 24) : DEFAULT_COUNT
}

/** What `countOf(settings)` pictures cost, in the profile's unit. */
export const costOf = (profile: EngineProfile, settings: Settings): number =>
  sizeFor(profile, settings['aspectRatio']).cost * countOf(settings)

/** Said as it is read: one draft as this engine is given it. */
export function outputFor(draft: Draft, profile: EngineProfile): Output {
  const whole = shownText(draft)
  const text = profile.limit ? fitTo(whole, profile.limit) : whole
  const notes: string[] = []
  const { limit } = profile
  const cut =
    limit && text !== whole ? rangesPast(draft, (shown) => lengthIn(limit.unit, shown) <= limit.max) : []
  if (cut.length && limit) notes.push(`${profile.name} reads ${limit.max.toLocaleString('en')} ${limit.unit}; the rest is not sent.`)
  if (!profile.leaveOut && draft.leaveOut.length) notes.push(`${profile.name} takes no leave-out list; it is not sent.`)
  const size = sizeFor(profile, draft.settings['aspectRatio'])
  const asked = draft.settings['aspectRatio']
  if (asked !== undefined && asked !== size.aspectRatio) notes.push(`${profile.name} has no ${asked}; it makes ${size.aspectRatio}.`)
  const settings: Settings = { aspectRatio: size.aspectRatio, width: size.width, height: size.height, count: countOf(draft.settings) }
  if (typeof draft.settings['seed'] === 'number') settings['seed'] = draft.settings['seed']
  for (const setting of profile.settings) settings[setting.key] = fitSetting(setting, draft.settings[setting.key])
  return {
    text,
    leaveOut: profile.leaveOut ? draft.leaveOut.join(', ') : '',
    settings,
    used: lengthIn(limit?.unit ?? 'characters', text),
    limit: limit?.max ?? null,
    cut,
    notes,
  }
}
