/** Finds words by key and number, like vue-i18n's `t`. */
export type CountWords = (key: string, params: Record<string, unknown>, n: number) => string
