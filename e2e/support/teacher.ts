import { basename } from 'node:path'

/** The demo's password, which every journey's teacher has too. */
export const password = 'ferry-on-monday'

/** The teacher of a file of journeys: other files' journeys do not see hers. */
export const teacherOf = (file: string): string => `${basename(file, '.spec.ts')}@journeys.example`
