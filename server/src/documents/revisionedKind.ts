import type { Knex } from 'knex'
import type { DocumentKind } from '@esfuerzo/core'

/** What every table of revisioned documents has, besides its own columns. */
export interface RevisionedRow {
  id: string
  teacher_id: string
  title: string
  revision: number
  document: unknown
  updated_at: Date
  removed_at: Date | null
}

/** A kind of document that a teacher saves by revision, with its history and a trash. */
export interface RevisionedKind<D> {
  table: 'workouts' | 'terms'
  /** The table of its revisions, and the column that names the document. */
  revisions: { table: 'workout_versions' | 'term_versions'; of: string }
  document: DocumentKind<D>
  /** Its own columns, made from the document at each save. */
  columns: (document: D) => { title: string } & Record<string, Knex.Value>
}
