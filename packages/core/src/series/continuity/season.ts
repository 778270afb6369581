import type { SeenScene, SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'
import { saysAnotherDay, seasonOf } from './when.ts'

const ELAPSED = /\b(?:months?|years?|weeks?|seasons?|decades?) (?:later|after|afterwards|passed|went by|ago)\b|\b(?:next|following|another|last) (?:year|spring|summer|autumn|winter|month|season)\b|\b1\d{3}\b|\b20\d{2}\b/i
const said = ({ body, shown }: SeenScene) => `${body.moment} ${shown}`

const ORDER = ['spring', 'summer', 'autumn', 'winter']

/** A season that jumps from where it was last seen, where the story says neither that it came nor that time has passed. */
export function season(series: SeenSeries): Slip[] {
  const slips: Slip[] = []
  let last: { at: number; season: string; words: string } | undefined
  series.scenes.forEach((now, at) => {
    const own = seasonOf(said(now))
    const before = last
    if (own) last = { at, ...own }
    if (!own || !before || own.season === before.season) return
    const between = series.scenes.slice(before.at + 1, at + 1)
    if (between.some(({ body, story }) => ELAPSED.test(`${body.moment} ${story?.text ?? ''}`)) || between.some(({ story }) => story && seasonOf(story.text)?.season === own.season)) return
    // One season turns to the next from one day to another, as seasons do in their order.
    if ((ORDER.indexOf(before.season) + 1) % 4 === ORDER.indexOf(own.season) && between.some(saysAnotherDay)) return
    slips.push({ kind: 'season', scene: at, against: before.at, words: own.words, reason: `It is ${own.season} (“${own.words}”) after ${before.season} (“${before.words}”) in scene ${before.at + 1}, and the story does not say that time has passed.` })
  })
  return slips
}
