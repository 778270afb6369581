import type { Draft } from '../draft/shape.ts'
import type { EngineProfile } from '../engine/profile.ts'
import { lengthIn, outputFor, sayLimit } from '../output/output.ts'
import type { Check } from './checked.ts'
import { inText } from './finding.ts'

/** How much longer than its draft an output can be: leading words, exclusions worded as what is there, emphasis by repetition. */
const LONGER = 3
/** Whether a draft cannot pass a limit however it is said, so that it need not be said to know. */
const isFarBelow = ({ text, leaveOut }: Draft, { unit, max }: NonNullable<EngineProfile['limit']>): boolean => lengthIn(unit, `${text} ${leaveOut.join(' ')}`) * LONGER + 60 < max

export const overLength: Check = (checked) => {
  const { engine, draft, phrases, reading, language } = checked
  if (!engine?.limit || isFarBelow(draft, engine.limit)) return []
  const { cut } = outputFor(draft, engine, { reading, words: language.words })
  if (cut.length === 0) return []
  const lost = phrases.filter(({ start, end }) => cut.some((range) => range.start < end && range.end > start))
  const range = { start: cut[0]!.start, end: cut[cut.length - 1]!.end }
  const subject = lost.some(({ facet }) => facet === 'subject')
  const names = lost.slice(0, 4).map(({ text }) => `“${text}”`).join(', ')
  return [
    {
      kind: 'over-length',
      severity: subject ? 'stop' : 'caution',
      where: inText(range),
      ...(lost[0] ? { facet: lost[0].facet } : {}),
      reason: `${engine.name} reads ${sayLimit(engine.limit)} and ${engine.pastLimit === 'refuses' ? 'refuses more; not sent:' : 'stops before'} ${names || `“${draft.text.slice(range.start, range.end).trim().slice(0, 60)}”`}${lost.length > 4 ? ` and ${lost.length - 4} more` : ''}.${subject ? ' That is the subject.' : ''}`,
    },
  ]
}
