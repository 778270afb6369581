import { type Judge, verdict } from './verdict.ts'

/** Grain over it, and shapes that come again. */
export const surfaceJudge: Judge = ({ text }, { grain, pattern }) => {
  if (/\b(?:grain|grainy|noisy)\b/i.test(text) && grain !== null) return verdict('grain', grain, grain ? 'grain lies over its calm parts' : 'its calm parts are clean')
  if (/\b(?:repeating|repeat(?:ed)?|seamless|regular) patterns?\b/i.test(text) && pattern !== null) return verdict('pattern', pattern, pattern ? 'shapes come again at even steps' : 'nothing comes again at even steps')
  return undefined
}
