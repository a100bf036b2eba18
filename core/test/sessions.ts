import { indexLibrary, newSession, type Block, type Cell, type PerGroup, type Step, type Session } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

export const library = indexLibrary(libraryData)

/** One group of the given grades and one section with the given blocks. */
export function sessionOf(blocks: Block[], grades: number[][] = [[4, 5, 6]]): Session {
  const base = newSession('Test', grades, 20, library.version)
  return { ...base, sections: [{ id: 'p1', role: 'main', title: 'Main part', blocks }] }
}

let made = 0
/** A station where everybody does the same. */
export const station = (move: string, version: string, more: Partial<Cell> = {}) => ({
  id: `s${++made}`,
  cells: { all: { move, version, ...more } } as PerGroup<Cell>,
})

/** n stations with a standing exercise that has no sides. */
export const stations = (n: number) => Array.from({ length: n }, () => station('jumping-jack', 'jumping-jack'))

export const typicalSeconds = (steps: readonly Step[]) => steps.reduce((sum, s) => sum + s.seconds.typical, 0)
