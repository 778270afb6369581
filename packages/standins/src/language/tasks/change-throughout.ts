import type { Facet, Phrase, Random } from '@idolon/core'
import { piecesOf, termsIn } from '../../scene/lexicon.ts'
import { type Asked, choose, linesOf } from '../asked.ts'
import { type Heard, heardIn, type Weather } from '../heard.ts'
import { withSlips } from '../slip.ts'
import { HOURS, WEATHERS } from '../words/hours.ts'
import { mediumIn } from '../words/media.ts'
import type { Part } from '../words/scenes.ts'
import { capital, withArticle } from '../write.ts'
import { Phrases } from './edit-phrases.ts'

const kindsIn = (text: string): Set<string> => new Set(termsIn(piecesOf(text)).flatMap(({ meanings }) => meanings.map(({ of }) => of)))
/** Words of light, sky and weather that one hour or weather has and another has not. */
const SKY = /\b(?:sky|skies|clouds?|sun|sunlight|sunlit|sunshine|shadows?|moon|moonlight|moonlit|stars?|starry|sunny|rain\w*|wet|snow\w*|mist\w*|fog\w*|storm\w*|blossoms?|leaves)\b/i
const TIME_COLOUR = /\b(?:warm|golden|bright|sunny|pale|dry|vivid|light|sun-bleached|pastel|dark|deep blue|silver|cool)\b/i
const CLOTHES_FOR: Partial<Record<string, string>> = { rain: 'in a wet oilskin coat', snow: 'in a thick wool coat', winter: 'in a thick wool coat', storm: 'in a wet oilskin coat' }
const SEASON_SAID: Readonly<Record<string, string>> = { winter: 'deep winter', spring: 'early spring', summer: 'high summer', autumn: 'late autumn' }
const SEASON_COLOURS: Readonly<Record<string, readonly string[]>> = { winter: ['white, slate and pale blue'], spring: ['fresh green and pale pink'], summer: ['deep green and straw yellow'], autumn: ['russet, ochre and umber'] }

/** What a change says must be, by facet. */
interface Change {
  heard: Heard
  words: string
  part: Part | undefined
  weather: Weather | undefined
  season: string | undefined
}

const momentOf = ({ part, weather, season, words }: Change): string => {
  const hour = part ? (part === 'night' ? 'night' : part === 'noon' ? 'noon' : part === 'afternoon' ? 'late afternoon' : part) : ''
  const air = weather === 'rain' ? 'rain' : weather === 'snow' ? 'falling snow' : weather === 'mist' ? 'mist' : weather === 'storm' ? 'a storm' : ''
  const time = season ? (SEASON_SAID[season] ?? season) : ''
  return [hour ? (hour === 'late afternoon' || hour === 'morning' ? `in the ${hour}` : `at ${hour}`) : '', time ? `in ${time}` : '', air ? `in ${air}` : ''].filter(Boolean).join(' ') || words
}

function lightOf({ part, weather }: Change, before: Heard, random: Random): string {
  const now = part ?? before.part ?? 'morning'
  if (weather && before.place !== 'in') return choose(now === 'night' ? WEATHERS[weather].night : WEATHERS[weather].day, random)
  return choose(HOURS[now][before.place === 'in' ? 'in' : 'out'], random)
}
function coloursOf({ part, weather, season }: Change, random: Random): string {
  if (weather) return choose(WEATHERS[weather].colours, random)
  if (season && !part) return choose(SEASON_COLOURS[season] ?? HOURS.morning.colours, random)
  return choose(HOURS[part ?? 'morning'].colours, random)
}

