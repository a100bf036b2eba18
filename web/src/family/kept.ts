import { type Publication } from '@esfuerzo/core/publication'
import { type Result } from '@esfuerzo/core/run'
import * as z from 'zod/mini'
import { deviceStore } from '../shared/device/deviceStore.ts'
import { keptAmong, keptAs } from '../shared/keptAs.ts'

/** A session kept on this device, to run offline. */
export interface KeptSession {
  token: string
  sha256: string
  title: string
  endsAt: string
  publication: Publication
  /** Of the class the link is for. */
  grades?: number[] | undefined
  codes?: boolean | undefined
  keptUntil?: string | undefined
  /** When it was last opened, in milliseconds. */
  openedAt: number
}

/** What a child did last time on this device. */
export interface LastTime {
  finishedAt: string
  results: Result[]
}

const sessionShape = z.looseObject({
  token: z.string(),
  sha256: z.string(),
  title: z.string(),
  endsAt: z.string(),
  publication: z.looseObject({ lanes: z.array(z.looseObject({ id: z.string() })), sections: z.array(z.unknown()) }),
  openedAt: z.number(),
})
const timeShape = z.looseObject({ finishedAt: z.string(), results: z.array(z.looseObject({ value: z.number() })) })

const sessions = deviceStore('sessions')
const lastTimes = deviceStore('lastTimes')

/** A device without storage still runs the session, whenever its store fails. */
const tolerant = async <T>(work: () => Promise<T>): Promise<T | undefined> => {
  try {
    return await work()
  } catch {
    return undefined
  }
}

/** Keeps a session on the device, to run offline. */
export const keepSession = async (session: KeptSession): Promise<void> =>
  void (await tolerant(() => sessions.set(session.token, session)))

/** The session of a link on this device; undefined if it is not kept. */
export const keptSession = (token: string): Promise<KeptSession | undefined> =>
  tolerant(() => sessions.get(token)).then((found) => keptAs(sessionShape, found))

/** Every session kept here, the last opened first. */
export async function keptSessions(): Promise<KeptSession[]> {
  const all = (await tolerant(() => sessions.entries())) ?? []
  return keptAmong<KeptSession>(sessionShape, all).sort((a, b) => b.openedAt - a.openedAt)
}

/** Each child has its own: nobody sees another's. */
const timeKey = (title: string, lane: string, pupil: string | undefined) =>
  [title, lane, ...(pupil ? [pupil] : [])].join('|')

/** What was done last time in a session of that title and lane, on this device. @param pupil the child's, if it has a code */
export const lastTime = (title: string, lane: string, pupil?: string): Promise<LastTime | undefined> =>
  tolerant(() => lastTimes.get(timeKey(title, lane, pupil))).then((found) => keptAs(timeShape, found))

export const keepTime = async (title: string, lane: string, time: LastTime, pupil?: string): Promise<void> =>
  void (await tolerant(() => lastTimes.set(timeKey(title, lane, pupil), time)))
