/** Finds words by key, like vue-i18n's `t`. */
export type Words = (key: string, params?: Record<string, unknown>) => string
