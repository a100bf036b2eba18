import * as z from 'zod/mini'
import { deviceStore } from '../shared/device/deviceStore.ts'
import { keptAmong } from '../shared/keptAs.ts'

/** A child whose code was entered on this device; a home may have several children. */
export interface KeptPupil {
  alias: string
  /** The key its runs are sent with. */
  key: string
}

const store = deviceStore('pupils')
const shape = z.looseObject({ alias: z.string(), key: z.string() })

/** The part of a pupil's keys that identifies the pupil. */
export const pupilId = ({ key }: KeptPupil): string => key.split('.')[0]!

/** Any failure of a store, as a promise or at once: a device without storage asks again next time. */
async function tolerant<T>(work: () => Promise<T>, instead: T): Promise<T> {
  try {
    return await work()
  } catch {
    return instead
  }
}

/** Children of this device, by alias; none without storage. */
export async function keptPupils(): Promise<KeptPupil[]> {
  const all = await tolerant(() => store.entries(), [])
  return keptAmong<KeptPupil>(shape, all).sort((a, b) => a.alias.localeCompare(b.alias, undefined, { numeric: true }))
}

/** Remembers a child; one whose code was renewed is the same. */
export const keepPupil = (pupil: KeptPupil): Promise<void> =>
  tolerant(() => store.set(pupilId(pupil), { ...pupil }), undefined)

/** Forgets a child: its runs stay. */
export const forgetPupil = (pupil: KeptPupil): Promise<void> => tolerant(() => store.remove(pupilId(pupil)), undefined)
