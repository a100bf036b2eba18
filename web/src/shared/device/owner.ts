/** Whose work this page keeps: the id of the teacher who is signed in; undefined before anybody is known. */
let owner: string | undefined
let isOver = false

/** @param teacherId undefined where she has signed out: nothing is kept from then on, until somebody signs in */
export function setOwner(teacherId: string | undefined): void {
  owner = teacherId
  isOver = teacherId === undefined
}

export const ownerNow = (): string | undefined => owner

/** Whether a teacher's work may be kept: what a page writes while its teacher signs out would be left behind. */
export const mayKeep = (): boolean => !isOver

/** Whether something kept is hers who is signed in. What a release before kept names nobody: it is hers who finds it. */
export const isOwners = (kept: { owner?: string | undefined }): boolean =>
  kept.owner === undefined || owner === undefined || kept.owner === owner
