import type { TextChange } from '../../draft/text-change.ts'
import { wholeWords } from '../../english/whole-word.ts'
import { givenBy, type Given } from '../part.ts'
import { contradictionIn, isSaid } from '../said.ts'
import type { PartUse } from '../scene.ts'
import { isBehind, marksOf, named, type SeenScene, type SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'

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
  const missing = isBehind(scene.draft, series.parts.get(part)!) ? [] : always.filter(({ text }) => !isSaid(scene.shown, text))
  for (const { text } of always) {
    const other = contradictionIn(scene.shown, text)
    if (other) slips.push({ kind, scene: at, part, words: other, reason: `${body.name} is “${text}”, but here the text says “${other}”.` })
  }
  const told = new Set(slips.map(({ reason }) => reason))
  for (const { text } of missing) {
    if ([...told].some((reason) => reason.includes(`“${text}”`))) continue
    slips.push({ kind, scene: at, part, reason: `${body.name} is here, but nothing says “${text}”.`, fix: { label: `Say “${text}”`, edit: { text: sayIt(scene, part, text) } } })
  }
  for (const entry of body.never) if (wholeWords(entry).test(scene.shown)) slips.push({ kind, scene: at, part, words: entry, reason: `“${entry}” must never be said of ${named(series, part)}.` })
  return slips
}
