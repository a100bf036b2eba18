/** Whose work this page keeps: the id of the signed-in teacher; undefined until known. */
let owner: string | undefined
let isOver = false

/** @param teacherId undefined after signing out: nothing is stored until somebody signs in */
export function setOwner(teacherId: string | undefined): void {
  owner = teacherId
  isOver = teacherId === undefined
}

export const ownerNow = (): string | undefined => owner

/** Whether a teacher's work may be stored: what a page writes while she signs out would be left behind. */
export const mayKeep = (): boolean => !isOver

/** Whether stored data belongs to the signed-in teacher. Data of an earlier release names nobody and belongs to whoever finds it. */
export const isOwners = (kept: { owner?: string | undefined }): boolean =>
  kept.owner === undefined || owner === undefined || kept.owner === owner
