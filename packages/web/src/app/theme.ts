import type { ThemeDefinition } from 'vuetify'

/** What both themes name: paper and ink, rules, one accent for what to do next, one green for what is kept. */
type Tokens = Record<'background' | 'surface' | 'on-surface' | 'soft' | 'rule' | 'rule-strong' | 'primary' | 'on-primary' | 'accent-soft' | 'secondary' | 'wash' | 'added' | 'removed', string>

const LIGHT: Tokens = {
  background: '#f1f4f4',
  surface: '#fbfcfc',
  'on-surface': '#15181c',
  soft: '#4b545d',
  rule: '#c9d0d3',
  'rule-strong': '#7b858c',
  primary: '#9d1242',
  'on-primary': '#ffffff',
  'accent-soft': '#e58aa6',
  secondary: '#14583a',
  wash: '#e5eaeb',
  added: '#d6eadd',
  removed: '#f4d9e0',
}

const DARK: Tokens = {
  background: '#15171a',
  surface: '#1d2024',
  'on-surface': '#e8eaec',
  soft: '#adb5bc',
  rule: '#383e44',
  'rule-strong': '#818a92',
  primary: '#f0799b',
  'on-primary': '#24060f',
  'accent-soft': '#9d1242',
  secondary: '#6cc497',
  wash: '#282c31',
  added: '#1f4231',
  removed: '#52212f',
}

const themeOf = (tokens: Tokens, dark: boolean): ThemeDefinition => ({
  dark,
  colors: { ...tokens, 'on-background': tokens['on-surface'], error: tokens.primary, success: tokens.secondary, info: tokens.soft, warning: tokens.primary, 'surface-variant': tokens['on-surface'], 'on-surface-variant': tokens.surface },
  // Field labels and hints at the library's own emphasis fail contrast on paper.
  variables: { 'medium-emphasis-opacity': dark ? 0.84 : 0.8, 'border-color': tokens['rule-strong'], 'border-opacity': 1, 'hover-opacity': 0.06, 'focus-opacity': 0.08 },
})

export const themes = { light: themeOf(LIGHT, false), dark: themeOf(DARK, true) }
