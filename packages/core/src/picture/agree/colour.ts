import { colourfulness } from '../../lexicon/dimensions/index.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

/** Whether there is colour, how strong it is, and whether it is warm. */
export const colourJudge: Judge = ({ text }, { mono, saturation, temperature }) => {
  const said = new Set(valuesIn(text, colourfulness))
  if (said.has('none') && mono !== null) return verdict('mono', mono, mono ? 'it has one hue or none' : 'it has several hues')
  if ((said.has('full') || said.has('muted') || said.has('pastel')) && saturation !== null && saturation !== 'moderate') return verdict('saturation', said.has('full') === (saturation === 'vivid'), `its colours are ${saturation}`)
  const warm = said.has('warm') || /\b(?:warm|golden|amber|fiery)(?:er|ly)? (?:colou?rs?|tones?|hues|light|glow|palette)\b/i.test(text)
  const cool = said.has('cool') || /\b(?:cool|cold|icy|chilly)(?:er)? (?:colou?rs?|tones?|hues|light|glow|palette)\b/i.test(text)
  if (warm === cool || temperature === null || mono) return undefined
  return temperature === 'neutral' ? undefined : verdict('temperature', warm === (temperature === 'warm'), `its colours are ${temperature} on the whole`)
}
