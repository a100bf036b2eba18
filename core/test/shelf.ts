import { readdirSync, readFileSync } from 'node:fs'
import type { Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import type { Library } from '../src/library/library.ts'

/** A session a teacher would recommend, and why it is good. */
export interface ShelfSession {
  file: string
  why: string
  session: Session
}

const folder = new URL('./shelf/', import.meta.url)

/** The shelf: forty sessions of our own, ten each for K–1, 2–3, 4–6 and mixed classes; the first line of each says why it is good. */
export const shelf = (library: Library): ShelfSession[] =>
  readdirSync(folder)
    .sort()
    .map((file) => {
      const [first = '', ...rest] = readFileSync(new URL(file, folder), 'utf8').split('\n')
      const { workout: session, problems } = parse(rest.join('\n'), library)
      if (problems.length) throw new Error(`${file}: ${JSON.stringify(problems)}`)
      // What a text does not say: these homes have a soft ball.
      return {
        file,
        why: first.replace(/^Why: /, ''),
        session: { ...session, home: { ...session.home, kit: ['soft-ball'] } },
      }
    })
