import { type SeenSeries, steps } from './seen.ts'
import type { Slip } from './slip.ts'
import { isAnotherDay, weatherOf } from './when.ts'

const APART: Readonly<Record<string, readonly string[]>> = { clear: ['rain', 'storm', 'snow', 'fog'], rain: ['clear', 'snow'], storm: ['clear'], snow: ['clear', 'rain'], fog: ['clear'] }
const CHANGES = /\b(?:clears?|cleared|breaks?|broke|stops?|stopped|begins?|began|turns?|turned|comes?|came|passes|passed|after the (?:storm|rain)|until|suddenly)\b/i

/** Weather that jumps within a day: rain right after a cloudless sky, unless the story tells of it. */
export function weather(series: SeenSeries): Slip[] {
  return steps(series).flatMap(({ before, now, at }) => {
    const [a, b] = [weatherOf(before.shown), weatherOf(now.shown)]
    if (!a || !b || !APART[a.weather]?.includes(b.weather) || isAnotherDay(before, now)) return []
    const story = now.story?.text ?? ''
    if (weatherOf(story)?.weather === b.weather || (weatherOf(story) && CHANGES.test(story))) return []
    return [{ kind: 'weather' as const, scene: at, against: at - 1, words: b.words, reason: `“${b.words}” right after “${a.words}” on the same day, and the story tells of no change.` }]
  })
}
