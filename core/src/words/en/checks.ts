import type { Facts, RuleId } from '../../checks/rule.ts'
import { minutesText } from '../../timing/minutesText.ts'

/** What a rule says: of one finding, and why it looks there at all. */
export interface RuleWords {
  what: (facts: Facts) => string
  why: string
}
const time = (seconds: number | string | undefined) => minutesText(Number(seconds))
const space: Record<string, string> = {
  spot: 'room to stand',
  mat: 'room to lie down',
  steps: 'two or three big steps',
  run: 'five to ten metres',
}

/** What every rule says in English. */
export const checksInEnglish: Record<RuleId, RuleWords> = {
  'short-warm-up': {
    what: (f) => `${time(f.moved)} of moving before the first hard work; ${time(f.wanted)} would warm.`,
    why: 'Warm muscles and a heart that is up to it make hard work safer and better.',
  },
  'no-cool-down': {
    what: (f) => `Hard work ends ${time(f.left)} before the end.`,
    why: 'Who stops at once from hard work may feel light in the head. A minute of walking, breathing or a quiet game is enough.',
  },
  'over-minutes': {
    what: (f) => `${time(f.by)} over the ${f.minutes} minutes.`,
    why: 'What does not fit is cut at home, and mostly it is the cool-down.',
  },
  'well-under-minutes': {
    what: (f) => `The longest lane takes ${time(f.seconds)} of ${f.minutes} minutes.`,
    why: 'Fetching, explaining and drinking take time too; past them there is room for one more go.',
  },
  'lanes-apart': {
    what: (f) => `The lanes end ${time(f.apart)} apart; they are to finish together.`,
    why: 'You asked for lanes that finish together.',
  },
  'long-talk': {
    what: (f) => `${time(f.seconds)} of talk in one piece; ${time(f.most)} is what they listen to.`,
    why: 'Nobody of that age listens longer to a screen; show it, or talk twice.',
  },
  'no-water': {
    what: (f) => `${f.minutes} minutes without a pause to drink.`,
    why: 'A sip about every twenty minutes, outdoors sooner. A lap rest of half a minute counts.',
  },
  'long-for-young': {
    what: (f) => `${f.minutes} minutes of work with ${f.moves} different moves.`,
    why: 'The youngest keep up with a quarter of an hour, and with moves they meet again.',
  },
  landings: {
    what: (f) => `${f.landings} full landings; ${f.most} is where such a session begins.`,
    why: 'Bones and tendons grow strong by jumps, a few more each time, and tire by many at once.',
  },
  'hard-landings': {
    what: (f) => `${f.landings} hard landings; ${f.most} is where such a session begins.`,
    why: 'From a height, on one leg for distance, with the knees drawn up: these weigh more than a jump on the spot.',
  },
  'long-hold': {
    what: (f) => `${f.move} is held ${time(f.seconds)}; its shape lasts about ${time(f.most)}.`,
    why: 'When the shape is lost only the joints hold. Twice short is better than once long.',
  },
  wrists: {
    what: (f) => `${time(f.seconds)} on the hands without a break.`,
    why: 'Small wrists tire; something on the feet in between lets them rest.',
  },
  'kit-missing': { what: (f) => `${f.move} needs: ${f.kit}.`, why: 'The home has none, and nothing stands in for it.' },
  'floor-too-small': {
    what: (f) => `${f.move} needs ${space[String(f.needs)] ?? f.needs}.`,
    why: 'There is less floor than that in this session’s home.',
  },
  'thud-where-quiet': { what: (f) => `${f.move} is heard below.`, why: 'This session is for a quiet home.' },
  'partner-alone': { what: (f) => `${f.move} is done by two.`, why: 'This session is done alone.' },
  'adult-alone': { what: (f) => `${f.move} wants an adult by.`, why: 'This session is done alone.' },
  'things-to-fetch': {
    what: (f) => `${f.things} things to fetch; ${f.most} are what they gather by themselves.`,
    why: 'Fetching takes the will before the work has begun.',
  },
  'beyond-grade': {
    what: (f) => `${f.version} is from grade ${f.from === 0 ? 'K' : f.from}.`,
    why: 'An easier version lets them do it well.',
  },
  'young-load': {
    what: (f) => `${f.move} with ${f.kg} kg for the youngest.`,
    why: 'Weights from about seven or eight, when they are ready for sport; before that soft light things, with an adult by.',
  },
  'no-easier': {
    what: (f) => `${f.move} is the easiest version already; nothing says what to do when it is too hard.`,
    why: 'The child’s button “make it easier” has nothing to offer here. One line of yours is enough.',
  },
}
