import { shot } from '../lexicon/dimensions/index.ts'
import { FINE } from '../lexicon/fine.ts'
import { longest } from '../lexicon/matcher.ts'
import type { Check } from './checked.ts'
import { inText } from './finding.ts'
import { replacementOf } from './fixes.ts'

const FAR: ReadonlySet<string> = new Set(['wide', 'farthest'])
const NEAR: ReadonlySet<string> = new Set(['detail', 'close', 'mediumClose', 'medium'])

export const smallSubject: Check = (checked) => {
  const said = checked.saidOf(shot)
  const far = said.find(({ value }) => FAR.has(value))
  if (!far || said.some(({ value }) => NEAR.has(value))) return []
  return longest(FINE.find(checked.words, checked.isKind)).flatMap(({ from, to }) => {
    const fine = { start: checked.words[from]!.start, end: checked.words[to - 1]!.end }
    const phrase = checked.phraseAt(fine.start)
    if (!phrase || ['lettering', 'medium', 'light', 'moment', 'colour'].includes(phrase.facet) || (fine.start < far.end && fine.end > far.start)) return []
    return [
      {
        kind: 'small-subject' as const,
        severity: 'caution' as const,
        where: inText(fine),
        with: inText(far),
        facet: phrase.facet,
        ...(far.phrase.facet === 'framing' ? { fix: { label: 'Say “medium shot”', edits: [replacementOf(checked.draft, far.phrase, 'medium shot')], safe: false } } : {}),
        reason: `With “${checked.said(far)}” the figure is a few dots high; “${checked.said(fine)}” cannot be seen.`,
      },
    ]
  })
}
