import type { Figure } from '../../figure/schema.ts'
import { cleanText } from '../../base/text.ts'
import type { Move } from '../../terms/move.ts'
import type { OwnMove } from '../../terms/ownMove.ts'
import { plainName } from '../names.ts'

/** The one version of a move that is only known by its name. */
const asWritten = 'as-written'

/** Whether a move is only known by its name: nobody has said yet what it is. */
export const isProvisional = (move: Pick<Move, 'standard'>): boolean => move.standard === asWritten

/** A version of which only the name is known. */
export const versionByName = (id: string, name: string): Move['versions'][number] => ({
  id,
  name,
  how: 'As your teacher shows it',
  fromGrade: 0,
  secondsPerRep: 2.5,
  secondsPerMetre: 0.4,
  met: 3.8,
  impact: 0,
})

/** Stands still until somebody draws it. */
const standing: Figure['poses'] = [{ torso: 180, armR: [0, 0], armL: [0, 0], legR: [0, 0], legL: [0, 0] }]

/** @returns the id a name has, the same wherever it is written; undefined where nothing of it can be in an id */
export function provisionalId(name: string): string | undefined {
  const slug = plainName(name)
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40)
    .replace(/-$/, '')
  return slug ? `own-${slug}` : undefined
}

/**
 * A move that nobody knows yet, under the name it was written with: standing, 2.5 s a rep and 0.4 s a metre (ours), until its teacher says more.
 *
 * @param eachSide it was said to be done on each side
 * @example provisionalMove('Penguin taps')?.move.id // 'own-penguin-tap'
 */
export function provisionalMove(written: string, eachSide = false): OwnMove | undefined {
  const id = provisionalId(written)
  // Without the marks that mean something in a text.
  const clean = cleanText(written, 'line')
    .replace(/["“”[\];:|#>]/g, ' ')
    .replace(/\sor\s/gi, ' / ')
    .replace(/\s+/g, ' ')
    .trim()
  if (!id || !clean) return undefined
  return moveByName(id, clean[0]!.toUpperCase() + clean.slice(1), eachSide)
}

/**
 * A move of which only the name is known.
 *
 * @param id begins with `own-`
 * @param eachSide it was said to be done on each side
 */
export function moveByName(id: string, name: string, eachSide = false): OwnMove {
  const move: Move = {
    id,
    name,
    synonyms: [],
    family: 'travel',
    category: 'bodyAwareness',
    builds: ['coordination'],
    muscles: { main: [], also: [] },
    posture: 'standing',
    sides: eachSide ? 'each' : 'both',
    measures: ['reps', 'seconds', 'metres', 'breaths', 'goes'],
    space: 'spot',
    noise: 'quiet',
    kit: [],
    effort: 'ours',
    versions: [versionByName(asWritten, name)],
    standard: asWritten,
    cues: ['As your teacher shows it'],
    faults: [],
    cautions: [],
    figure: id,
  }
  return { move, figures: [{ id, view: 'side', poses: standing }] }
}
