import { meanOf } from '../close/colours.ts'
import { hour } from '../../lexicon/dimensions/index.ts'
import { skyOf } from './sky.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

/** Lightness in OKLab above which nothing is a night, and below which nothing is a bright day; a lit sky, and one that is blue. */
const NO_NIGHT = 0.58
const NO_DAY = 0.36
const LIT_SKY = 0.7
const BLUE_SKY = 0.5
const NIGHT = new Set(['night', 'moon'])
const LOW_SUN = new Set(['dawn', 'dusk', 'evening', 'golden'])
const DAY = new Set(['morning', 'noon', 'afternoon', 'sun'])

/** The hour: how light the picture is, and its sky. */
export const hourJudge: Judge = ({ text }, reading) => {
  const [said] = valuesIn(text, hour)
  const mean = meanOf(reading.palette)
  if (!said || !mean) return undefined
  const sky = skyOf(reading)
  const blue = sky !== undefined && sky.light > LIT_SKY && sky.blue > BLUE_SKY
  if (NIGHT.has(said)) {
    if (blue || mean.light > NO_NIGHT) return verdict('key', false, blue ? 'the sky is bright and blue' : 'light tones rule')
    return reading.key === 'low' ? verdict('key', true, 'dark tones rule') : undefined
  }
  if (LOW_SUN.has(said)) return blue ? verdict('palette', false, 'the sky is bright and blue') : reading.temperature === 'warm' && sky !== undefined && sky.blue < 0.1 ? verdict('temperature', true, 'its colours are warm and the sky is not blue') : undefined
  if (DAY.has(said)) return mean.light < NO_DAY ? verdict('key', false, 'dark tones rule') : blue ? verdict('palette', true, 'the sky is bright and blue') : undefined
  return undefined
}
