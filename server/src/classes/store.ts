import type { Knex } from 'knex'
import type { SchoolClass } from '@esfuerzo/contract'

interface Row {
  id: string
  teacher_id: string
  name: string
  grades: number[]
}

type ClassFields = Pick<SchoolClass, 'name' | 'grades'>

const classOf = ({ id, name, grades }: Row): SchoolClass => ({ id, name, grades })

/** A teacher has room for so many classes. */
export const classRoom = 60

/** A teacher's classes, in the order in which she made them. */
export async function listClasses(db: Knex, teacherId: string): Promise<SchoolClass[]> {
  const rows = await db<Row>('classes').where({ teacher_id: teacherId }).orderBy(['created_at', 'id'])
  return (rows as Row[]).map(classOf)
}

/** @returns undefined where there is no room for another */
export async function addClass(
  db: Knex,
  teacherId: string,
  id: string,
  { name, grades }: ClassFields,
): Promise<SchoolClass | undefined> {
  const { rows } = await db.raw<{ rows: Row[] }>(
    `insert into classes (id, teacher_id, name, grades)
     select :id, :teacherId, :name, :grades
     where (select count(*) from classes where teacher_id = :teacherId) < :room
     returning *`,
    { id, teacherId, name, grades: grades as never, room: classRoom },
  )
  return rows[0] && classOf(rows[0])
}

/** @returns undefined where it is not hers */
export async function saveClass(
  db: Knex,
  teacherId: string,
  id: string,
  { name, grades }: ClassFields,
): Promise<SchoolClass | undefined> {
  const rows = await db<Row>('classes').where({ teacher_id: teacherId, id }).update({ name, grades }).returning('*')
  return rows[0] && classOf(rows[0] as Row)
}

/** Links that were for it are for all from then on. @returns false where it is not hers */
export const removeClass = async (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  (await db<Row>('classes').where({ teacher_id: teacherId, id }).delete()) > 0

/** Whether a class is a teacher's. */
export const isOwnClass = async (db: Knex, teacherId: string, id: string): Promise<boolean> =>
  (await db<Row>('classes').where({ teacher_id: teacherId, id }).first('id')) !== undefined
