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
 * A log of permanent deletions, kept beside the database: after restoring a backup they are repeated, so that deleted people stay deleted.
 * One line per deletion.
 */
export interface Deletions {
  /** Called once it is deleted, before the response. */
  note: (deletion: Omit<Deletion, 'at'>) => Promise<void>
}

/** @param file created with the first deletion */
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
 * Every deletion in a file; none if the file does not exist. An invalid line is skipped and reported; the others are still repeated. A last
 * line cut short by a power cut is not an error.
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
