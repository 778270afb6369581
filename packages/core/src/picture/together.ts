import type { Facet } from '../facet.ts'
import { FACETS } from '../facets.ts'
import type { PictureReading } from './shape.ts'
import { paletteWords } from './say/phrases.ts'

/** Of the pictures in which it is settled, so many must say it, and it must be settled in so many. */
const SHARED = 0.75
const SETTLED = 0.5

/** Something that most of a set of pictures have. */
export interface SharedPhrase {
  facet: Facet
  text: string
  /** How many have it, of how many in which it is settled. */
  in: number
  of: number
}
/** Something that is one way in some of them and another way in others. */
export interface Varying {
  facet: Facet
  /** What each way is, and in how many; most first. */
  ways: { text: string; in: number }[]
}

/** What a phrase is about: things by what they are, all else by the fact that bears it out. */
const about = ({ evidence, text }: PictureReading['phrases'][number]) => (evidence.startsWith('object ') ? `thing ${text}` : evidence === 'side' || evidence === 'symmetric' || evidence === 'thirds' ? 'placing' : evidence)
const byFacet = <T extends { facet: Facet }>(all: T[]) => all.sort((x, y) => FACETS.indexOf(x.facet) - FACETS.indexOf(y.facet))

/** What a set of pictures shares, for the rules of a house or the style of a series, and what varies among them. */
export function togetherOf(readings: readonly PictureReading[]): { shared: SharedPhrase[]; varying: Varying[] } {
  const subjects = new Map<string, Map<string, { facet: Facet; text: string; in: number }>>()
  for (const reading of readings) {
    const seen = new Set<string>()
    for (const phrase of reading.phrases) {
      if (phrase.evidence === 'palette') continue
      const [key, text] = [about(phrase), phrase.text]
      if (seen.has(`${key} ${text}`)) continue
      seen.add(`${key} ${text}`)
      const ways = subjects.get(key) ?? new Map<string, { facet: Facet; text: string; in: number }>()
      subjects.set(key, ways)
      ways.set(text, { facet: phrase.facet, text, in: (ways.get(text)?.in ?? 0) + 1 })
    }
  }
  const shared: SharedPhrase[] = []
  const varying: Varying[] = []
  for (const [key, ways] of subjects) {
    const all = [...ways.values()].sort((x, y) => y.in - x.in)
    const told = all.reduce((sum, one) => sum + one.in, 0)
    // A thing that is not there is settled too.
    const of = key.startsWith('thing ') ? readings.length : Math.max(told, 1)
    const [most] = all
    if (most && of >= SETTLED * readings.length && most.in >= SHARED * of && most.in > 1) shared.push({ facet: most.facet, text: most.text, in: most.in, of })
    else if (most && all.length > 1) varying.push({ facet: most.facet, ways: all.map(({ text, in: n }) => ({ text, in: n })) })
  }
  const colours = readings.map(({ palette }) => paletteWords(palette))
  const counts = new Map<string, number>()
  for (const names of colours) for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1)
  const common = [...counts].filter(([, n]) => n > 1 && n >= SHARED * readings.length).sort(([, x], [, y]) => y - x)
  if (common.length) shared.push({ facet: 'colour', text: `palette of ${common.map(([name]) => name).join(' and ')}`, in: Math.min(...common.map(([, n]) => n)), of: readings.length })
  const others = [...counts].filter(([name]) => !common.some(([own]) => own === name))
  if (others.length > 1) varying.push({ facet: 'colour', ways: others.sort(([, x], [, y]) => y - x).map(([text, n]) => ({ text, in: n })) })
  return { shared: byFacet(shared), varying: byFacet(varying) }
}
