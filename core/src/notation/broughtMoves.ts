import { cleanText } from '../base/text.ts'
import { limits } from '../base/limits.ts'
import type { Library } from '../library/library.ts'
import type { OwnMove } from '../terms/ownMove.ts'
import { moveByName, provisionalId, versionByName } from './free/ownMove.ts'
import { namedAs, noReadings, type Readings } from './free/understandName.ts'
import { nameKey, plainName, type Named } from './names.ts'

/** The exercises a text brings: quoted names that the library doesn't know, each under one id. */
export class BroughtMoves {
  readonly #library: Library
  readonly #readings: Readings
  readonly #byName = new Map<string, OwnMove>()

  /** @param readings what names mean, as their teacher said */
  constructor(library: Library, readings: Readings = noReadings) {
    this.#library = library
    this.#readings = readings
  }

  get moves(): OwnMove[] {
    return [...this.#byName.values()]
  }

  /**
   * The move that a name in quotes refers to.
   *
   * @param written as it was typed
   * @returns undefined if nothing is left of it, the teacher said that it is not an exercise, or the text has added as many as a session
   *   may have
   */
  named(written: string): Named | undefined {
    const name = clean(written)
    const told = this.#readings.get(plainName(name))
    if (told === 'note') return undefined
    const said = namedAs(told, this.#library)
    if (said) return said
    const before = this.#byName.get(nameKey(name))
    if (before) return { move: before.move }
    if (!name || this.#byName.size >= limits.ownMoves) return undefined
    const made = moveByName(this.#freeId(name), name)
    this.#byName.set(nameKey(name), made)
    return { move: made.move }
  }

  /** The version of a brought exercise that a later lap names; undefined if the exercise is known. */
  version(moveId: string, written: string): string | undefined {
    const name = clean(written)
    for (const [key, { move, figures }] of this.#byName) {
      if (move.id !== moveId) continue
      const known = move.versions.find((v) => v.name === name)
      if (known) return known.id
      if (!name || move.versions.length >= mostVersions) return undefined
      const id = `as-written-${move.versions.length + 1}`
      this.#byName.set(key, {
        move: { ...move, versions: [...move.versions, versionByName(id, name)] },
        figures,
      })
      return id
    }
    return undefined
  }

  #freeId(name: string): string {
    const wanted = provisionalId(name) ?? 'own-move'
    const taken = new Set([...this.#library.moves.keys(), ...this.moves.map(({ move }) => move.id)])
    let id = wanted
    for (let n = 2; taken.has(id); n++) id = `${wanted}-${n}`
    return id
  }
}

/** Most versions of an exercise (as in its schema). */
const mostVersions = 5

const clean = (written: string) => cleanText(written, 'line').trim().slice(0, limits.line)
