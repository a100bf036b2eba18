import type { Facts, TermRuleId } from '../../checks/rule.ts'
import type { RuleWords } from './checks.ts'

const parts: Record<string, string> = {
  push: 'pushes',
  pull: 'pulls',
  legs: 'works the legs',
  core: 'works the middle',
}
const regions: Record<string, string> = { upper: 'the upper body', core: 'the middle', lower: 'the legs' }
const categories: Record<string, string> = {
  bodyAwareness: 'body awareness',
  rangeOfMotion: 'range of motion',
  objectControl: 'object control',
  coordination: 'coordination',
  gamePlay: 'game play',
}
/** Families whose ids are no words. */
const families: Record<string, string> = { throwCatch: 'throw and catch', breathe: 'breathing' }

const tests: Record<string, (f: Facts) => string> = {
  hardBefore: (f) => `Week ${f.week}: the day before the test day is hard.`,
  afterHolidays: (f) => `Week ${f.week}: a test day in the first week after holidays.`,
  tooNear: (f) => `The test days lie ${f.days} days apart.`,
  weekday: () => 'The test days are not on the same weekday.',
}

/** What every rule about a term says in English. */
export const termChecksInEnglish: Record<TermRuleId, RuleWords> = {
  'push-pull-legs-core': {
    title: 'Push, pull, legs, middle',
    what: (f) => `No strength session ${parts[String(f.part)] ?? f.part}.`,
    why: 'A body gets strong all over, or it leans to one side.',
  },
  'upper-lower-core': {
    title: 'Upper body, legs, middle',
    what: (f) => `From week ${f.from} to week ${f.to} nothing is for ${regions[String(f.region)] ?? f.region}.`,
    why: 'What is left for weeks begins anew.',
  },
  categories: {
    title: 'Kinds of movement',
    what: (f) => `Nothing in the term is ${categories[String(f.category)] ?? f.category}.`,
    why: 'Variety that is left to chance leaves something out.',
  },
  'seen-once': {
    title: 'Seen once',
    what: (f) => {
      const family = families[String(f.family)] ?? f.family
      if (Number(f.times) < 2) return `${family}: ${Number(f.times) ? 'it comes once' : 'it does not come'}.`
      return `${family}: its second time is ${f.days} days after its first.`
    },
    why: 'What comes once is met; what comes again within three weeks is learnt.',
  },
  'strength-days': {
    title: 'Strength on days running',
    what: (f) => `Week ${f.week}: strength on two days running.`,
    why: 'Muscles grow on the day between (Faigenbaum et al. 2009: two or three days a week, not running).',
  },
  'again-in-time': {
    title: 'Again in time',
    what: (f) =>
      f.times === undefined
        ? `Week ${f.week}: “${f.title}” comes again ${f.days} days after the time before.`
        : `Too often running: “${f.title}”, ${f.times} times.`,
    why: 'Two or three times, four to fourteen days apart: learn it, do it, beat it; then it rests three weeks.',
  },
  'new-moves-a-week': {
    title: 'New moves in a week',
    what: (f) => `Week ${f.week}: ${f.moves} moves the class has not met.`,
    why: 'Three a week can be learnt at home; the rest is guessed.',
  },
  'things-a-week': {
    title: 'Things to fetch in a week',
    what: (f) => `Week ${f.week}: ${f.things} things to fetch.`,
    why: 'Every family has three; who has not, stays out.',
  },
  'test-days': {
    title: 'Test days that compare',
    what: (f) => tests[String(f.what)]!(f),
    why: 'Two days compare where both are rested, in practice, six weeks apart and of one weekday.',
  },
  'easier-week': {
    title: 'An easier week',
    what: (f) =>
      `Week ${f.week} is to be easier, and has ${f.minutes} min of effort; the weeks before had ${f.before}.`,
    why: 'Every fourth week a quarter less: bodies catch up, and so do those who were ill.',
  },
  'after-weeks-off': {
    title: 'After weeks off',
    what: (f) => `Week ${f.week}: after two weeks without PE it begins with “${f.title}”, which is new.`,
    why: 'After weeks off one that is known, a step back, brings everybody in again.',
  },
}
