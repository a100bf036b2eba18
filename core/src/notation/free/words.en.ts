import type { Role } from '../../session/schema.ts'
import { englishOf, type Country, type English } from '../../terms/country.ts'
import { plainName } from '../names.ts'

const plain = (words: readonly string[]): string[] => words.map(plainName)

// The words by which English-speaking teachers mark the parts of a text: closed lists, another language is another such file.
// Common practice, no source. All in the form `plainName` gives: small, without marks, in the singular.

/** Numbers in words. */
export const numberWords: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
}

/** What opens a section without any mark, from the start of its line. The longest is taken. */
export const sectionWords: readonly (readonly [words: string, role: Role])[] = [
  ['warm up', 'warmUp'],
  ['warmup', 'warmUp'],
  ['warm upp', 'warmUp'],
  ['w u', 'warmUp'],
  ['wu', 'warmUp'],
  ['warmer', 'warmUp'],
  ['pulse raiser', 'warmUp'],
  ['mobiliser', 'warmUp'],
  ['starter', 'warmUp'],
  ['intro', 'warmUp'],
  ['introduction', 'warmUp'],
  ['warm up game', 'warmUp'],
  ['brief', 'brief'],
  ['briefing', 'brief'],
  ['main', 'main'],
  ['main activity', 'main'],
  ['main part', 'main'],
  ['main session', 'main'],
  ['main set', 'main'],
  ['main lesson', 'main'],
  ['main workout', 'main'],
  ['circuit', 'main'],
  ['workout', 'main'],
  ['wod', 'main'],
  ['activity', 'main'],
  ['strength', 'main'],
  ['cardio', 'main'],
  ['hiit', 'main'],
  ['core', 'main'],
  ['skill', 'skill'],
  ['skill practice', 'skill'],
  ['skill development', 'skill'],
  ['technique', 'skill'],
  ['game', 'game'],
  ['final game', 'game'],
  ['fun game', 'game'],
  ['finisher', 'challenge'],
  ['challenge', 'challenge'],
  ['bonus', 'challenge'],
  ['extension', 'challenge'],
  ['last', 'challenge'],
  ['finally', 'challenge'],
  ['cool down', 'coolDown'],
  ['cooldown', 'coolDown'],
  ['c d', 'coolDown'],
  ['cd', 'coolDown'],
  ['warm down', 'coolDown'],
  ['wind down', 'coolDown'],
  ['calm down', 'coolDown'],
  ['plenary', 'coolDown'],
  ['relax', 'coolDown'],
  ['relaxation', 'coolDown'],
  ['stretch', 'coolDown'],
  ['stretching', 'coolDown'],
  ['full time', 'coolDown'],
]

/** A line that begins so is what is to be learnt. */
export const targetWords = [
  'learning intention',
  'learning objective',
  'learning outcome',
  'objective',
  'aim',
  'target',
  'wal',
  'walt',
  'lo',
  'li',
  'we are learning to',
  'we are learning',
  'goal',
  'today we are learning',
]

/** Lines that begin so are for reading, not for doing. */
export const noteWords = plain([
  'equipment',
  'you need',
  'you will need',
  'youll need',
  'kit',
  'key word',
  'vocabulary',
  'success criteria',
  'resource',
  'safety',
  'note',
  'nb',
  'remember',
  'tip',
  'teaching point',
  'story',
  'hi',
  'hello',
  'dear',
  'good morning',
  'have fun',
  'enjoy',
  'well done',
  'good luck',
  'thank',
  'thanks',
  'your pe teacher',
  'please',
  'send',
  'teams of',
  'ready steady',
  'too hard',
  'too easy',
  'homework',
  'home learning',
  'differentiation',
  'music',
])

/** Words beside a time that say what it is. */
export const workWords = plain([
  'on',
  'work',
  'each',
  'hard',
  'go',
  'every',
  'activity',
  'exercise',
  'station',
  'per',
  'colour',
  'all',
])
export const restWords = plain([
  'rest',
  'off',
  'recover',
  'recovery',
  'break',
  'breather',
  'breath back',
  'change',
  'changeover',
  'swap',
  'pause',
  'water',
  'r',
  'breathe',
  'transition',
])
/** Behind a rest: it stands between rounds, or between stations. */
export const roundWords = plain([
  'round',
  'set',
  'lap',
  'circuit',
  'level',
  'rung',
  'time',
  'series',
  'serie',
  'go',
  'pair',
  'block',
])
export const stationWords = plain([
  'station',
  'exercise',
  'move',
  'activity',
  'pose',
  'each',
  'one',
  'colour',
  'stretch',
])

/** Words for going through the rows again. */
export const againWords = plain([
  'round',
  'set',
  'lap',
  'series',
  'serie',
  'time',
  'through',
  'thru',
  'circuit',
  'again',
  'repeat',
  'over',
  'rft',
  'go',
  'turn',
])

