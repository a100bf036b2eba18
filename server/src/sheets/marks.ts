/** Symbols that our fonts lack, as drawings: they print sharp at any size. */
const svg = (size: number, inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 20 20">${inside}</svg>`

/** An empty box to tick or write in. */
export const boxMark = (size: number): string =>
  svg(size, '<rect x="1" y="1" width="18" height="18" fill="#FFFFFF" stroke="#1D2B2A" stroke-width="1.4"/>')

/** One of five faces, from very easy to very hard: the mouth turns down. */
export function faceMark(level: 1 | 2 | 3 | 4 | 5, size: number): string {
  const bend = (3 - level) * 2.4
  return svg(
    size,
    `<circle cx="10" cy="10" r="9" fill="#FFFFFF" stroke="#1D2B2A" stroke-width="1.2"/><circle cx="6.8" cy="8" r="1.1" fill="#1D2B2A"/><circle cx="13.2" cy="8" r="1.1" fill="#1D2B2A"/><path d="M5.6 13 Q10 ${13 + bend} 14.4 13" fill="none" stroke="#1D2B2A" stroke-width="1.3"/>`,
  )
}

/** The signs of our cards, drawn by us: they differ by shape and filling, not by color. */
const signs: Record<string, string> = {
  clubs:
    '<path d="M10 3 A4 4 0 0 1 13.4 9 A4 4 0 1 1 11 14.6 L11.6 18 L8.4 18 L9 14.6 A4 4 0 1 1 6.6 9 A4 4 0 0 1 10 3 Z" fill="#1D2B2A"/>',
  diamonds: '<path d="M10 2 L16 10 L10 18 L4 10 Z" fill="#FFFFFF" stroke="#1D2B2A" stroke-width="1.6"/>',
  hearts:
    '<path d="M10 17 C3 12 2 8 4.4 5.4 C6.6 3.2 9.2 4.4 10 6.6 C10.8 4.4 13.4 3.2 15.6 5.4 C18 8 17 12 10 17 Z" fill="#FFFFFF" stroke="#1D2B2A" stroke-width="1.6"/>',
  spades:
    '<path d="M10 2 C14 7 17 9.5 16.6 12.6 C16.2 15.6 12.8 16 11 13.8 L11.8 18 L8.2 18 L9 13.8 C7.2 16 3.8 15.6 3.4 12.6 C3 9.5 6 7 10 2 Z" fill="#1D2B2A"/>',
}
export const signMark = (face: string, size: number): string => svg(size, signs[face] ?? '')
