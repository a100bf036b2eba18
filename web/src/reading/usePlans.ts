import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { ProblemError, type Problem } from '@esfuerzo/core'
import type { ReadPlan } from '@esfuerzo/plans'
import { readPlanFile } from '../workers/plans.ts'

/** A session in an imported plan: its text, and the session made from it. */
export interface PlanSession {
  key: string
  text: string
  /** The session it became. */
  made?: { id: string; title: string }
}

/** A dropped file, and the result of reading it. */
export interface PlanFile {
  key: string
  name: string
  state: 'reading' | 'read' | 'refused'
  sessions: readonly PlanSession[]
  /** Why nothing was read. */
  problems: readonly Problem[]
  /** The other contents of the file. */
  left: Pick<ReadPlan, 'pictures' | 'repeated' | 'cut'>
}

const nothing = { pictures: [], repeated: [], cut: false }
let count = 0

/** Imported plans stay, in order, until they are taken or discarded, or the page is closed. */
export const usePlans = defineStore('plans', () => {
  const files = shallowRef<readonly PlanFile[]>([])
  const change = (key: string, more: Partial<PlanFile>) =>
    (files.value = files.value.map((file) => (file.key === key ? { ...file, ...more } : file)))

  async function readOne(key: string, file: File): Promise<void> {
    try {
      const { texts, ...left } = await readPlanFile(file)
      change(key, { state: 'read', left, sessions: texts.map((text, i) => ({ key: `${key}/${i}`, text })) })
    } catch (error) {
      const problems =
        error instanceof ProblemError ? error.problems : [{ code: 'file-broken' as const, path: [file.name] }]
      change(key, { state: 'refused', problems })
    }
  }

  /** Reads files one after the other. @returns the results */
  async function add(chosen: readonly File[]): Promise<readonly PlanFile[]> {
    const added = chosen.map((file) => ({ key: String(++count), file }))
    files.value = [
      ...files.value,
      ...added.map(({ key, file }): PlanFile => ({
        key,
        name: file.name,
        state: 'reading',
        sessions: [],
        problems: [],
        left: nothing,
      })),
    ]
    for (const { key, file } of added) await readOne(key, file)
    return files.value.filter((file) => added.some(({ key }) => key === file.key))
  }

  /** Records which session was made from one. */
  function made(key: string, session: { id: string; title: string }): void {
    files.value = files.value.map((file) => ({
      ...file,
      sessions: file.sessions.map((one) => (one.key === key ? { ...one, made: session } : one)),
    }))
  }
  /** Puts a file away. */
  const drop = (key: string) => (files.value = files.value.filter((file) => file.key !== key))
  /** The next teacher to sign in has her own plans. */
  const forget = () => (files.value = [])
  return { files, add, made, drop, forget }
})
