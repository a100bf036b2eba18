/** Finds words by key, as vue-i18n's `t` does; of several forms the one for a number. */
export type Words = (key: string, params?: Record<string, unknown>, plural?: number) => string
