import type { Check } from './checked.ts'
import { fromNoise } from './from-noise.ts'

export const leadVerb: Check = (checked) =>
  fromNoise(checked, 'lead-in', (said) => ({ kind: 'lead-verb', severity: 'tip', reason: `“${said}” is said to somebody; an engine only needs what is in the picture.`, label: 'Remove it' }))
