import { focus } from '../../lexicon/dimensions/index.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

const SHALLOW = /\b(?:shallow (?:depth of field|focus)|bokeh|blurred background|background blur|out of focus background|soft background)\b/i

/** How much is sharp. */
export const focusJudge: Judge = ({ text }, reading) => {
  const said = valuesIn(text, focus)
  const shallow = said.includes('shallow') || SHALLOW.test(text)
  const deep = said.includes('deep') || said.includes('tack')
  if (shallow === deep || reading.focus === null) return undefined
  return verdict('focus', shallow === (reading.focus === 'shallow'), reading.focus === 'shallow' ? 'much of it is out of focus' : 'it is sharp throughout')
}
