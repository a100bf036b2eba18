import type { Knex } from 'knex'
import { deleteClass, removeClass, restoreClass } from '../classes/store.ts'
import { deleteForGood } from '../sessions/store.ts'
import { deletePupil, isRefusal, removePupil, restorePupil } from '../pupils/store.ts'
import { deleteTeacher } from '../accounts/store.ts'
import { removeOriginal } from '../originals/store.ts'
import { removeOwnMove } from '../moves/store.ts'
import { removePart } from '../shelf/store.ts'
import { removeRun, removeRuns } from '../runs/store.ts'
import type { Deletion } from '../deletions/deletions.ts'

/** How each kind is deleted. */
const repeat: Record<Deletion['what'], (db: Knex, teacher: string, id: string, at: Date) => Promise<boolean>> = {
  account: deleteTeacher,
  session: deleteForGood,
  class: deleteClass,
  // What was in the trash is there again, for the time it has left.
  'class-removed': removeClass,
  'class-back': async (db, teacher, id) => (await restoreClass(db, teacher, id)) !== undefined,
  pupil: deletePupil,
  'pupil-removed': removePupil,
  'pupil-back': async (db, teacher, id) => {
    const back = await restorePupil(db, teacher, id)
    return back !== undefined && !isRefusal(back)
  },
  part: removePart,
  move: removeOwnMove,
  run: (db, teacher, id) => removeRun(db, teacher, ...(id.split('/') as [string, string])),
  runs: removeRuns,
  original: removeOriginal,
}

/**
 * Repeats earlier permanent deletions. One that fails does not stop the others.
 *
 * @returns how many rows were there again, and the deletions that failed
 */
export async function repeatDeletions(
  db: Knex,
  deletions: readonly Deletion[],
): Promise<{ again: number; failed: { deletion: Deletion; error: unknown }[] }> {
  let again = 0
  const failed: { deletion: Deletion; error: unknown }[] = []
  for (const deletion of deletions)
    try {
      const { what, teacher, id, at } = deletion
      if (await repeat[what](db, teacher, id, new Date(at))) again++
    } catch (error) {
      failed.push({ deletion, error })
    }
  return { again, failed }
}
