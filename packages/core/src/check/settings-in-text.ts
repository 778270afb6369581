import type { Check } from './checked.ts'
import { fromNoise } from './from-noise.ts'

export const settingsInText: Check = (checked) =>
  fromNoise(checked, 'setting', (said, { settings }) => ({
    kind: 'settings-in-text',
    severity: 'caution',
    reason: `“${said}” is a setting; in the text it is read as a thing to draw, or not at all.`,
    label: Object.keys(settings).length ? 'Move it to the settings' : 'Remove it',
  }))
