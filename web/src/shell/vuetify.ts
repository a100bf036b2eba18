// Without the utility classes, which none of our pages use: they are ten times the rest.
import 'vuetify/styles/core'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const base = { 'border-color': '#1D2B2A', 'medium-emphasis-opacity': 1, 'high-emphasis-opacity': 1 }

/** The day and night color schemes for Vuetify's own parts; the same values as in shared/look/tokens.css. */
export const floors = {
  day: {
    dark: false,
    colors: {
      background: '#F6F1E7',
      surface: '#FFFDF8',
      primary: '#0F5C57',
      'on-primary': '#FFFFFF',
      secondary: '#5B6866',
      error: '#A33B12',
      'on-surface': '#1D2B2A',
      'on-background': '#1D2B2A',
    },
    variables: base,
  },
  night: {
    dark: true,
    colors: {
      background: '#16201F',
      surface: '#1E2A29',
      primary: '#6CC5B8',
      'on-primary': '#0C1F1D',
      secondary: '#B3BEBA',
      error: '#F0A27F',
      'on-surface': '#F1ECE0',
      'on-background': '#F1ECE0',
    },
    variables: { ...base, 'border-color': '#F1ECE0' },
  },
}

/** Plain Vuetify: no elevation, no pills, no capitals, small corners. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day',
    themes: floors,
  },
  defaults: {
    global: { ripple: false },
    VBtn: { variant: 'outlined', height: 40 },
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: {
      variant: 'outlined',
      density: 'compact',
      hideDetails: 'auto',
      color: 'primary',
      autoGrow: true,
      rows: 2,
    },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VAutocomplete: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VSwitch: { density: 'compact', hideDetails: true, color: 'primary', inset: true },
    VCheckbox: { density: 'compact', hideDetails: true, color: 'primary' },
    VDialog: { maxWidth: 560 },
    VSnackbar: { timeout: 6000, location: 'bottom', color: 'secondary' },
  },
})
