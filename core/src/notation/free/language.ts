/**
 * Words that stand in any text of a language and mean nothing in English: articles, "with", "for", "and". Closed lists (common
 * knowledge, no source).
 */
const functionWords = new Map(
  Object.entries({
    de: 'der die das und mit für jede jeder ein eine einen den dem auf bei zum zur nicht im ist oder je sind danach',
    es: 'el los las una con para cada y del por al en su sus que se más lo sin entre después',
    fr: 'le les des une avec pour et chaque du au aux dans sur vos votre puis sans entre est ou',
    it: 'il gli della delle con per ogni e di una nel sul poi sono dopo tra',
    pt: 'os uma com para cada e do da dos das no na em sem depois entre ou são',
  }).map(([language, words]) => [language, new Set(words.split(' '))] as const),
)
const english = new Set(
  'the and with for each of to on in your then from at or is are it as no this that rest round rounds set sets sec secs seconds min mins minutes'.split(
    ' ',
  ),
)

/**
 * The language of a text that is not English, where its small words say so.
 *
 * @returns an ISO 639-1 code; undefined for English, and where nobody can tell
 * @example languageIn('3 vueltas con descanso de 30 s entre cada una, para los de 1º y 2º') // 'es'
 */
export function languageIn(text: string): string | undefined {
  const words = text.toLowerCase().match(/\p{L}+/gu) ?? []
  const foreign = words.filter((word) => !english.has(word))
  const [best] = [...functionWords]
    .map(([language, list]) => {
      const theirs = foreign.filter((word) => list.has(word))
      return { language, n: theirs.length, kinds: new Set(theirs).size }
    })
    .sort((a, b) => b.n - a.n)
  const ours = words.length - foreign.length
  return best && best.kinds >= 3 && best.n >= 4 && best.n > 2 * ours ? best.language : undefined
}
