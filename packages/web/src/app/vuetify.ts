import { createVuetify, type VuetifyOptions } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import 'vuetify/styles/core'
import { themes } from './theme.ts'

/** A field's label stands on its upper edge whether it is filled or not, so that its placeholder can be an example. */
const FIELD = { variant: 'outlined', density: 'compact', hideDetails: 'auto', persistentPlaceholder: true } as const

/** The component library with a face of our own: no ripple, no shadow, no capsules; our colours and types. Everything not set here is the library's. */
export const options: VuetifyOptions = {
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: { defaultTheme: 'light', themes },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VBtn: { variant: 'outlined', density: 'comfortable' },
    VTextField: FIELD,
    VTextarea: { ...FIELD, rows: 2, autoGrow: true },
    VSelect: { ...FIELD, menuIcon: '$dropdown' },
    VAutocomplete: FIELD,
    VCombobox: FIELD,
    VFileInput: { ...FIELD, prependIcon: '' },
    VNumberInput: { ...FIELD, controlVariant: 'hidden' },
    VDateInput: { ...FIELD, prependIcon: '' },
    VColorInput: { ...FIELD, prependIcon: '' },
    VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary' },
    VRadio: { density: 'compact', color: 'primary' },
    VRadioGroup: { density: 'compact', hideDetails: 'auto' },
    VSlider: { density: 'compact', hideDetails: 'auto', color: 'primary', thumbSize: 14, trackSize: 3 },
    VTabs: { density: 'compact', color: 'primary' },
    VList: { density: 'compact' },
    VMenu: { offset: 4 },
    VDialog: { scrim: 'black', opacity: 0.4 },
    VTooltip: { openDelay: 350, maxWidth: 360, eager: false },
    // All of a table that is read stands there, and sorts by a press on a head.
    VDataTable: { density: 'compact', hover: true, itemsPerPage: -1, hideDefaultFooter: true },
    VDataTableVirtual: { density: 'compact', hover: true, fixedHeader: true, itemHeight: 36 },
    VTable: { density: 'compact' },
    VExpansionPanels: { variant: 'accordion', static: true },
    VProgressLinear: { color: 'primary', height: 3 },
    VSnackbar: { timeout: -1 },
  },
}

/** Components are found by the build where views name them. */
export const vuetify = createVuetify(options)
