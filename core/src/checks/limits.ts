import { moderateMet, vigorousMet } from '../terms/effort.ts'

/** Grades in the three usual bands: K–1, 2–3, 4–6. */
export type Band = 0 | 1 | 2

/** The band of a lane: that of its lowest grade. @example bandOf([2, 3]) // 1 */
export const bandOf = (grades: readonly number[]): Band => {
  const lowest = Math.min(...grades)
  return lowest < 2 ? 0 : lowest < 4 ? 1 : 2
}

/** The limits of a check: a number for each band, its unit, and its source. */
export interface Limit {
  value: readonly [number, number, number]
  unit: string
  source: string
}

const same = (n: number): [number, number, number] => [n, n, n]
const ours = 'ours'

/** Every limit of every rule, defined once. Limits include their end value. */
export const limits = {
  /** Seconds of moving before the first hard work: an eighth of the session, within these bounds. */
  warmUpLeast: {
    value: same(90),
    unit: 's',
    source: 'Faigenbaum et al. 2009 (5–10 min before strength work), shortened: ours',
  },
  warmUpMost: { value: same(180), unit: 's', source: 'Faigenbaum et al. 2009, shortened: ours' },
  warmUpShare: { value: same(1 / 8), unit: 'of the session', source: ours },
  /** A shorter session needs no warm-up, unless it jumps or sprints at full effort. */
  warmUpFrom: { value: same(600), unit: 's', source: ours },
  /** Work is hard from this value on. */
  hardMet: {
    value: same(vigorousMet),
    unit: 'MET',
    source: 'Trost et al. 2011, Med Sci Sports Exerc 43:1360; Butte et al. 2018 (youth, from memory)',
  },
  /** Weight of a landing from which work is hard in any case; the schema’s scale, 1 a full-effort jump. */
  hardImpact: { value: same(0.75), unit: 'of a full-effort landing', source: ours },
  /** A landing of this weight or more is a full one: low bounces, jacks and skipping are not counted. */
  fullLanding: { value: same(0.5), unit: 'of a full-effort landing', source: ours },
  /** Calm work needs no easier way: a child who finds it too hard does less of it. */
  easierFrom: { value: same(4.5), unit: 'MET', source: ours },
  /** Vigorous work that ends this close to the end needs a cool-down. */
  vigorousEnd: { value: same(180), unit: 's', source: ours },
  coolDownLeast: { value: same(60), unit: 's', source: 'common practice, no source' },
  talk: { value: [45, 60, 90], unit: 's', source: 'common practice, no source' },
  drinkWithin: {
    value: same(1200),
    unit: 's',
    source: 'AAP 2011, Pediatrics 128:e741 (from memory): every 20 min in heat',
  },
  drinkWithinOutdoors: { value: same(900), unit: 's', source: 'AAP 2011 (from memory), shortened outdoors: ours' },
  drinkPause: { value: same(20), unit: 's', source: ours },
  /** Share of the minutes a session takes. */
  underNote: { value: same(0.8), unit: 'of the minutes', source: ours },
  underLook: { value: same(0.65), unit: 'of the minutes', source: ours },
  apartClock: { value: same(15), unit: 's', source: ours },
  apartCounted: { value: same(60), unit: 's', source: ours },
  apartCountedShare: { value: same(0.05), unit: 'of the lane', source: ours },
  landings: {
    value: [60, 80, 100],
    unit: 'landings',
    source: 'Johnson et al. 2011, J Strength Cond Res 25:2623 (from memory); by grade: ours',
  },
  hardLandings: {
    value: [20, 40, 60],
    unit: 'landings',
    source: 'Johnson et al. 2011 (from memory); by grade: ours',
  },
  longHold: { value: [20, 30, 60], unit: 's', source: 'common practice, no source' },
  onTheHands: { value: [60, 60, 90], unit: 's', source: ours },
  youngWork: { value: same(900), unit: 's', source: ours },
  youngLoadLook: {
    value: same(0.3),
    unit: 'kg',
    source: 'Faigenbaum et al. 2009: from about 7 or 8, if ready (from memory); the weight: ours',
  },
  youngLoadStop: { value: same(1), unit: 'kg', source: 'Faigenbaum et al. 2009 (from memory); the weight: ours' },
  fetch: { value: [2, 3, 3], unit: 'things', source: ours },
  firstMinute: { value: same(60), unit: 's', source: 'common practice, no source' },
  /** Time after hard work in which nobody lies, sits still or hangs the head. */
  downWithin: { value: same(15), unit: 's', source: ours },
  downAfter: { value: same(60), unit: 's of hard work', source: ours },
  counterFrom: { value: same(60), unit: 's', source: 'common practice, no source' },
  /** A muscle counts as worked from this value on. */
  muscleWorked: { value: same(90), unit: 's', source: ours },
  activeShare: {
    value: same(0.5),
    unit: 'of the session',
    source: 'afPE 2015 (from memory): 50–80 % of lesson time moving',
  },
  newMoves: { value: [2, 3, 3], unit: 'moves', source: ours },
  aimEndurance: { value: same(240), unit: 's', source: ours },
  aimStrength: { value: same(60), unit: 's', source: 'two sets, ours' },
  aimStretches: { value: same(3), unit: 'stretches', source: ours },
  aimBalance: { value: same(60), unit: 's', source: ours },
  /** Work counts as moderate from this value on, for the aim. */
  moderateMet: {
    value: same(moderateMet),
    unit: 'MET',
    source: 'Trost et al. 2011, Med Sci Sports Exerc 43:1360; Butte et al. 2018 (youth, from memory)',
  },
  workByClock: { value: [30, 40, 60], unit: 's', source: 'common practice, no source: attention and form' },
  /** Work per rest, over neighboring hard stations. */
  workToRest: { value: [1, 1.5, 2], unit: 'to 1', source: 'common practice, no source' },
  ratioFrom: { value: same(120), unit: 's', source: ours },
  sprintWork: { value: same(20), unit: 's', source: 'Tabata et al. 1996: 20/10, up to four minutes' },
  sprintBlock: { value: same(240), unit: 's', source: 'Tabata et al. 1996' },
  ratioTolerance: { value: same(0.1), unit: 'of the ratio', source: ours },
  restUnderMet: { value: same(4), unit: 'MET', source: ours },
  withoutRelief: { value: [180, 240, 360], unit: 's', source: ours },
  relief: { value: same(30), unit: 's', source: ours },
  loadedSets: { value: same(3), unit: 'sets', source: 'Faigenbaum et al. 2009: 1–3 sets (from memory)' },
  loadedLeast: { value: same(6), unit: 'reps', source: 'Faigenbaum et al. 2009: 6–15 reps (from memory)' },
  loadedMost: { value: same(15), unit: 'reps', source: 'Faigenbaum et al. 2009: 6–15 reps (from memory)' },
  powerReps: {
    value: same(6),
    unit: 'reps',
    source: 'Faigenbaum et al. 2009: 3–6 for loaded power; for jumps at full effort: ours',
  },
  holdFrom: { value: same(10), unit: 's', source: 'Garber et al. 2011 (ACSM, adults): 10–30 s' },
  holdMost: { value: same(30), unit: 's', source: 'Garber et al. 2011 (ACSM, adults): 10–30 s' },
  sidesApart: { value: same(10), unit: 's', source: ours },
  jumpsInARow: { value: same(2), unit: 'stations', source: ours },
  stepUp: { value: same(4 / 3), unit: 'of last time', source: ours },
  /** Seconds of getting into position that no rest covers in a timed block. */
  changeUncovered: { value: same(2), unit: 's', source: ours },
  write: { value: [1, 2, 3], unit: 'results', source: ours },
  overheadFree: { value: same(0.5), unit: 'kg', source: ours },
  handLoad: { value: [0.5, 1, 2], unit: 'kg', source: 'ours, to begin with' },
  bagLoad: { value: [1, 2.5, 3.5], unit: 'kg', source: 'ours, to begin with' },
  twistLoad: { value: same(1), unit: 'kg', source: ours },
  ownWords: { value: [60, 150, 300], unit: 'words', source: ours },
  oneSided: { value: same(0.6), unit: 'of the work', source: ours },
  warmBeforeTest: { value: same(60), unit: 's', source: 'common practice, no source' },
  young: { value: same(2), unit: 'grade', source: 'EN 71-1 and US 16 CFR 1500.19 (from memory): under eight years' },
} satisfies Record<string, Limit>
export type LimitId = keyof typeof limits

/** A limit for a band. @example limit('talk', 1) // 60 */
export const limit = (id: LimitId, band: Band): number => limits[id].value[band]
