import { tidy, tidySteps, type TidyStep } from '../phrase/tidy.ts'
import type { Noise } from '../read/reading.ts'
import type { Checked } from './checked.ts'
import { type Finding, inText } from './finding.ts'

/** Findings of one kind of noise: words that are no part of the picture, each with the fix that puts it where it belongs. */
export function fromNoise(checked: Checked, noise: Noise['kind'], finding: (said: string, step: TidyStep) => Pick<Finding, 'kind' | 'severity' | 'reason'> & { label: string }): Finding[] {
  return tidySteps(checked.draft.text, { noise: [...checked.noise] })
    .filter((step) => step.kind === noise)
    .map((step) => {
      const { label, ...rest } = finding(step.text, step)
      return { ...rest, where: inText(step), fix: { label, edits: [tidy(checked.draft, [step])], safe: true } }
    })
}
