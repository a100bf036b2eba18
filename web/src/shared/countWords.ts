/** Finds words by key and number, as vue-i18n's `t` does. */
export type CountWords = (key: string, params: Record<string, unknown>, n: number) => string
