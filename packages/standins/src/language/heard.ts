import type { Facet, Phrase } from '@idolon/core'
import { BREAK, termsIn, piecesOf } from '../scene/lexicon.ts'
import { knowledge } from './tables.ts'
import { mediumIn, type MediumWords } from './words/media.ts'
import type { Part, Place } from './words/scenes.ts'
import type { WEATHERS } from './words/hours.ts'

export type Weather = keyof typeof WEATHERS

/** What a text says that decides what else can be said beside it. */
export interface Heard {
  phrases: readonly Phrase[]
  has: ReadonlySet<Facet>
  part: Part | undefined
  season: string | undefined
  weather: Weather | undefined
  place: Place | undefined
  medium: MediumWords | undefined
  studio: boolean
}

const INDOORS = new Set(['interior', 'workshop', 'studio'])

/** Listens to a text: its phrases, and the hour, weather, place and medium that it names. */
export function heardIn(text: string): Heard {
  const { phrases } = knowledge().reader.read(text)
  const hits = termsIn(piecesOf(text).filter((word) => word !== BREAK))
  const value = (of: string) => hits.flatMap(({ meanings }) => meanings.filter((one) => one.of === of).map((one) => one.value))[0]
  const said = phrases.filter(({ facet }) => facet === 'setting').map((phrase) => phrase.text).join(', ')
  // A bakery that the picture is of is in no room; only what the reading takes for a place is one.
  const setting = termsIn(piecesOf(said)).flatMap(({ meanings }) => meanings.filter((one) => one.of === 'setting').map((one) => one.value))[0] ?? (value('setting') === 'studio' || value('setting') === 'underwater' ? value('setting') : undefined)
  return {
    phrases,
    has: new Set(phrases.map(({ facet }) => facet)),
    part: value('moment') as Part | undefined,
    season: value('season'),
    weather: value('weather') as Weather | undefined,
    place: setting === undefined ? undefined : setting === 'underwater' ? 'water' : INDOORS.has(setting) ? 'in' : 'out',
    medium: mediumIn(text),
    studio: setting === 'studio',
  }
}
