import type { TermRuleId } from '../../checks/rule.ts'
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
}
