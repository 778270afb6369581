import { shadow } from '../../lexicon/dimensions/index.ts'
import { valuesIn } from '../../lexicon/lexicon.ts'
import { type Judge, verdict } from './verdict.ts'

const HARD = new Set(['hard', 'hardlight', 'cast'])
const SOFT = new Set(['softlight', 'overcast', 'none'])

/** Whether light is hard or soft. */
export const shadowsJudge: Judge = ({ text }, { lightHard }) => {
  if (lightHard === null) return undefined
  const said = valuesIn(text, shadow)
  const hard = said.some((value) => HARD.has(value))
  const soft = said.some((value) => SOFT.has(value))
  return hard === soft ? undefined : verdict('lightHard', hard === lightHard, lightHard ? 'its shadows have sharp edges' : 'no shadow in it has a sharp edge')
}
