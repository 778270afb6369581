import { type Judge, verdict } from './verdict.ts'

const STRONG = /\b(?:high|strong|stark|bold|dramatic|sharp|deep) contrasts?\b|\bcontrasty\b/i
const LOW = /\b(?:low|soft|gentle|subtle|little|muted) contrast\b/i

export const contrastJudge: Judge = ({ text }, { contrast }) => {
  const [strong, low] = [STRONG.test(text), LOW.test(text)]
  if (strong === low || contrast === null) return undefined
  if (contrast === 'mid') return undefined
  return verdict('contrast', strong === (contrast === 'high'), contrast === 'high' ? 'its tones reach from black to white' : 'its tones lie close together')
}
