import type { Felt } from './schema.ts'

/** Which effort scale a group gets: faces up to grade 2, 0–10 from grade 3 (Foster et al. 2001 used 0–10). */
export const feltScale = (grades: readonly number[]): Felt['scale'] => (Math.min(...grades) <= 2 ? 'faces' : 'ten')
