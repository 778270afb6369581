import { type Judge, verdict } from './verdict.ts'

const SAID = /\b(?:light|lit|sun|sunlight|glow|lamp|illuminated)\w*\b[^,.;]*?\bfrom (?:the )?(?:(?:upper|far|top|lower) )?(left|right|above|overhead)\b/i

/** From which side it is lit. */
export const lightSideJudge: Judge = ({ text }, { lightSide }) => {
  const said = SAID.exec(text)?.[1]?.toLowerCase()
  if (!said || lightSide === null) return undefined
  const own = said === 'overhead' ? 'above' : said
  // From the upper left is from the left, and in part from above.
  const holds = lightSide.endsWith(own) || (own === 'above' && lightSide.startsWith('upper'))
  return verdict('lightSide', holds, `things are lighter ${lightSide === 'above' ? 'above' : `on their ${lightSide} side`}`)
}
