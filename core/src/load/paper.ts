/** Sides of a sheet, in millimeters (ISO 216:2007, table 1: A and B series). */
export const sheets = {
  A3: [297, 420],
  A4: [210, 297],
  A5: [148, 210],
  A6: [105, 148],
  B5: [176, 250],
} as const
export type Sheet = keyof typeof sheets

/** Paper weight of a book, in grams per square meter (common practice, no source). */
export const papers = { school: 80, novel: 60, picture: 150 } as const
export type Paper = keyof typeof papers

/** Weight of a book's two covers, in grams per square meter of board (ours). */
const coverGrammage = { soft: 250, hard: 1300 } as const
export type Cover = keyof typeof coverGrammage

export interface Book {
  sheet: Sheet
  /** Numbered pages; a leaf has two. */
  pages: number
  paper: Paper
  cover: Cover
}

/**
 * The weight of a book, in kilograms: leaves × area × paper weight, plus two covers.
 *
 * @example bookKg({ sheet: 'A4', pages: 200, paper: 'school', cover: 'soft' }) // 0.53
 */
export function bookKg({ sheet, pages, paper, cover }: Book): number {
  const [width, height] = sheets[sheet]
  const area = (width * height) / 1e6
  const grams = (pages / 2) * area * papers[paper] + 2 * area * coverGrammage[cover]
  return Math.round(grams / 10) / 100
}
