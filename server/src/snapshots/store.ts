import type { Knex } from 'knex'
import { ownedBy } from '../rights/rights.ts'
import type { PublishedFacts } from './facts.ts'

/** Stores what lists and results need of a publication, in its transaction. */
export async function addFacts(db: Knex, publicationId: string, facts: PublishedFacts): Promise<void> {
  await db('published_facts')
    .insert({ publication_id: publicationId, ...facts })
    .onConflict('publication_id')
    .ignore()
}

/** The snapshot with a SHA-256; undefined if there is none. */
export async function readSnapshot(db: Knex, sha256: string): Promise<string | undefined> {
  const row = await db<{ sha256: string; body: string }>('snapshots').where({ sha256 }).first('body')
  return row?.body
}

/** The snapshot of a teacher's publication. */
export async function readOwnSnapshot(
  db: Knex,
  teacherId: string,
  id: string,
): Promise<{ body: string; grades: number[] | null } | undefined> {
  return db('publications as p')
    .join('snapshots as s', 's.sha256', 'p.sha256')
    .leftJoin('classes as c', (join) => join.on('c.id', 'p.class_id').onNull('c.removed_at'))
    .modify(ownedBy(teacherId, 'publications', 'p'))
    .where({ 'p.id': id })
    .first('s.body', 'c.grades')
}
