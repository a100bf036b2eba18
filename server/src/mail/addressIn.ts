import LinkifyIt from 'linkify-it'
import tlds from 'tlds' with { type: 'json' }

const links = new LinkifyIt({ fuzzyIP: true }).tlds(tlds)

/** Characters that mail programs and browsers read as a dot or a slash (Unicode TS #46 maps the first two to a dot). */
const likeness: readonly [RegExp, string][] = [
  [/[\u3002\uff61\u2024\u00b7]/g, '.'],
  [/[\u2044\u2215\u29f8\u27cb]/g, '/'],
]

/**
 * The first address in a text, however it is written: with or without `https://`, as a bare host, with letters of other widths, with
 * invisible characters in between.
 *
 * @returns the address without those tricks; undefined if there is none
 * @example addressIn('see shop.example.com') // 'shop.example.com'
 * @example addressIn('Jump 3.5 times. Then rest') // undefined
 */
export function addressIn(text: string): string | undefined {
  const unseen = text.normalize('NFKC').replace(/\p{Cf}|\p{Mn}/gu, '')
  const plain = likeness.reduce((rest, [sign, meant]) => rest.replace(sign, meant), unseen)
  const scheme = /(?:[a-z][a-z0-9+.-]*:)?\/\/\S+|\bwww\.\S+/i.exec(plain)?.[0]
  return scheme ?? links.match(plain)?.[0]?.raw
}
