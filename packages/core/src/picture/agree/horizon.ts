import { type Judge, verdict } from './verdict.ts'

const SAID = /\b(high|low)(?:,? \w+)? horizon\b|\bhorizon (?:line )?(?:is |set |placed )?(high|low)\b/i

export const horizonJudge: Judge = ({ text }, { horizon }) => {
  const match = SAID.exec(text)
  const said = (match?.[1] ?? match?.[2])?.toLowerCase()
  if (!said || horizon === null || (horizon > 0.4 && horizon < 0.6)) return undefined
  return verdict('horizon', said === (horizon < 0.5 ? 'high' : 'low'), `the horizon lies at ${Math.round(horizon * 100)} % of the height from the top`)
}
