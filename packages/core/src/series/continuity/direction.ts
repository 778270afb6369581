import { type SeenSeries, steps } from './seen.ts'
import type { Slip } from './slip.ts'

const GOES = String.raw`(?:walk\w*|runs?|running|rid\w+|driv\w+|sail\w*|row\w*|fl(?:y|ies|ying)|mov\w+|head\w*|travel\w*|march\w*|crawl\w*|swim\w*|gallop\w*|rac\w+|looks?|looking|fac\w+|turned|pointing|points)`
const LEFT = new RegExp(String.raw`\b${GOES}\b[^.,;]{0,24}\b(?:to(?:wards?)? the left|leftwards?|from right to left|right to left|left)\b|\bfrom right to left\b|\bin profile (?:to the|facing) left\b`, 'i')
const RIGHT = new RegExp(String.raw`\b${GOES}\b[^.,;]{0,24}\b(?:to(?:wards?)? the right|rightwards?|from left to right|left to right|right)\b|\bfrom left to right\b|\bin profile (?:to the|facing) right\b`, 'i')
const TURNS = /\b(?:turns?|turned|turning|back|returns?|returned|around|home|reverses?|flees?|fled)\b/i

function directionOf(said: string): { way: 'left' | 'right'; words: string } | undefined {
  const left = /from left to right|left to right/i.test(said) ? null : LEFT.exec(said)
  if (left) return { way: 'left', words: left[0] }
  const right = RIGHT.exec(said)
  return right ? { way: 'right', words: right[0] } : undefined
}

/** A way across the picture that flips between two scenes with the same character, though nobody turns. */
export function direction(series: SeenSeries): Slip[] {
  return steps(series).flatMap(({ before, now, at }) => {
    const [a, b] = [directionOf(before.shown), directionOf(now.shown)]
    if (!a || !b || a.way === b.way) return []
    const both = now.body.cast.find(({ part }) => before.body.cast.some((use) => use.part === part))
    if (!both || TURNS.test(`${now.body.beat} ${now.body.words} ${now.story?.text ?? ''}`)) return []
    return [{ kind: 'direction' as const, scene: at, against: at - 1, part: both.part, words: b.words, reason: `“${b.words}” right after “${a.words}”: whoever watches thinks that ${series.parts.get(both.part)?.body.name ?? 'the character'} has turned back.` }]
  })
}
