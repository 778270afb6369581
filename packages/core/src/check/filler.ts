import type { Check } from './checked.ts'
import { fromNoise } from './from-noise.ts'

export const filler: Check = (checked) =>
  fromNoise(checked, 'praise', (said) => ({ kind: 'filler', severity: 'tip', reason: `“${said}” says nothing that can be drawn, and takes room from words that do.`, label: 'Remove it' }))
