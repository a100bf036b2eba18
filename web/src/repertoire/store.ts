import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { movesFile, readMoves, type OwnMove, type Problem } from '@esfuerzo/core'
import { callCode, type CallError, type UsedMove } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { library, takeOwnMoves } from './library.ts'

/** The teacher's own exercises, and those she used lately. */
export const useRepertoire = defineStore('repertoire', () => {
  const own = shallowRef<readonly OwnMove[]>([])
  /** The latest revision of each that this page has seen. */
  let revisions: Readonly<Record<string, number>> = {}
  const used = shallowRef<readonly UsedMove[]>([])
  const error = shallowRef<CallError['code']>()
  const loaded = shallowRef(false)
  /** The last removed exercise, until something else happens to it. */
  const removed = shallowRef<OwnMove>()
  const lately = computed(() => new Map(used.value.map(({ move, last }) => [move, last])))

  function take(moves: readonly OwnMove[]): void {
    own.value = moves
    takeOwnMoves('collection', moves)
  }

  /** If they cannot be loaded, everything works with the library's exercises. */
  async function load(): Promise<void> {
    error.value = undefined
    try {
      const [answered, answer] = await Promise.all([client('listOwnMoves', {}), client('usedMoves', {})])
      take(answered.moves)
      revisions = answered.revisions ?? {}
      used.value = answer.used
      loaded.value = true
    } catch (thrown) {
      error.value = callCode(thrown)
    }
  }

  /** @throws {CallError} naming each mistake, `conflict` if another page has saved one since; then nothing changes */
  async function keep(moves: readonly OwnMove[]): Promise<void> {
    const known = moves.flatMap(({ move: { id } }) => (id in revisions ? [`${id}:${revisions[id]}`] : []))
    const query = known.length ? { over: known.join() } : {}
    const answered = await client('keepOwnMoves', { query, body: movesFile(moves) })
    take(answered.moves)
    revisions = answered.revisions ?? {}
  }

  /** Removes an exercise from the collection; it can be restored. Sessions keep it. @throws {CallError} */
  async function remove(gone: OwnMove): Promise<void> {
    await client('removeOwnMove', { params: { id: gone.move.id } })
    take(own.value.filter((m) => m.move.id !== gone.move.id))
    removed.value = gone
  }

  /** @throws {CallError} */
  async function putBack(): Promise<void> {
    if (removed.value) await keep([removed.value])
    removed.value = undefined
  }

  /**
   * Imports a file of exercises.
   *
   * @returns what had to be corrected in its figures
   * @throws {ProblemError | CallError | SyntaxError} naming each mistake; then nothing is imported
   */
  async function takeFile(text: string): Promise<Problem[]> {
    const { moves, clamped } = readMoves(JSON.parse(text), library)
    await keep(moves)
    return clamped
  }

  /** Somebody else signs in. */
  function forget(): void {
    take([])
    revisions = {}
    used.value = []
    loaded.value = false
  }

  return { own, used, lately, error, loaded, removed, load, keep, remove, putBack, takeFile, forget }
})
