import { appendFile, mkdir, readFile } from 'node:fs/promises'
import { dirname } from 'node:path'
import { z } from 'zod'

const deletionSchema = z.strictObject({
  what: z.enum([
    'account',
    'session',
    'class',
    'class-removed',
    'class-back',
    'pupil',
    'pupil-removed',
    'pupil-back',
    'part',
    'move',
    'run',
    'runs',
    'original',
  ]),
  teacher: z.uuid(),
  /** Id of what was deleted: an account's teacher; a run's link and run, with a slash between them. */
  id: z.string(),
  at: z.iso.datetime(),
})
/** A permanent deletion, a move to the trash, or a restore: ids only. */
export type Deletion = z.infer<typeof deletionSchema>

/**
 * What was deleted for good, kept beside the database: a database that is restored from a backup forgets nobody's wish to be
 * forgotten. A line a deletion.
 */
export interface Deletions {
  /** Called once it is deleted, before the response. */
  note: (deletion: Omit<Deletion, 'at'>) => Promise<void>
}

/** @param file made with the first deletion */
export const openDeletions = (file: string): Deletions => ({
  async note(deletion) {
    await mkdir(dirname(file), { recursive: true })
    await appendFile(file, `${JSON.stringify({ ...deletion, at: new Date().toISOString() })}\n`, { mode: 0o600 })
  },
})

/** The deletions in a file, oldest first, and the numbers of unreadable lines. */
export interface ReadDeletions {
  deletions: Deletion[]
  /** From 1. */
  unread: number[]
}

/**
 * Every deletion of a file; none where there is no file. A line that is none is passed over and named: the others are repeated all the
 * same. One cut short by a power cut at the end is nobody's mistake.
 */
export async function readDeletions(file: string): Promise<ReadDeletions> {
  const text = await readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return ''
    throw error
  })
  const lines = text.split('\n')
  const rest = lines.pop()
  if (rest) lines.push(...(isWhole(rest) ? [rest] : []))
  const deletions: Deletion[] = []
  const unread: number[] = []
  for (const [i, line] of lines.entries()) {
    if (!line) continue
    const parsed = deletionSchema.safeParse(isWhole(line) ? JSON.parse(line) : undefined)
    if (parsed.success) deletions.push(parsed.data)
    else unread.push(i + 1)
  }
  return { deletions, unread }
}

function isWhole(line: string): boolean {
  try {
    JSON.parse(line)
    return true
  } catch {
    return false
  }
}