/** Words that say nothing about what is done, so that they may stand round a name. */
export const fillerWords = new Set(
  'a an the some your their our my this that these those of to for do then and with on in at by it is are be go now next first second after before start begin off finish last please just lets let us we you more big little nice good gentle easy great small exercise again x'.split(
    ' ',
  ),
)
/** Behind or before a name without changing what it is. */
export const placeWords = [
  'on the spot',
  'on spot',
  'on the spott',
  'in place',
  'in your place',
  'on your spot',
  'on the mat',
  'at home',
  'around the room',
  'round the room',
  'right',
  'left',
  'right left',
  'left right',
  'r l',
  'l r',
  'forward',
  'forwards',
  'backward',
  'backwards',
  'alternate',
  'alternating',
  'alternately',
  'pose',
  'hold',
  'each way',
  'both way',
  'slowly',
  'quickly',
]
/** One word for what is the same in a name. */
export const sameWords: Readonly<Record<string, string>> = {
  kneeling: 'knee',
  modified: 'knee',
  sitting: 'seated',
  sit: 'seated',
  one: 'single',
  leg: 'leg',
  legged: 'leg',
  legg: 'leg',
  arm: 'arm',
  armed: 'arm',
  running: 'jog',
  run: 'jog',
  jogging: 'jog',
  marching: 'march',
  skipping: 'skip',
  hopping: 'hop',
  jumping: 'jump',
  squatting: 'squat',
  lunging: 'lunge',
  stretching: 'stretch',
  walking: 'walk',
  crawling: 'crawl',
  crawl: 'walk',
  galloping: 'gallop',
  punching: 'punch',
  reaching: 'reach',
  circling: 'circle',
  raises: 'raise',
  rotation: 'circle',
  reverse: 'back',
  backward: 'back',
  tricep: 'triceps',
  bicep: 'biceps',
  bum: 'butt',
  bottom: 'butt',
  criss: 'cross',
  mtn: 'mountain',
  mt: 'mountain',
  sq: 'squat',
  kn: 'knee',
  pushup: 'push up',
  pressup: 'push up',
  situp: 'sit up',
  curlup: 'curl up',
  stepup: 'step up',
  hi: 'high',
  aeroplane: 'airplane',
  plane: 'airplane',
  bunny: 'bunny',
  rabbit: 'bunny',
  bicycling: 'bicycle',
  bike: 'bicycle',
  cycling: 'bicycle',
  tummy: 'belly',
  stomach: 'belly',
  feet: 'foot',
  thrown: 'throw',
  tossing: 'toss',
  choppers: 'chop',
  ft: 'foot',
  db: 'dumbbell',
  alt: 'alternating',
  opposite: 'opposite',
}
/** Words that make another move of it: beside a name they are never swallowed. */
export const changingWords = new Set(
  'seated single lying knee box side jump twist kick pulse reach press touch tap lift turn catch throw clap walk hop run hold weighted incline decline wide narrow close diamond pistol sumo split reverse back cross high low shoulder in out open balance roll band ball bottle rope bench stair overhead negative half full height plank squat lunge raise circle swing crawl drag step'.split(
    ' ',
  ),
)

/** Words of a name that say nothing by themselves: without them two names may be the same. */
export const looseWords = new Set('a an the some your my of to and with on in at for like it its from by'.split(' '))
/** Behind a name that is a held shape they change nothing; behind any other they make another move of it. */
export const shapeWords = new Set(['pose', 'hold', 'stretch', 'balance'])

/** What a name may be, and which of it where that is usual. */
export interface Meanings extends Partial<Record<English, string>> {
  any: readonly string[]
}
/** Names that mean one move here and another there, or in one lesson and another (common practice, no source). */
export const severalMeanings: Readonly<Record<string, Meanings>> = {
  'star jump': {
    any: ['jumping-jack:jumping-jack', 'jumping-jack:star-jump'],
    british: 'jumping-jack:jumping-jack',
    american: 'jumping-jack:star-jump',
  },
  'donkey kick': { any: ['back-kick', 'kick-up'], british: 'back-kick' },
  skipping: { any: ['rope-skip', 'skip'], british: 'rope-skip', american: 'skip' },
  'kick up': { any: ['kick-up', 'keep-up'] },
  'toe tap': { any: ['toe-taps', 'ball-taps', 'step-touch'] },
  'touch your toe': { any: ['ragdoll', 'windmill', 'seated-reach'] },
  seal: { any: ['cobra', 'seal-walk'] },
}
/** Words that only those write who say "press-up" and mean jumping jacks by star jumps. */
const britishWords =
  /\b(?:press[- ]?ups?|y(?:ea)?r?s? ?\d|ks[12]|reception|heel flicks|bum|secs|mins|p[1-7]|foundation|prep|kit|plenary|pe)\b/i

/**
 * Whose words a text is in: its school's country says, else what only British teachers write.
 *
 * @example englishIn('30 secs of press-ups', 'unsaid') // 'british'
 */
export const englishIn = (text: string, country: Country): English | undefined =>
  country === 'unsaid' && britishWords.test(text) ? 'british' : englishOf(country)
