import type { Facts, RuleId } from '../../checks/rule.ts'
import { minutesText } from '../../timing/minutesText.ts'

/** What a check says: its title in lists, what it found (number and place), and why that matters. */
export interface RuleWords {
  title: string
  what: (facts: Facts) => string
  why: string
}
const time = (seconds: number | string | undefined) => minutesText(Number(seconds))
const grade = (from: number | string | undefined) => (from === 0 ? 'K' : String(from))
const space: Record<string, string> = {
  spot: 'room to stand',
  mat: 'room to lie down',
  steps: 'room for two or three big steps',
  run: 'room to run 5 to 10 meters',
}

const aims: Record<string, string> = {
  endurance: 'endurance',
  strength: 'strength',
  flexibility: 'flexibility',
  balance: 'balance',
}
const kinds: Record<string, string> = { push: 'pushing', pull: 'pulling', legs: 'leg work', core: 'core work' }

/** The words of every check in English. */
export const checksInEnglish: Record<RuleId, RuleWords> = {
  'no-warm-up': {
    title: 'No warm-up',
    what: (f) => `The hard work starts cold. Add ${time(f.wanted)} of easy moving first.`,
    why: 'Hard work is safer and goes better with warm muscles and a raised pulse.',
  },
  'short-warm-up': {
    title: 'Short warm-up',
    what: (f) => `Only ${time(f.moved)} of easy moving before the first hard exercise. Aim for ${time(f.wanted)}.`,
    why: 'Hard work is safer and goes better with warm muscles and a raised pulse.',
  },
  'hard-start': {
    title: 'Warm-up starts too hard',
    what: (f) => `${f.move} comes in the first minute of the warm-up.`,
    why: 'Start with easy moving. Jumps and weights come once the children are warm.',
  },
  'no-cool-down': {
    title: 'No cool-down',
    what: (f) => `The hard work ends ${time(f.left)} before the end.`,
    why: 'Stopping suddenly after hard work can make children dizzy. Add a minute of walking, slow breathing or a quiet game.',
  },
  'straight-down': {
    title: 'Lying down right after hard work',
    what: (f) => `${f.move} comes straight after hard work.`,
    why: 'Lying or sitting down at once can make children dizzy. Walk for 45 seconds first.',
  },
  'game-cut': {
    title: 'Game runs over',
    what: (f) => `The game ends ${time(f.by)} after the planned minutes.`,
    why: 'Children won’t want to stop the game. Save time in another part.',
  },
  'over-minutes': {
    title: 'Session too long',
    what: (f) => `${time(f.by)} over the planned ${f.minutes} minutes.`,
    why: 'If a session runs over, families usually skip the cool-down.',
  },
  'section-over': {
    title: 'Section too long',
    what: (f) => `${f.title || 'This section'} is ${time(f.by)} over its planned ${f.minutes} minutes.`,
    why: 'You planned minutes for this section.',
  },
  'lanes-apart': {
    title: 'Lanes end at different times',
    what: (f) => `The lanes end ${time(f.apart)} apart.`,
    why: 'You chose that all groups finish together.',
  },
  'well-under-minutes': {
    title: 'Session too short',
    what: (f) => `The longest lane takes ${time(f.seconds)} of ${f.minutes} planned minutes.`,
    why: 'Even with time to fetch, explain and drink, there is room for more.',
  },
  'long-talk': {
    title: 'Long explanation',
    what: (f) => `${time(f.seconds)} of talking in one piece. Children this age listen for about ${time(f.most)}.`,
    why: 'Children stop listening to a screen. Show the exercise, or split the talk in two.',
  },
  'no-water': {
    title: 'No water break',
    what: (f) => `${f.minutes} minutes without a break to drink.`,
    why: 'Offer a drink about every 20 minutes, and sooner outdoors. A lap rest of 30 seconds counts.',
  },
  'no-counter-shape': {
    title: 'No opposite shape',
    what: (f) => `${time(f.seconds)} of ${f.move}, and nothing bends the other way.`,
    why: 'After a long bend in one direction, the opposite shape feels good.',
  },
  'static-first': {
    title: 'Starts with a held stretch',
    what: (f) => `The session starts with a held stretch: ${f.move}.`,
    why: 'A short stretch does no harm, but moving warms up better.',
  },
  'not-warmed': {
    title: 'Muscles not warmed up',
    what: (f) => `The main part works these muscles, and the warm-up doesn’t: ${f.muscles}.`,
    why: 'A few easy reps of the main exercises prepare the body best.',
  },
  'worked-not-stretched': {
    title: 'Muscles not stretched',
    what: (f) => `These muscles work longest and get no stretch: ${f.muscles}.`,
    why: 'One stretch keeps them flexible. It doesn’t prevent soreness.',
  },
  'mostly-still': {
    title: 'Little movement',
    what: (f) => `Children move for ${time(f.moving)} of ${time(f.seconds)}.`,
    why: 'In a good lesson children move for at least half of the time.',
  },
  'new-moves': {
    title: 'Many new exercises',
    what: (f) => `${f.moves} exercises are new to the class: ${f.names}.`,
    why: 'A short explanation or a slow first lap helps everybody start together.',
  },
  'long-for-young': {
    title: 'Long for young children',
    what: (f) => `${f.minutes} minutes of work with ${f.moves} different exercises.`,
    why: 'Young children manage about 15 minutes, and enjoy exercises they know.',
  },
  'aim-absent': {
    title: 'Focus missing',
    what: (f) => `The focus is ${aims[String(f.aim)] ?? f.aim}, but few exercises train it.`,
    why: 'Children can only learn what the session really trains.',
  },
  'work-too-long': {
    title: 'Work interval too long',
    what: (f) => `${time(f.seconds)} of ${f.move} without a rest. Good form lasts about ${time(f.most)}.`,
    why: 'Children recover quickly, but first they lose attention and then good form.',
  },
  'work-rest-ratio': {
    title: 'Too little rest',
    what: (f) => `${time(f.work)} of hard work to ${time(f.rest)} of rest. The limit is ${f.most} to 1.`,
    why: 'With too little rest, every round gets a little worse.',
  },
  'vigorous-minutes': {
    title: 'Hard work without a break',
    what: (f) => `${time(f.seconds)} of hard work without half a minute of rest.`,
    why: 'With a short break the second half is as good as the first.',
  },
  'loaded-sets': {
    title: 'Many sets with a weight',
    what: (f) => `${f.sets} sets of ${f.move} with a weight. ${f.most} are enough.`,
    why: 'Children get stronger from one to three sets.',
  },
  'loaded-reps': {
    title: 'Reps with a weight',
    what: (f) => `${f.reps} reps of ${f.move} with a weight. ${f.least} to ${f.most} are usual.`,
    why: 'If only a few reps work, the weight is too heavy. If many are easy, choose a harder version.',
  },
  'power-reps': {
    title: 'Too many power jumps',
    what: (f) => `${f.reps} of ${f.move} without a rest. After ${f.most} they are no longer explosive.`,
    why: 'Power needs a few good jumps, then a rest.',
  },
  'hold-policy': {
    title: 'Stretch time',
    what: (f) => `${f.move} is held for ${time(f.seconds)}. ${f.least} to ${f.most} s per side are enough.`,
    why: 'A shorter stretch does little, and a longer one adds nothing.',
  },
  'long-hold': {
    title: 'Long hold',
    what: (f) => `${f.move} is held for ${time(f.seconds)}. Good form lasts about ${time(f.most)}.`,
    why: 'When form is lost, only the joints hold. Two short holds are better than one long one.',
  },
  'sides-unequal': {
    title: 'Sides differ',
    what: (f) => `${f.move}: ${time(f.first)} on one side, ${time(f.second)} on the other.`,
    why: 'Give both sides the same time.',
  },
  landings: {
    title: 'Many landings',
    what: (f) => `${f.landings} full landings. Children start with about ${f.most} in a session.`,
    why: 'Bones and tendons get stronger with a few more jumps each time, and tire from too many at once.',
  },
  'hard-landings': {
    title: 'Many hard landings',
    what: (f) => `${f.landings} hard landings. Children start with about ${f.most} in a session.`,
    why: 'Jumps from a height, far on one leg, or with tucked knees are harder on the body than plain ones.',
  },
  wrists: {
    title: 'Tired wrists',
    what: (f) => `${time(f.seconds)} on the hands without a break.`,
    why: 'Small wrists tire. Put an exercise on the feet in between.',
  },
  'same-muscle-twice': {
    title: 'Same muscle twice in a row',
    what: (f) => `${f.first}, then ${f.second}: both work the ${f.muscle}.`,
    why: 'In another order, one muscle rests while another works.',
  },
  'jumps-in-a-row': {
    title: 'Many jumps in a row',
    what: (f) => `${f.n} jumping stations in a row.`,
    why: 'An arm or floor exercise in between keeps the landings soft.',
  },
  'big-step-up': {
    title: 'Big step up',
    what: (f) => `${time(f.work)} of work. Last time it was ${time(f.before)}.`,
    why: 'A third more at once makes children sore. A tenth more feels like progress.',
  },
  'rest-too-short': {
    title: 'Too little time to change',
    what: (f) => `Children need ${f.seconds} s more to get into position for ${f.move}.`,
    why: 'The clock starts before they are ready.',
  },
  'hands-full': {
    title: 'Hands not free',
    what: (f) => `${f.move} needs free hands, and they hold ${f.kg} kg.`,
    why: 'Full hands can’t catch a fall.',
  },
  'kit-missing': {
    title: 'Equipment missing',
    what: (f) => `${f.move} needs: ${f.kit}.`,
    why: 'This home doesn’t have it, and nothing replaces it.',
  },
  'floor-too-small': {
    title: 'Not enough space',
    what: (f) => `${f.move} needs ${space[String(f.needs)] ?? f.needs}.`,
    why: 'The session’s home has less space.',
  },
  'thud-where-quiet': {
    title: 'Too loud',
    what: (f) => `Neighbors below will hear ${f.move}.`,
    why: 'This session is for a quiet home.',
  },
  height: {
    title: 'Throwing high indoors',
    what: (f) => `“${f.words}” indoors.`,
    why: 'It can hit lamps and shelves. Head height is high enough.',
  },
  'thrown-things': {
    title: 'Thrown things on the floor',
    what: (f) => `${f.next} comes after ${f.move}, and thrown things may still be on the floor.`,
    why: 'Children fall when they land on a rolled-up sock. Tell them to pick things up first.',
  },
  'sprint-to-wall': {
    title: 'Running to a wall',
    what: (f) => `“${f.words}”.`,
    why: 'Children can’t always stop in time. End the run two big steps before a wall, door or fence.',
  },
  'partner-alone': {
    title: 'Partner needed',
    what: (f) => `${f.move} takes two children.`,
    why: 'This session is for one child alone.',
  },
  'adult-alone': {
    title: 'Adult needed',
    what: (f) => `${f.move} needs an adult nearby.`,
    why: 'This session is for a child alone.',
  },
  'things-to-fetch': {
    title: 'A lot of equipment',
    what: (f) => `${f.things} things to fetch. Children manage about ${f.most} by themselves.`,
    why: 'Long preparation spoils the start.',
  },
  'things-to-write': {
    title: 'Many results to record',
    what: (f) => `${f.results} results to record. Children manage about ${f.most}.`,
    why: 'Recording interrupts the session, and the last results are often guessed.',
  },
  'unsafe-weight': {
    title: 'Unsafe weight',
    what: (f) => `“${f.words}” as a weight.`,
    why: 'It can break, slip or fall apart. Use a clean closed bottle or a bag of books.',
  },
  'harmful-bottle': {
    title: 'Unsafe bottle',
    what: (f) => `“${f.words}”.`,
    why: 'Glass breaks, and cleaning products can burn. Use a closed plastic drink bottle.',
  },
  'stairs-jump': {
    title: 'Jumping on stairs or furniture',
    what: (f) => `“${f.words}”.`,
    why: 'Children can fall. Never jump on or off stairs or furniture. Stepping on the bottom stair is fine.',
  },
  'rolling-support': {
    title: 'Unstable chair',
    what: (f) => `“${f.words}”.`,
    why: 'A chair that rolls, turns or folds gives way. Use a four-legged chair with its back against a wall.',
  },
  'stand-in-unfit': {
    title: 'Unsafe replacement',
    what: (f) => `${f.standIn} can’t replace ${f.kit} for ${f.move}.`,
    why: 'It isn’t safe for this exercise. Use the real thing or another exercise.',
  },
  'small-things': {
    title: 'Choking hazard',
    what: (f) => `“${f.words}” with no adult nearby.`,
    why: 'Children under eight can choke on small things and burst balloons. Ask for an adult, or use rolled socks.',
  },
  'in-the-mouth': {
    title: 'Something in the mouth',
    what: (f) => `“${f.words}”.`,
    why: 'Children can choke. Keep the mouth empty while moving.',
  },
  'round-the-neck': {
    title: 'Tied to the body or furniture',
    what: (f) => `“${f.words}”.`,
    why: 'Never tie anything to the neck, wrists, doors or furniture.',
  },
  blindfold: {
    title: 'Blindfold',
    what: (f) => `“${f.words}”.`,
    why: 'At home nobody is there to guide a child who can’t see.',
  },
  heading: {
    title: 'Heading a ball',
    what: (f) => `“${f.words}”.`,
    why: 'Football associations advise against heading before age 11 or 12.',
  },
  inverted: {
    title: 'Upside down',
    what: (f) => `“${f.words}”: weight on the neck or hands, head down.`,
    why: 'Not before grade 3, and only with an adult. Log rolls, rocking and downward dog are fine.',
  },
  'young-load': {
    title: 'Weight for young children',
    what: (f) => `${f.move} with ${f.kg} kg for the youngest.`,
    why: 'Children are ready for weights at about seven or eight. Until then use soft, light things with an adult.',
  },
  'overhead-load': {
    title: 'Weight overhead',
    what: (f) => `${f.move} with ${f.kg} kg above the head.`,
    why: 'It can fall on the face. Grades 2 and 3 press at most half a kilogram, standing or sitting.',
  },
  'beyond-grade': {
    title: 'Too hard for the grade',
    what: (f) => `${f.version} is for grade ${grade(f.from)} and up.`,
    why: 'With an easier version the children can do it well.',
  },
  'no-easier': {
    title: 'No easier version',
    what: (f) => `${f.move} is already the easiest version, with no tip for children who find it too hard.`,
    why: 'The button “Make it easier” has nothing to offer. Add one line of your own.',
  },
  'load-too-heavy': {
    title: 'Weight too heavy',
    what: (f) => `${f.move} with ${f.kg} kg. Children this age start with ${f.most} kg.`,
    why: 'Start with ten clean reps, then add the smallest weight you have.',
  },
  'load-not-stated': {
    title: 'Weight not given',
    what: (f) => `${f.move}: the weight is missing.`,
    why: 'Every family packs a bag differently. Give the weight in kilograms or books.',
  },
  'young-dips': {
    title: 'Unsafe dips',
    what: (f) => `${f.move} on ${f.standIn}.`,
    why: 'It can tip over. Dips need a chair with its back against a wall.',
  },
  spinning: {
    title: 'Spinning',
    what: (f) => `“${f.words}”.`,
    why: 'After three turns children get dizzy and fall. One turn is enough, then stand still.',
  },
  'high-elbows': {
    title: 'Elbows too high',
    what: (f) => `“${f.words}”.`,
    why: 'Elbows above the shoulders can pinch the joint. Pull to the lowest rib.',
  },
  'loaded-round-twist': {
    title: 'Seated twist with a weight',
    what: (f) => `${f.move} with ${f.kg} kg, sitting.`,
    why: 'A round back, a weight and a twist strain the spine. Leave out the weight, or stand.',
  },
  'neck-circles': {
    title: 'Neck circles',
    what: (f) => `“${f.words}”.`,
    why: 'Full circles bend the neck backward. Move the head from side to side.',
  },
  'deep-walking-squats': {
    title: 'Walking in a deep squat',
    what: (f) => `“${f.words}”.`,
    why: 'It strains the knees after about 20 seconds. Keep it short.',
  },
  'held-feet-sit-ups': {
    title: 'Sit-ups with held feet',
    what: (f) => `“${f.words}”.`,
    why: 'With held feet the hips do the work and the back arches. Use curl-ups with free feet.',
  },
  'eyes-closed': {
    title: 'Eyes closed',
    what: (f) => `“${f.words}” while standing or moving.`,
    why: 'Near furniture, eyes stay open. Closing them is fine at rest.',
  },
  'socks-jump': {
    title: 'Jumping in socks',
    what: (f) => `“${f.words}”.`,
    why: 'Socks slip. Wear shoes or go barefoot.',
  },
  'breath-held': {
    title: 'Holding the breath',
    what: (f) => `“${f.words}”.`,
    why: 'Holding the breath raises blood pressure. Tell children to keep breathing.',
  },
  'bounced-stretch': {
    title: 'Bouncing in a stretch',
    what: (f) => `“${f.words}”.`,
    why: 'Holding still and breathing stretches further than bouncing.',
  },
  'raced-technique': {
    title: 'Weight against the clock',
    what: (f) => `${f.move} with a weight, against the clock.`,
    why: 'Children who count reps forget their form. Leave out the weight, or use sets.',
  },
  'floor-burpee': {
    title: 'Burpees to the floor',
    what: (f) => `“${f.words}” below grade 3.`,
    why: 'Young children step or jump back and in, and keep the chest up.',
  },
  'neck-pulse': {
    title: 'Pulse at the neck',
    what: (f) => `“${f.words}”.`,
    why: 'Count at the wrist. At the neck, press lightly on one side only. Grades K–2 put a hand on the chest.',
  },
  forfeits: {
    title: 'Exercise as a penalty',
    what: (f) => `“${f.words}”.`,
    why: 'Exercise is not a penalty, and children who are out move least. Give everybody the next task.',
  },
  'seated-twin': {
    title: 'No seated exercise',
    what: (f) => `“${f.words}”, but the main part has no seated exercise.`,
    why: 'The library has seated exercises that raise the pulse, such as seated run, seated jack and climb the rope.',
  },
  'body-talk': {
    title: 'Talk about bodies',
    what: (f) => `“${f.words}”.`,
    why: 'Body shape, weight and calories are not goals for children.',
  },
  'punishment-words': {
    title: 'Punishing words',
    what: (f) => `“${f.words}”.`,
    why: 'Moving is not a punishment. Choose another name.',
  },
  filmed: {
    title: 'Photos or videos of children',
    what: (f) => `“${f.words}”.`,
    why: 'Pictures of children fall under the school’s privacy rules. A number or a smiley tells you as much.',
  },
  'too-many-words': {
    title: 'Too much to read',
    what: (f) => `${f.words} words of your own. Children this age read about ${f.most}.`,
    why: 'Children read short lines and skip long ones, even the cautions.',
  },
  'surprise-told': {
    title: 'Surprise given away',
    what: (f) => `This gives the surprise away: ${f.words}.`,
    why: 'Children can read its name before it starts.',
  },
  'measured-cold': {
    title: 'Test before the warm-up',
    what: (f) => `The test comes after ${time(f.moved)} of moving.`,
    why: 'A hold or a rep test is better and safer with a warm body.',
  },
  'other-set-up': {
    title: 'Different set-ups',
    what: (f) => `${f.test} is set up in two ways: ${f.first}, and ${f.other}.`,
    why: 'Results with different set-ups can’t be compared.',
  },
  'test-beyond-grade': {
    title: 'Test too hard for the grade',
    what: (f) => `${f.test} is for grade ${grade(f.from)} and up.`,
    why: 'Tests to the limit are not for young children, least of all at home.',
  },
  'test-thuds': {
    title: 'Loud test',
    what: (f) => `Neighbors below will hear ${f.test}.`,
    why: 'This session is for a quiet home.',
  },
  'one-sided': {
    title: 'One-sided session',
    what: (f) => `${f.share} % of the work is ${kinds[String(f.part)] ?? f.part}.`,
    why: 'Balance pushing, pulling, legs and core, at least over a week.',
  },
}
