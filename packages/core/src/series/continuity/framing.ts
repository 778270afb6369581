import type { SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'

const SHOTS: readonly [string, RegExp][] = [
  ['close-up', /\b(?:extreme )?close[- ]?ups?\b|\bmacro\b|\btight shot\b/i],
  ['medium shot', /\bmedium (?:close|long|wide )?(?:shot|view)\b|\bwaist[- ](?:up|high)\b|\bmid shot\b/i],
  ['wide shot', /\b(?:wide|long|establishing|full|panoramic) (?:shot|view)\b|\bpanorama\b/i],
  ['view from above', /\b(?:bird['’]s[- ]eye|overhead|top[- ]down|aerial|from above)\b/i],
]
/** So many of one kind in a row are too many. */
const TOO_MANY = 4

export const shotOf = (said: string): string | undefined => SHOTS.find(([, form]) => form.test(said))?.[0]

/** The same framing too often in a row; told at the last of the row. */
export function framing(series: SeenSeries): Slip[] {
  const shots = series.scenes.map(({ body, shown }) => shotOf(body.framing) ?? shotOf(shown))
  const slips: Slip[] = []
  let from = 0
  shots.forEach((shot, at) => {
    if (shot !== shots[from]) from = at
    const ends = shots[at + 1] !== shot
    if (shot && ends && at - from + 1 >= TOO_MANY) slips.push({ kind: 'framing', scene: at, against: from, words: shot, reason: `${at - from + 1} scenes in a row are a ${shot}; go nearer or farther in one of them.` })
  })
  return slips
}
