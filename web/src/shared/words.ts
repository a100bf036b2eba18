/** Finds words by key, as vue-i18n's `t` does. */
export type Words = (key: string, params?: Record<string, unknown>) => string
