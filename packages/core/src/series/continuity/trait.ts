import type { TextChange } from '../../draft/text-change.ts'
import { givenBy, type Given } from '../part.ts'
import type { PartUse } from '../scene.ts'
import { allContent, contentOf, marksOf, named, type SeenScene, type SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'

/** Groups of words of which a thing has one: a beard is white or black. */
const EITHER: readonly (readonly string[])[] = [
  'red orange yellow green blue purple pink brown beige grey gray black white golden gold silver blond blonde auburn ginger copper turquoise crimson scarlet ochre'.split(' '),
  'tall short tiny huge giant small large big towering'.split(' '),
  'old elderly ancient aged young youthful teenage middle-aged'.split(' '),
  'thin slim slender lean gaunt stout plump fat stocky burly broad'.split(' '),
  'long short cropped shaved bald'.split(' '),
  'straight curly wavy frizzy braided plaited'.split(' '),
  'bearded clean-shaven'.split(' '),
  'wooden stone brick glass metal iron brass thatched slate tiled'.split(' '),
  'ruined derelict new crumbling restored'.split(' '),
  'woman man girl boy'.split(' '),
]
const groupOf = (word: string) => EITHER.findIndex((group) => group.includes(word))

/** Words of a text that say the opposite of a phrase: its noun with another colour, size or stuff before it, or another of its kind of person. */
export function contradictionIn(shown: string, phrase: string): string | undefined {
  const words: string[] = phrase.toLowerCase().match(/[\p{L}-]+/gu) ?? []
  const lower = shown.toLowerCase()
  for (const [i, word] of words.entries()) {
    const group = groupOf(word)
    if (group < 0) continue
    const noun = words.slice(i + 1).find((other) => groupOf(other) < 0 && other.length > 2 && !/^(?:and|with|the|her|his)$/.test(other))
    if (!noun) continue
    for (const other of EITHER[group]!) {
      if (other === word || words.includes(other)) continue
      const found = new RegExp(`(?<![\\p{L}-])${other}(?:[ ,]+[\\p{L}-]+){0,2}? ${noun}(?![\\p{L}-])`, 'iu').exec(lower)
      if (found && !new RegExp(`(?<![\\p{L}-])${word}(?:[ ,]+[\\p{L}-]+){0,2}? ${noun}(?![\\p{L}-])`, 'iu').test(lower)) return shown.slice(found.index, found.index + found[0].length)
    }
  }
  return undefined
}

/** Whether a text says a phrase: most of its words that tell something stand in it. */
export function isSaid(shown: string, phrase: string): boolean {
  const own = contentOf(phrase)
  const wanted = own.length ? own : allContent(phrase)
  if (!wanted.length) return true
  const words = new Set(allContent(shown))
  const has = (word: string) => words.has(word) || words.has(`${word}s`) || (word.endsWith('s') && words.has(word.slice(0, -1)))
  return wanted.filter(has).length / wanted.length >= 0.67
}

/** An edit that says a phrase after the last that the part says, or before the first stop. */
export function sayIt(scene: SeenScene, part: string, phrase: string): TextChange[] {
  const last = marksOf(scene.draft, part).at(-1)
  const stop = scene.draft.text.search(/[.!?](?:\s|$)/)
  const at = last ? last.to : stop >= 0 ? stop : scene.draft.text.length
  return [{ from: at, to: at, insert: `, ${phrase}${last && /^\s+\p{L}/u.test(scene.draft.text.slice(at)) ? ',' : ''}` }]
}

/** Fixed traits of characters that a scene lacks or contradicts. What clashes with its own words and was left out for that is no slip. */
export function trait(series: SeenSeries): Slip[] {
  return series.scenes.flatMap((scene, at) => scene.body.cast.flatMap((use) => fixed(series, scene, at, use, 'trait')))
}

/** What a part always says, held against a scene. */
export function fixed(series: SeenSeries, scene: SeenScene, at: number, { part }: PartUse, kind: 'trait' | 'place'): Slip[] {
  const body = series.parts.get(part)?.body
  if (!body || !scene.shown.trim()) return []
  const slips: Slip[] = []
  const always = givenBy(body, []).filter(({ text }: Given) => text.trim())
  // What a newer version of it would say is offered as a change, and is no slip.
  const behind = marksOf(scene.draft, part).some(({ source }) => (source.version ?? 1) < series.parts.get(part)!.version)
  const missing = behind ? [] : always.filter(({ text }) => !isSaid(scene.shown, text))
  for (const { text } of always) {
    const other = contradictionIn(scene.shown, text)
    if (other) slips.push({ kind, scene: at, part, words: other, reason: `${body.name} is “${text}”, but here the text says “${other}”.` })
  }
  const told = new Set(slips.map(({ reason }) => reason))
  for (const { text } of missing) {
    if ([...told].some((reason) => reason.includes(`“${text}”`))) continue
    slips.push({ kind, scene: at, part, reason: `${body.name} is here, but nothing says “${text}”.`, fix: { label: `Say “${text}”`, edit: { text: sayIt(scene, part, text) } } })
  }
  for (const entry of body.never) if (new RegExp(`(?<![\\p{L}])${entry.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}])`, 'iu').test(scene.shown)) slips.push({ kind, scene: at, part, words: entry, reason: `“${entry}” must never be said of ${named(series, part)}.` })
  return slips
}
