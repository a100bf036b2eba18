import type { Facts, RuleId } from '../../checks/rule.ts'
import { minutesText } from '../../timing/minutesText.ts'

/** What a rule says: of one finding, and why it looks there at all. */
export interface RuleWords {
  /** What it is called where rules are listed. */
  title: string
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

const aims: Record<string, string> = {
  endurance: 'endurance',
  strength: 'strength',
  flexibility: 'flexibility',
  balance: 'balance',
}
const kinds: Record<string, string> = { push: 'pushing', pull: 'pulling', legs: 'legs', core: 'the middle' }

/** What every rule says in English. */
export const checksInEnglish: Record<RuleId, RuleWords> = {
  'short-warm-up': {
    title: 'Short warm up',
    what: (f) => `${time(f.moved)} of moving before the first hard work; ${time(f.wanted)} would warm.`,
    why: 'Warm muscles and a heart that is up to it make hard work safer and better.',
  },
  'no-cool-down': {
    title: 'No cool down',
    what: (f) => `Hard work ends ${time(f.left)} before the end.`,
    why: 'Who stops at once from hard work may feel light in the head. A minute of walking, breathing or a quiet game is enough.',
  },
  'over-minutes': {
    title: 'Over minutes',
    what: (f) => `${time(f.by)} over the ${f.minutes} minutes.`,
    why: 'What does not fit is cut at home, and mostly it is the cool-down.',
  },
  'well-under-minutes': {
    title: 'Well under minutes',
    what: (f) => `The longest lane takes ${time(f.seconds)} of ${f.minutes} minutes.`,
    why: 'Fetching, explaining and drinking take time too; past them there is room for one more go.',
  },
  'lanes-apart': {
    title: 'Lanes apart',
    what: (f) => `The lanes end ${time(f.apart)} apart; they are to finish together.`,
    why: 'You asked for lanes that finish together.',
  },
  'long-talk': {
    title: 'Long talk',
    what: (f) => `${time(f.seconds)} of talk in one piece; ${time(f.most)} is what they listen to.`,
    why: 'Nobody of that age listens longer to a screen; show it, or talk twice.',
  },
  'no-water': {
    title: 'No water',
    what: (f) => `${f.minutes} minutes without a pause to drink.`,
    why: 'A sip about every twenty minutes, outdoors sooner. A lap rest of half a minute counts.',
  },
  'long-for-young': {
    title: 'Long for young',
    what: (f) => `${f.minutes} minutes of work with ${f.moves} different moves.`,
    why: 'The youngest keep up with a quarter of an hour, and with moves they meet again.',
  },
  landings: {
    title: 'Landings',
    what: (f) => `${f.landings} full landings; ${f.most} is where such a session begins.`,
    why: 'Bones and tendons grow strong by jumps, a few more each time, and tire by many at once.',
  },
  'hard-landings': {
    title: 'Hard landings',
    what: (f) => `${f.landings} hard landings; ${f.most} is where such a session begins.`,
    why: 'From a height, on one leg for distance, with the knees drawn up: these weigh more than a jump on the spot.',
  },
  'long-hold': {
    title: 'Long hold',
    what: (f) => `${f.move} is held ${time(f.seconds)}; its shape lasts about ${time(f.most)}.`,
    why: 'When the shape is lost only the joints hold. Twice short is better than once long.',
  },
  wrists: {
    title: 'Wrists',
    what: (f) => `${time(f.seconds)} on the hands without a break.`,
    why: 'Small wrists tire; something on the feet in between lets them rest.',
  },
  'kit-missing': {
    title: 'Kit missing',
    what: (f) => `${f.move} needs: ${f.kit}.`,
    why: 'The home has none, and nothing stands in for it.',
  },
  'floor-too-small': {
    title: 'Floor too small',
    what: (f) => `${f.move} needs ${space[String(f.needs)] ?? f.needs}.`,
    why: 'There is less floor than that in this session’s home.',
  },
  'thud-where-quiet': {
    title: 'Thud where quiet',
    what: (f) => `${f.move} is heard below.`,
    why: 'This session is for a quiet home.',
  },
  'partner-alone': {
    title: 'Partner alone',
    what: (f) => `${f.move} is done by two.`,
    why: 'This session is done alone.',
  },
  'adult-alone': {
    title: 'Adult alone',
    what: (f) => `${f.move} wants an adult by.`,
    why: 'This session is done alone.',
  },
  'things-to-fetch': {
    title: 'Things to fetch',
    what: (f) => `${f.things} things to fetch; ${f.most} are what they gather by themselves.`,
    why: 'Fetching takes the will before the work has begun.',
  },
  'beyond-grade': {
    title: 'Beyond grade',
    what: (f) => `${f.version} is from grade ${f.from === 0 ? 'K' : f.from}.`,
    why: 'An easier version lets them do it well.',
  },
  'young-load': {
    title: 'Young load',
    what: (f) => `${f.move} with ${f.kg} kg for the youngest.`,
    why: 'Weights from about seven or eight, when they are ready for sport; before that soft light things, with an adult by.',
  },
  'no-easier': {
    title: 'No easier',
    what: (f) => `${f.move} is the easiest version already; nothing says what to do when it is too hard.`,
    why: 'The child’s button “make it easier” has nothing to offer here. One line of yours is enough.',
  },
  'no-warm-up': {
    title: 'No warm up',
    what: (f) => `Hard work begins cold; ${time(f.wanted)} of moving would warm.`,
    why: 'Warm muscles and a heart that is up to it make hard work safer and better.',
  },
  'hard-start': {
    title: 'Hard start',
    what: (f) => `${f.move} in the first minute of the warm-up.`,
    why: 'The first minute belongs to easy moving; what lands or weighs comes when they are warm.',
  },
  'straight-down': {
    title: 'Straight down',
    what: (f) => `From hard work straight down to: ${f.move}.`,
    why: 'Who lies or sits still at once may feel light in the head. Walking three quarters of a minute first is enough.',
  },
  'game-cut': {
    title: 'Game cut',
    what: (f) => `The game runs ${time(f.by)} past the minutes.`,
    why: 'It is the one part they will not want to stop; take the time from somewhere else.',
  },
  'section-over': {
    title: 'Section over',
    what: (f) => `${f.title || 'This part'} takes ${time(f.by)} more than its ${f.minutes} minutes.`,
    why: 'You gave this part minutes of its own.',
  },
  'no-counter-shape': {
    title: 'No counter shape',
    what: (f) => `${time(f.seconds)} of ${f.move} and nothing that bends the other way.`,
    why: 'After a long bend one way the opposite shape feels good: a rest in a rounded or an open shape.',
  },
  'static-first': {
    title: 'Static first',
    what: (f) => `It begins with a held stretch: ${f.move}.`,
    why: 'A short stretch costs next to nothing, but moving simply warms better.',
  },
  'not-warmed': {
    title: 'Not warmed',
    what: (f) => `Works hard and is not moved before: ${f.muscles}.`,
    why: 'A few easy reps of what comes are the best preparation for it.',
  },
  'worked-not-stretched': {
    title: 'Worked not stretched',
    what: (f) => `Works longest and is not stretched: ${f.muscles}.`,
    why: 'Stretching it is for range, not against soreness; one stretch is enough.',
  },
  'mostly-still': {
    title: 'Mostly still',
    what: (f) => `${time(f.moving)} of ${time(f.seconds)} moving.`,
    why: 'Half of the time and more moving is what a lesson that is about moving has.',
  },
  'new-moves': {
    title: 'New moves',
    what: (f) => `${f.moves} moves they were never sent: ${f.names}.`,
    why: 'A talk of a few seconds a move, or a slow first lap, and they begin together.',
  },
  'aim-absent': {
    title: 'Aim absent',
    what: (f) => `The aim is ${aims[String(f.aim)] ?? f.aim}, and there is little of it.`,
    why: 'An aim the session hardly holds cannot be looked back on.',
  },
  'work-too-long': {
    title: 'Work too long',
    what: (f) => `${time(f.seconds)} of ${f.move} by the clock; form lasts about ${time(f.most)}.`,
    why: 'Children recover quickly from hard work; what gives way first is attention, then form.',
  },
  'work-rest-ratio': {
    title: 'Work rest ratio',
    what: (f) => `${time(f.work)} of hard work with ${time(f.rest)} of rest; ${f.most} to 1 is the most.`,
    why: 'With too little rest each go is a little worse than the one before.',
  },
  'vigorous-minutes': {
    title: 'Vigorous minutes',
    what: (f) => `${time(f.seconds)} of hard work without half a minute of relief.`,
    why: 'A breath in between, and the second half is as good as the first.',
  },
  'loaded-sets': {
    title: 'Loaded sets',
    what: (f) => `${f.sets} sets of ${f.move} with a weight; ${f.most} are plenty.`,
    why: 'Children get strong from one to three sets.',
  },
  'loaded-reps': {
    title: 'Loaded reps',
    what: (f) => `${f.reps} reps of ${f.move} with a weight; ${f.least} to ${f.most} are what is taught.`,
    why: 'Fewer means the weight is too heavy for learning, more that it is time for another version.',
  },
  'power-reps': {
    title: 'Power reps',
    what: (f) => `${f.reps} of ${f.move} at a go; after ${f.most} they are no jumps any more.`,
    why: 'Power is few and good: rest, then jump again.',
  },
  'hold-policy': {
    title: 'Hold policy',
    what: (f) => `${f.move} is held ${time(f.seconds)}; ${f.least} to ${f.most} s a side are enough.`,
    why: 'Shorter does little, longer no more.',
  },
  'sides-unequal': {
    title: 'Sides unequal',
    what: (f) => `${f.move}: ${time(f.first)} on one side, ${time(f.second)} on the other.`,
    why: 'Both sides, equally.',
  },
  'same-muscle-twice': {
    title: 'Same muscle twice',
    what: (f) => `${f.first}, then ${f.second}: both work the ${f.muscle}.`,
    why: 'In another order the one rests while the other works.',
  },
  'jumps-in-a-row': {
    title: 'Jumps in a row',
    what: (f) => `${f.n} jumping stations one after the other.`,
    why: 'A station on the floor or with the arms in between keeps the landings soft.',
  },
  'big-step-up': {
    title: 'Big step up',
    what: (f) => `${time(f.work)} of work; last time it was ${time(f.before)}.`,
    why: 'A third more at once is felt the next day; a tenth is felt as getting better.',
  },
  'rest-too-short': {
    title: 'Rest too short',
    what: (f) => `${f.seconds} s missing to get into place for ${f.move}.`,
    why: 'The clock starts while they are still on the way.',
  },
  'hands-full': {
    title: 'Hands full',
    what: (f) => `${f.move} with ${f.kg} kg in the hands that are needed.`,
    why: 'Hands that hold cannot catch.',
  },
  height: {
    title: 'Height',
    what: (f) => `“${f.words}” indoors.`,
    why: 'Lamps, ceilings and shelves come down; head height is high enough.',
  },
  'thrown-things': {
    title: 'Thrown things',
    what: (f) => `After ${f.move} comes ${f.next}; what was thrown lies about.`,
    why: 'Who lands on a rolled-up sock falls. One line is enough: pick up first.',
  },
  'sprint-to-wall': {
    title: 'Sprint to wall',
    what: (f) => `“${f.words}”.`,
    why: 'A run ends two big steps before a wall, a door, a fence.',
  },
  'things-to-write': {
    title: 'Things to write',
    what: (f) => `${f.results} results to write down; ${f.most} are done.`,
    why: 'Every note is a pause, and the last ones are made up.',
  },
  'unsafe-weight': {
    title: 'Unsafe weight',
    what: (f) => `“${f.words}” as a weight.`,
    why: 'It breaks, slips or falls apart: a clean closed bottle or a bag of books does not.',
  },
  'harmful-bottle': {
    title: 'Harmful bottle',
    what: (f) => `“${f.words}”.`,
    why: 'Glass breaks, and what was in it can burn. A clean, closed plastic bottle that held a drink.',
  },
  'stairs-jump': {
    title: 'Stairs jump',
    what: (f) => `“${f.words}”.`,
    why: 'Nobody jumps on or off stairs or furniture: the bottom step is for stepping.',
  },
  'rolling-support': {
    title: 'Rolling support',
    what: (f) => `“${f.words}”.`,
    why: 'What rolls, turns or folds gives way. A chair with four legs, its back to a wall.',
  },
  'stand-in-unfit': {
    title: 'Stand in unfit',
    what: (f) => `${f.standIn} for ${f.kit}: not for ${f.move}.`,
    why: 'It does not bear this move. Take the real thing or another move.',
  },
  'small-things': {
    title: 'Small things',
    what: (f) => `“${f.words}”, and nobody is by.`,
    why: 'Under eight years children choke on small things and on burst balloons; with an adult by, or rolled socks instead.',
  },
  'in-the-mouth': {
    title: 'In the mouth',
    what: (f) => `“${f.words}”.`,
    why: 'Nothing in the mouth while moving.',
  },
  'round-the-neck': {
    title: 'Round the neck',
    what: (f) => `“${f.words}”.`,
    why: 'Nothing is tied to neck, wrists, doors or furniture.',
  },
  blindfold: {
    title: 'Blindfold',
    what: (f) => `“${f.words}”.`,
    why: 'Nobody moves blind at home.',
  },
  heading: {
    title: 'Heading',
    what: (f) => `“${f.words}”.`,
    why: 'No headers in primary school; football bodies advise against them under eleven and twelve.',
  },
  inverted: {
    title: 'Inverted',
    what: (f) => `“${f.words}”: weight on neck or hands, head down.`,
    why: 'Not before grade 3, and only with an adult by. Log rolls, rocking and the downward dog are fine.',
  },
  'overhead-load': {
    title: 'Overhead load',
    what: (f) => `${f.move} with ${f.kg} kg above the head.`,
    why: 'Grades 2 and 3 press half a kilogram at most, standing or sitting; heavier or lying it can fall on the face.',
  },
  'load-too-heavy': {
    title: 'Load too heavy',
    what: (f) => `${f.move} with ${f.kg} kg; ${f.most} kg is where that age begins.`,
    why: 'Ten clean reps first; then the smallest step there is in the house.',
  },
  'load-not-stated': {
    title: 'Load not stated',
    what: (f) => `${f.move}: how heavy?`,
    why: 'A bag weighs what somebody puts into it. Say it in kilograms or in books.',
  },
  'young-dips': {
    title: 'Young dips',
    what: (f) => `${f.move} on ${f.standIn}.`,
    why: 'Dips want a chair with its back against a wall.',
  },
  spinning: {
    title: 'Spinning',
    what: (f) => `“${f.words}”.`,
    why: 'After three turns they fall; one, then standing still.',
  },
  'high-elbows': {
    title: 'High elbows',
    what: (f) => `“${f.words}”.`,
    why: 'Elbows above the shoulders pinch them; to the lowest rib is high enough.',
  },
  'loaded-round-twist': {
    title: 'Loaded round twist',
    what: (f) => `${f.move} with ${f.kg} kg, sitting.`,
    why: 'A round back, a weight and a turn do not go together: no weight, or standing.',
  },
  'neck-circles': {
    title: 'Neck circles',
    what: (f) => `“${f.words}”.`,
    why: 'From side to side does the same without bending the neck back.',
  },
  'deep-walking-squats': {
    title: 'Deep walking squats',
    what: (f) => `“${f.words}”.`,
    why: 'Short and for fun; over twenty seconds the knees pay for it.',
  },
  'held-feet-sit-ups': {
    title: 'Held feet sit ups',
    what: (f) => `“${f.words}”.`,
    why: 'With held feet the hip does the work and the back hollows: curl-ups with free feet.',
  },
  'eyes-closed': {
    title: 'Eyes closed',
    what: (f) => `“${f.words}” while standing or moving.`,
    why: 'At rest they may; near furniture eyes stay open.',
  },
  'socks-jump': {
    title: 'Socks jump',
    what: (f) => `“${f.words}”.`,
    why: 'Socks slide: shoes, or bare feet.',
  },
  'breath-held': {
    title: 'Breath held',
    what: (f) => `“${f.words}”.`,
    why: 'Breath flows on, in holds above all.',
  },
  'bounced-stretch': {
    title: 'Bounced stretch',
    what: (f) => `“${f.words}”.`,
    why: 'Still and breathing reaches further than bouncing.',
  },
  'raced-technique': {
    title: 'Raced technique',
    what: (f) => `${f.move} with a weight, against the clock.`,
    why: 'Where only the number counts, the back pays. Take the weight out, or do it in sets.',
  },
  'floor-burpee': {
    title: 'Floor burpee',
    what: (f) => `“${f.words}” below grade 3.`,
    why: 'Hands down, step or jump back and in: the chest stays up.',
  },
  'neck-pulse': {
    title: 'Neck pulse',
    what: (f) => `“${f.words}”.`,
    why: 'At the wrist; if at the neck, lightly and on one side only. K–2 lay a hand on the chest.',
  },
  forfeits: {
    title: 'Forfeits',
    what: (f) => `“${f.words}”.`,
    why: 'Exercise is no penalty, and whoever is out moves least. Everybody does the next task, or chooses it.',
  },
  'seated-twin': {
    title: 'Seated twin',
    what: (f) => `“${f.words}”, and nothing in the main part is done sitting.`,
    why: 'The library has seated moves that raise the pulse: seated run, seated jack, climb the rope.',
  },
  'body-talk': {
    title: 'Body talk',
    what: (f) => `“${f.words}”.`,
    why: 'Bodies, weight and calories are no aim for children.',
  },
  'punishment-words': {
    title: 'Punishment words',
    what: (f) => `“${f.words}”.`,
    why: 'Moving is no punishment; another name does the same work.',
  },
  filmed: {
    title: 'Filmed',
    what: (f) => `“${f.words}”.`,
    why: "Pictures of children fall under the school's data rules; a number or a smile in the book tells as much.",
  },
  'too-many-words': {
    title: 'Too many words',
    what: (f) => `${f.words} words of yours to read; about ${f.most} are read.`,
    why: 'Short lines are done; long ones are skipped, and the cautions with them.',
  },
  'surprise-told': {
    title: 'Surprise told',
    what: (f) => `The surprise is told: ${f.words}.`,
    why: 'Its name stands where they read it before.',
  },
  'measured-cold': {
    title: 'Measured cold',
    what: (f) => `Measured after ${time(f.moved)} of moving.`,
    why: 'A hold or half a minute of reps is better and safer on a warm body.',
  },
  'other-set-up': {
    title: 'Another set-up',
    what: (f) => `${f.test} is set up in two ways: ${f.first}, and ${f.other}.`,
    why: 'Another set-up is another test: what is read does not compare.',
  },
  'test-beyond-grade': {
    title: 'Test beyond grade',
    what: (f) => `${f.test} is from grade ${f.from === 0 ? 'K' : f.from}.`,
    why: 'Tests to the limit are not for the youngest; at home least of all.',
  },
  'test-thuds': {
    title: 'Test thuds',
    what: (f) => `${f.test} is heard below.`,
    why: 'This session is for a quiet home.',
  },
  'one-sided': {
    title: 'One sided',
    what: (f) => `${f.share} % of the work is ${kinds[String(f.part)] ?? f.part}.`,
    why: 'Push, pull, legs and middle by turns: over a week if not in one session.',
  },
}
