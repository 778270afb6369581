import { media } from '../lexicon/dimensions/index.ts'
import { longest, Matcher } from '../lexicon/matcher.ts'
import { asTerm } from '../lexicon/words.ts'
import type { Check } from './checked.ts'
import { eraEntries, type Period, periodsIn } from './era/periods.ts'
import { THINGS } from './era/things.ts'
import { inText } from './finding.ts'
import { removingItem } from './item.ts'

type Thing = Period & { term: string }
const things = new Matcher<Thing>(eraEntries(THINGS).map(([term, period]) => [asTerm(term), { ...period, term }] as const))
/** Years either way that prove nothing; the older the period, the vaguer what is known of it. */
const slack = (year: number) => (year >= 1800 ? 6 : year >= 1000 ? 25 : 150)
const STYLES = new Set('painting style portrait art poster fresco engraving miniature print look woodcut illustration manuscript revival inspired'.split(' '))
/** A draft that mixes its times on purpose. */
const MEANT = /\b(?:time[- ]travel\p{L}*|anachronis\p{L}*|steampunk|dieselpunk|alternate history|alternative history|retro-?futur\p{L}*|from the future|futuristic|sci-fi|science fiction|cosplay\p{L}*|re-?enact\p{L}*|costume party|fancy dress|museum|film set|movie set|dressed as|dressed up as|costume|ruins?|statue of|portal|ghosts? of|toy|dream\p{L}*)\b/iu

const year = (value: number) => (value < 0 ? `${-value} BC` : String(value))

export const eraClash: Check = (checked) => {
  if (MEANT.test(checked.shown)) return []
  const periods = periodsIn(checked.shown).flatMap((period) => {
    const phrase = checked.phraseAt(period.start)
    // “A baroque painting” is of any time.
    const next = checked.wordFrom(period.end)
    const isOfTheMaking = (phrase?.facet === 'medium' && checked.saidOf(media).some((one) => one.phrase === phrase)) || (next?.gap !== 'mark' && STYLES.has(next?.lower ?? ''))
    return phrase && phrase.facet !== 'lettering' && !isOfTheMaking ? [period] : []
  })
  const period = periods[0]
  // Two periods are told apart on purpose; which of them a thing belongs to cannot be known.
  if (!period || periods.some((other) => other.to < period.from || other.from > period.to)) return []
  return longest(things.find(checked.words, checked.isKind)).flatMap(({ from, to, value }) => {
    const thing = { start: checked.words[from]!.start, end: checked.words[to - 1]!.end, value, term: value.term }
    const phrase = checked.phraseAt(thing.start)
    // “To lace a boot” is done, not worn.
    if (!phrase || checked.words[from - 1]?.lower === 'to' || !['subject', 'action', 'detail', 'setting', 'light', 'moment'].includes(phrase.facet)) return []
    if (thing.start < period.end && thing.end > period.start) return []
    const early = thing.value.from > period.to + slack(period.to)
    const late = thing.value.to < period.from - slack(period.from)
    if (!early && !late) return []
    return [
      {
        kind: 'era-clash' as const,
        severity: 'caution' as const,
        where: inText(thing),
        with: inText(period),
        facet: phrase.facet,
        reason: early ? `There ${/[^s]s$/.test(thing.term) ? 'were' : 'was'} no ${thing.term} before about ${year(thing.value.from)}, and “${checked.said(period)}” is earlier.` : `A ${thing.term} had gone by about ${year(thing.value.to)}, before “${checked.said(period)}”.`,
        fix: removingItem(checked, { ...thing, phrase }),
      },
    ]
  })
}
