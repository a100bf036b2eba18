export const roles = ['brief', 'warmUp', 'skill', 'main', 'game', 'coolDown', 'challenge', 'test'] as const
export type Role = (typeof roles)[number]
