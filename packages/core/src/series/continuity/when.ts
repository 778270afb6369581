import type { SeenScene } from './seen.ts'

/** Times of day in their order. */
const HOURS: readonly [number, RegExp][] = [
  [0, /\b(?:dawn|daybreak|sunrise|first light|early morning)\b/i],
  [1, /\b(?:morning|breakfast)\b/i],
  [2, /\b(?:noon|midday|lunch ?time)\b/i],
  [3, /\bafternoon\b/i],
  [4, /\b(?:dusk|twilight|sunset|sundown|golden hour|late afternoon)\b/i],
  [5, /\b(?:evening|nightfall|blue hour)\b/i],
  [6, /\bnight(?:time)?\b/i],
  [7, /\bmidnight\b/i],
]
export const HOUR_NAMES = ['dawn', 'morning', 'noon', 'afternoon', 'dusk', 'evening', 'night', 'midnight'] as const

/** The time of day that words give, from 0 (dawn) to 7 (midnight). */
export function hourOf(said: string): number | undefined {
  // “late afternoon” and “midnight” hold the words of others.
  const found = HOURS.filter(([, form]) => form.test(said)).map(([hour]) => hour)
  if (/late afternoon/i.test(said)) return 3
  if (/midnight/i.test(said)) return 7
  return found[0]
}

/** Words that say that another day has come, or another time altogether. */
const ANOTHER_DAY =
  /\b(?:next|following|another|one|second|third|fourth|fifth|last) (?:\w+ )?(?:day|morning|noon|afternoon|evening|night|week|weekend|month|year|spring|summer|autumn|winter|monday|tuesday|wednesday|thursday|friday|saturday|sunday|dawn)\b|\b(?:days?|nights?|weeks?|months?|years?|seasons?|decades?|centur(?:y|ies)) (?:later|after|afterwards|passed|went by|ago)\b|\b(?:tomorrow|yesterday|the day after|today|nowadays|again and again|every (?:day|night|morning|evening))\b|\b(?:mon|tues|wednes|thurs|fri|satur|sun)day\b|\b(?:in|by|until) (?:january|february|march|april|may|june|july|august|september|october|november|december|spring|summer|autumn|winter)\b|\b1\d{3}\b|\b20\d{2}\b/i
/** Words by which a story goes back on purpose. */
const GOES_BACK = /\b(?:earlier|before that|years before|remember(?:s|ed|ing)?|flashback|once,|long ago|back then|had been|when (?:he|she|they|I) (?:was|were) (?:a )?(?:young|small|child|boy|girl))\b/i

const wordsOf = ({ body, story }: SeenScene) => `${body.moment} ${body.beat} ${story && !story.carried ? (story.moment ?? '') : ''} ${story?.text ?? ''}`
export const saysAnotherDay = (scene: SeenScene): boolean => ANOTHER_DAY.test(wordsOf(scene))
export const goesBack = (scene: SeenScene): boolean => GOES_BACK.test(wordsOf(scene))

/** Whether time has moved to another day from one scene to the next: said, or by night turning to morning. */
export function isAnotherDay(before: SeenScene, now: SeenScene): boolean {
  if (/\b(?:same|that) day\b/i.test(now.body.moment)) return false
  if (saysAnotherDay(now)) return true
  const [a, b] = [hourOf(before.body.moment), hourOf(now.body.moment)]
  return a !== undefined && b !== undefined && a >= 5 && b <= 1
}

const SEASONS: readonly [string, RegExp][] = [
  ['spring', /\b(?:spring(?:time)?|march|april|blossoms?|blossoming|cherry blossom)\b/i],
  ['summer', /\b(?:summer|june|july|august|midsummer|heatwave)\b/i],
  ['autumn', /\b(?:autumn(?:al)?|october|november|fallen leaves|harvest)\b/i],
  ['winter', /\b(?:winter|snow|snowy|snowfall|snowing|december|january|february|frost|frozen|ice|icy)\b/i],
]
export const seasonOf = (said: string): { season: string; words: string } | undefined => {
  for (const [season, form] of SEASONS) {
    const match = form.exec(said)
    if (match) return { season, words: match[0] }
  }
  return undefined
}

const WEATHER: readonly [string, RegExp][] = [
  ['rain', /\b(?:rain|rainy|raining|drizzle|downpour)\b/i],
  ['storm', /\b(?:storm|stormy|thunder(?:storm)?|lightning)\b/i],
  ['snow', /\b(?:snowing|snowfall|blizzard|falling snow|snowstorm)\b/i],
  ['fog', /\b(?:fog|foggy|thick mist)\b/i],
  ['clear', /\b(?:clear (?:blue )?sk(?:y|ies)|sunny|bright sun(?:light|shine)?|blazing sun|cloudless|blue sky|starry|stars|moonlit|full moon)\b/i],
]
export const weatherOf = (said: string): { weather: string; words: string } | undefined => {
  for (const [weather, form] of WEATHER) {
    const match = form.exec(said)
    if (match) return { weather, words: match[0] }
  }
  return undefined
}
