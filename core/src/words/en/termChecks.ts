import type { Facts, TermRuleId } from '../../checks/rule.ts'
import type { RuleWords } from './checks.ts'

const parts: Record<string, string> = {
  push: 'pushes',
  pull: 'pulls',
  legs: 'works the legs',
  core: 'works the core',
}
const regions: Record<string, string> = { upper: 'the upper body', core: 'the core', lower: 'the legs' }
const categories: Record<string, string> = {
  bodyAwareness: 'body awareness',
  rangeOfMotion: 'range of motion',
  objectControl: 'object control',
  coordination: 'coordination',
  gamePlay: 'game play',
}
/** Families whose ids are not words. */
const families: Record<string, string> = { throwCatch: 'throw and catch', breathe: 'breathing' }

const tests: Record<string, (f: Facts) => string> = {
  hardBefore: (f) => `Week ${f.week}: the day before the test day is hard.`,
  afterHolidays: (f) => `Week ${f.week}: the test day is in the first week after a break.`,
  tooNear: (f) => `The test days are ${f.days} days apart.`,
  weekday: () => 'The test days are not on the same weekday.',
}

/** The words of every check of a term in English. */
export const termChecksInEnglish: Record<TermRuleId, RuleWords> = {
  'push-pull-legs-core': {
    title: 'Push, pull, legs, core',
    what: (f) => `No strength session ${parts[String(f.part)] ?? f.part}.`,
    why: 'Children need strength in the whole body.',
  },
  'upper-lower-core': {
    title: 'Upper body, legs, core',
    what: (f) => `From week ${f.from} to week ${f.to}, no session trains ${regions[String(f.region)] ?? f.region}.`,
    why: 'Strength that isn’t trained for weeks is lost.',
  },
  categories: {
    title: 'Kinds of movement',
    what: (f) => `No session this term works on ${categories[String(f.category)] ?? f.category}.`,
    why: 'Variety doesn’t happen by chance.',
  },
  'seen-once': {
    title: 'Not repeated',
    what: (f) => {
      const family = families[String(f.family)] ?? f.family
      if (Number(f.times) < 2) return `${family}: comes ${Number(f.times) ? 'only once' : 'not at all'}.`
      return `${family}: comes again after ${f.days} days.`
    },
    why: 'Children learn what comes again within three weeks.',
  },
  'strength-days': {
    title: 'Strength two days in a row',
    what: (f) => `Week ${f.week}: strength two days in a row.`,
    why: 'Muscles grow on the day between. Two or three days a week, not in a row, are best (Faigenbaum et al. 2009).',
  },
  'again-in-time': {
    title: 'Time between repeats',
    what: (f) =>
      f.times === undefined
        ? `Week ${f.week}: “${f.title}” comes again after ${f.days} days.`
        : `“${f.title}” comes ${f.times} times in a row.`,
    why: 'Repeat a session two or three times, 4 to 14 days apart. Then leave it for three weeks.',
  },
  'new-moves-a-week': {
    title: 'New exercises per week',
    what: (f) => `Week ${f.week}: ${f.moves} exercises are new to the class.`,
    why: 'Children can learn about three new exercises a week at home.',
  },
  'things-a-week': {
    title: 'Equipment per week',
    what: (f) => `Week ${f.week}: ${f.things} things to fetch.`,
    why: 'Most families have three things at hand. Others can’t take part.',
  },
  'test-days': {
    title: 'Comparable test days',
    what: (f) => tests[String(f.what)]!(f),
    why: 'Tests compare best six weeks apart, on the same weekday, rested and practiced.',
  },
  'easier-week': {
    title: 'An easier week',
    what: (f) =>
      `Week ${f.week} should be easier, but has ${f.minutes} min of effort. The weeks before had ${f.before}.`,
    why: 'Every fourth week should have a quarter less. Bodies recover, and children who were ill catch up.',
  },
  'after-weeks-off': {
    title: 'After weeks off',
    what: (f) => `Week ${f.week}: after two weeks without PE the first session, “${f.title}”, is new.`,
    why: 'After a break, an easier version of a familiar session works best.',
  },
}
