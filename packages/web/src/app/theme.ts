import { createVuetify } from 'vuetify'
import 'vuetify/styles/core'

const light = { background: '#f1f4f4', surface: '#fbfcfc', primary: '#9d1242', secondary: '#14583a', error: '#9d1242', 'on-background': '#15181c', 'on-surface': '#15181c' }
const dark = { background: '#15171a', surface: '#1d2024', primary: '#f0799b', secondary: '#6cc497', error: '#f0799b', 'on-background': '#e8eaec', 'on-surface': '#e8eaec' }

/** The component library without its own face: no ripples, shadows or pills; our colours. */
export const vuetify = createVuetify({
  theme: {
    defaultTheme: 'light',
    themes: {
      light: { dark: false, colors: light, variables: { 'medium-emphasis-opacity': 0.78 } },
      dark: { dark: true, colors: dark, variables: { 'medium-emphasis-opacity': 0.82 } },
    },
  },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VDialog: { scrim: 'black', opacity: 0.4 },
  },
})
