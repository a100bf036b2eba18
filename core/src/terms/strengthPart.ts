import type { Family } from './move.ts'

/** The part of the body that a family of exercises strengthens; the others are no strength work. */
export const strengthPart: Partial<Record<Family, 'push' | 'pull' | 'legs' | 'core'>> = {
  push: 'push',
  pull: 'pull',
  squat: 'legs',
  lunge: 'legs',
  hinge: 'legs',
  jump: 'legs',
  brace: 'core',
  curl: 'core',
  twist: 'core',
  extend: 'core',
}
