/** Children who can show an exercise: they differ in hair and build. */
export const children = ['crop', 'tail', 'curls'] as const
export type Child = (typeof children)[number]

/** The limbs of a figure, and the things it can stand next to or carry. */
export const limbNames = ['armR', 'armL', 'legR', 'legL'] as const
export type LimbName = (typeof limbNames)[number]
export const placedKinds = [
  'chair',
  'chairBack',
  'cushion',
  'wall',
  'desk',
  'step',
  'mat',
  'line',
  'hoop',
  'target',
  'tape',
  'matAbove',
  'marker',
  'square',
  'vee',
  'number',
  'ahead',
  'toAndFro',
] as const
/** Another person: face to face, or a step ahead or behind. */
export const companyKinds = ['partner', 'follower'] as const
export const carriedKinds = [
  'bottle',
  'bag',
  'band',
  'ball',
  'stick',
  'scarf',
  'sock',
  'cup',
  'book',
  'breath',
  'turns',
  'spoon',
  'rope',
] as const
