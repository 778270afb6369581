import type { Extra, Scene, SubjectKind, Thing } from '../scene/scene.ts'
import { type Meaning, termsIn, wordsOf } from '../scene/lexicon.ts'

/** Kinds by the words a leave-out list uses for all of them. */
const ALL: Readonly<Record<string, readonly SubjectKind[]>> = {
  people: ['person'], person: ['person'], human: ['person'], figures: ['person'], figure: ['person'], crowd: ['person'],
  animals: ['animal', 'bird', 'insect', 'fish'], animal: ['animal', 'bird', 'insect', 'fish'], birds: ['bird'], bird: ['bird'], insects: ['insect'], insect: ['insect'],
  cars: ['vehicle'], car: ['vehicle'], vehicles: ['vehicle'], vehicle: ['vehicle'], traffic: ['vehicle'], boats: ['vessel'], boat: ['vessel'], ships: ['vessel'], ship: ['vessel'],
  buildings: ['building'], building: ['building'], houses: ['building'], house: ['building'], plants: ['plant'], plant: ['plant'], trees: ['plant'], tree: ['plant'], furniture: ['furniture'], food: ['food'],
}
/** Words that forbid more of a thing and not the thing. */
const MORE = /\b(?:second|extra|another|duplicates?|duplicated|additional|more|multiple|several|other|too many)\b/i
const WORDS = new Set(['text', 'lettering', 'letters', 'words', 'writing', 'captions', 'caption', 'typography', 'sign', 'signs'])

/** The scene without what a leave-out list names. What is left out never comes in by the way either. */
export function withoutListed(scene: Scene, list: string): Scene {
  const next = structuredClone(scene)
  const gone = (thing: Thing, meanings: readonly Meaning[], kinds: readonly SubjectKind[]) => kinds.includes(thing.kind) || meanings.some(({ of, value }) => of === 'figure' && value === `${thing.kind}/${thing.variant}`)
  for (const entry of list.split(/[,;\n]/)) {
    const words = wordsOf(entry)
    if (words.length === 0) continue
    if (words.some((word) => WORDS.has(word))) next.lettering = null
    const kinds = words.flatMap((word) => ALL[word] ?? [])
    const meanings = termsIn(words).flatMap((hit) => hit.meanings)
    next.others = next.others.filter((thing) => !gone(thing, meanings, kinds))
    // “A second jar” is not wanted; the first one is.
    if (MORE.test(entry)) {
      if (gone(next.subject, meanings, kinds)) next.subject.count = 1
    } else if (gone(next.subject, meanings, kinds)) next.subject = { ...next.subject, kind: 'landscape', variant: 'view', count: 1, word: null }
    const says = (of: Meaning['of']) => meanings.filter((one) => one.of === of).map(({ value }) => value)
    const extras = [...says('extra'), ...(kinds.includes('building') ? ['houses', 'viaduct'] : []), ...(kinds.includes('plant') ? ['trees', 'flowers'] : []), ...(kinds.includes('bird') ? ['birds'] : []), ...(kinds.includes('vessel') ? ['boats'] : []), ...(says('weather').includes('cloudy') ? ['clouds'] : [])] as Extra[]
    next.without.push(...extras)
    next.extras = next.extras.filter((extra) => !extras.includes(extra))
    if (says('weather').includes(next.weather) || (extras.includes('clouds') && (next.weather === 'cloudy' || next.weather === 'overcast'))) next.weather = 'clear'
    next.palette = next.palette.filter((name) => !says('colour').includes(name))
    for (const thing of [next.subject, ...next.others]) {
      thing.wears = thing.wears.filter((worn) => !says('worn').includes(worn))
      thing.holds = thing.holds.filter((held) => !says('held').includes(held))
      thing.colours = thing.colours.filter((name) => !says('colour').includes(name))
    }
    if (/\bshadows?\b/.test(entry)) next.without.push('shadows')
  }
  next.without = [...new Set(next.without)]
  return next
}
