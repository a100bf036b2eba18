import { limits, type LimitId } from './limits.ts'
import type { RuleId } from './rule.ts'

/** Which limits each rule applies. A rule that is not listed has none: it looks for something, not for too much of it. */
export const limitsOf: Partial<Record<RuleId, readonly LimitId[]>> = {
  'no-warm-up': ['warmUpLeast'],
  'short-warm-up': ['warmUpLeast', 'warmUpMost', 'warmUpShare'],
  'hard-start': ['firstMinute', 'hardImpact'],
  'no-cool-down': ['coolDownLeast', 'vigorousEnd'],
  'straight-down': ['downWithin', 'downAfter'],
  'well-under-minutes': ['underNote', 'underLook'],
  'lanes-apart': ['apartClock', 'apartCounted', 'apartCountedShare'],
  'long-talk': ['talk'],
  'no-water': ['drinkWithin', 'drinkWithinOutdoors', 'drinkPause'],
  'no-counter-shape': ['counterFrom'],
  'not-warmed': ['muscleWorked'],
  'worked-not-stretched': ['muscleWorked'],
  'mostly-still': ['activeShare'],
  'new-moves': ['newMoves'],
  'long-for-young': ['youngWork'],
  'aim-absent': ['aimEndurance', 'aimStrength', 'aimStretches', 'aimBalance', 'moderateMet'],
  'work-too-long': ['workByClock', 'hardMet'],
  'work-rest-ratio': ['workToRest', 'ratioFrom', 'ratioTolerance', 'restUnderMet', 'sprintWork', 'sprintBlock'],
  'vigorous-minutes': ['withoutRelief', 'relief'],
  'loaded-sets': ['loadedSets'],
  'loaded-reps': ['loadedLeast', 'loadedMost'],
  'power-reps': ['powerReps'],
  'hold-policy': ['holdFrom', 'holdMost'],
  'long-hold': ['longHold'],
  'sides-unequal': ['sidesApart'],
  landings: ['landings', 'fullLanding'],
  'hard-landings': ['hardLandings'],
  wrists: ['onTheHands'],
  'jumps-in-a-row': ['jumpsInARow'],
  'big-step-up': ['stepUp'],
  'rest-too-short': ['changeUncovered'],
  'things-to-fetch': ['fetch'],
  'things-to-write': ['write'],
  'small-things': ['young'],
  'young-load': ['youngLoadLook', 'youngLoadStop'],
  'overhead-load': ['overheadFree'],
  'no-easier': ['easierFrom'],
  'load-too-heavy': ['handLoad', 'bagLoad'],
  'loaded-round-twist': ['twistLoad'],
  'too-many-words': ['ownWords'],
  'measured-cold': ['warmBeforeTest'],
  'one-sided': ['oneSided'],
}

/**
 * The sources of a rule's numbers, each once; our own limits are not listed.
 *
 * @example sourcesOf('things-to-fetch') // []
 */
export const sourcesOf = (rule: RuleId): string[] => {
  // The words about the source, without the part about our number.
  const sources = (limitsOf[rule] ?? []).map(
    (id) => limits[id].source.split(/[;:,] (?:the weight|by grade|shortened|for jumps)|, ours/)[0]!,
  )
  const named = [...new Set(sources)].filter((source) => !/^(?:ours\b|common practice)/.test(source))
  // A source is listed once, with its longest description.
  const paper = (source: string) => source.split(/[:,(]/)[0]!.trim()
  return named.filter((source, i) => named.findIndex((other) => paper(other) === paper(source)) === i)
}
