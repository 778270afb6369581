import { meanOf } from '../close/colours.ts'
import { shadow } from '../../lexicon/dimensions/index.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

const DARK = new Set(['lowkey', 'dark'])
const LIGHT = new Set(['highkey', 'bright', 'none'])
/** Mean lightness in OKLab that no dark picture has, and no light one. */
const TOO_LIGHT = 0.6
const TOO_DARK = 0.5
const SAID_DARK = /\b(?:dark|gloomy|dim|shadowy|murky|sombre)(?:er)? (?:tones?|picture|scene|palette|image|light)\b|\bdarkness\b/i
const SAID_LIGHT = /\b(?:bright|light|airy|pale)(?:er)? (?:tones?|picture|scene|image)\b/i

/** Whether dark or light tones rule. */
export const keyJudge: Judge = ({ text }, { key, palette }) => {
  const said = valuesIn(text, shadow)
  const dark = said.some((value) => DARK.has(value)) || SAID_DARK.test(text)
  const light = said.some((value) => LIGHT.has(value)) || SAID_LIGHT.test(text)
  const mean = meanOf(palette)
  if (dark === light || !mean) return undefined
  if (key === (dark ? 'low' : 'high')) return verdict('key', true, `${dark ? 'dark' : 'light'} tones rule`)
  if (dark ? mean.light > TOO_LIGHT : mean.light < TOO_DARK) return verdict('key', false, `its mean lightness is ${Math.round(mean.light * 100)} of 100`)
  return undefined
}