/** A change told in words carried through every phrase that it touches, and through no other. */
export function changedThroughout(text: string, words: string, locked: readonly string[], random: Random): string {
  const heard = heardIn(words)
  const change: Change = { heard, words: words.replace(/^(?:the same|but|and|as|make it|set it)\b[\s,]*/i, '').trim(), part: heard.part, weather: heard.weather, season: heard.season }
  const kinds = kindsIn(words)
  const phrases = new Phrases(text, locked)
  const before = heardIn(text)
  const timely = change.part !== undefined || change.weather !== undefined || change.season !== undefined
  const done = new Set<Facet>()
  const all = phrases.list.filter((phrase) => !phrases.isLocked(phrase))
  const isTouched = ({ facet, text: said }: Phrase) => facet !== 'colour' || TIME_COLOUR.test(said)
  const touched = (phrase: Phrase, facet: Facet, say: () => string) => {
    // Of several of a facet that change, the first says what is now and the others go.
    const first = all.find((other) => other.facet === facet && isTouched(other))
    phrases.replace(phrase, first?.start === phrase.start ? say() : '')
    done.add(facet)
  }
  // From the end backwards, so that places stay true.
  for (const phrase of [...all].reverse()) {
    const own = kindsIn(phrase.text)
    if (timely && phrase.facet === 'moment') touched(phrase, 'moment', () => momentOf(change))
    else if (timely && phrase.facet === 'light') touched(phrase, 'light', () => lightOf(change, before, random))
    else if (timely && phrase.facet === 'colour' && TIME_COLOUR.test(phrase.text)) touched(phrase, 'colour', () => coloursOf(change, random))
    else if (timely && (own.has('moment') || own.has('weather') || own.has('season') || SKY.test(phrase.text)) && ['detail', 'setting', 'mood', 'colour', 'technique'].includes(phrase.facet)) {
      const sky = change.weather ? WEATHERS[change.weather].sky : change.part === 'night' ? 'a dark sky' : 'a changed sky'
      if (/\b(?:sky|skies|clouds?|sun|shadows?|sunshine|moon|stars?)\b/i.test(phrase.text) && phrase.text.split(' ').length <= 4) phrases.replace(phrase, change.part || change.weather ? sky : '')
      else phrases.replace(phrase, phrase.text.replace(/\b(?:sunlit|sunny|moonlit|starlit|snowy|snow-covered|rainy|misty|foggy|sun-drenched|dry|wet)\s+/gi, ''))
    } else if ((kinds.has('shot') || kinds.has('angle')) && phrase.facet === 'framing') {
      // A distance and an angle go together; only what is told otherwise changes.
      if ((own.has('shot') && kinds.has('shot')) || (own.has('angle') && kinds.has('angle')) || own.size === 0) touched(phrase, 'framing', () => change.words.replace(/^(?:seen )?(?:in|from) (?:an? )?/i, ''))
    } else if (heard.medium && phrase.facet === 'medium') touched(phrase, 'medium', () => mediumIn(words)?.said ?? words)
    else if (heard.medium && phrase.facet === 'technique') phrases.replace(phrase, '')
    else if (heard.has.has('setting') && phrase.facet === 'setting' && !timely) touched(phrase, 'setting', () => heard.phrases.find(({ facet }) => facet === 'setting')?.text ?? change.words)
  }
  if (timely && !done.has('moment')) phrases.add(momentOf(change), (said) => `It is ${said.replace(/^at /, '')}.`)
  if (timely && !done.has('light') && (change.part !== undefined || change.weather !== undefined)) phrases.add(lightOf(change, before, random), (said) => `The scene is lit by ${said}.`)
  const clothes = CLOTHES_FOR[change.weather ?? change.season ?? '']
  if (clothes && before.phrases.some(({ facet, text: said }) => facet === 'detail' && /\b(?:bare|sleeves|shirt|sandals|straw hat|swim\w*)\b/i.test(said))) for (const one of phrases.list.filter(({ facet, text: said }) => facet === 'detail' && /\b(?:bare|sleeves|shirt|sandals|straw hat|swim\w*)\b/i.test(said))) phrases.replace(one, clothes)
  if ((kinds.has('shot') || kinds.has('angle')) && !done.has('framing')) phrases.add(change.words.replace(/^(?:seen )?(?:in|from) (?:an? )?/i, ''), (said) => `It is seen in ${withArticle(said, true)}.`)
  // What is nothing of this is said as it stands.
  if (!timely && !kinds.has('shot') && !kinds.has('angle') && done.size === 0) phrases.add(change.words, (said) => `${capital(said)}.`)
  return phrases.text
}

export function changeThroughoutTask(asked: Asked): { prompt: string } {
  const { given, random, instruction } = asked
  const said = given('change') || (/(?:so that it plays|so that the picture is seen) ([^.\n]+)/.exec(instruction)?.[1] ?? '')
  const locked = linesOf(given('locked'))
  return { prompt: withSlips(changedThroughout(given('prompt'), said, locked, random), asked, locked) }
}
