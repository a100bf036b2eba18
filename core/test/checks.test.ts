import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { indexLibrary, readSession, setStation, stationsOf, type Session } from '@esfuerzo/core'
import {
  checkSession,
  findingText,
  fixesOf,
  fixText,
  fixWords,
  levels,
  type CheckContext,
  type RuleId,
} from '@esfuerzo/core/checks'
import { parse } from '@esfuerzo/core/notation'
import { beginnings, libraryData } from '@esfuerzo/library'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { makersFor } from '../src/checks/fixes/makersFor.ts'
import { limits } from '../src/checks/limits.ts'
import { ruleIds } from '../src/checks/rule.ts'
import { rules } from '../src/checks/registry.ts'
import { wordRules } from '../src/checks/rules/wordRules.ts'
import type { WordRule } from '../src/checks/wordRule.ts'
import { library } from './sessions.ts'

type Home = Partial<Session['home']>
/** A session as text, plus what a text does not say about its home. */
function session(text: string, home: Home = {}, more: Partial<Session> = {}): Session {
  const { workout: session, problems } = parse(text, library)
  expect(problems).toEqual([])
  return { ...session, ...more, home: { ...session.home, ...home } }
}
const found = (session: Session, context: CheckContext = {}) => checkSession(session, library, { context })
const findingsOf = (rule: RuleId, session: Session, context?: CheckContext) =>
  found(session, context).filter((f) => f.rule === rule)

const head = (minutes: number, groups = 'K-1, 4-6', rest = 'space run') =>
  `# x\nminutes ${minutes}; groups ${groups}; ${rest}\n`
const warm = '## Warm-up\nmarch on the spot 2 min\nstep touch 60 s\n'
const cool = "## Cool-down\nslow breaths 10 breaths\nchild's pose 30 s\n"
const main = (lines: string) => `## Main (main)\n${lines}\n`

/** A main section with a note in the teacher's own words. */
const noted =
  (words: string, home: Home = {}, groups = '4-6') =>
  () =>
    session(`${head(4, groups)}## Main (main)\n> ${words}\n1 lap 100/0\nmarch on the spot\n`, home)
/** Phrases that are meant, and phrases that come close but are not meant. */
const said = (breaks: string, near: string, home: Home = {}, groups = '4-6') => ({
  breaks: noted(breaks, home, groups),
  near: noted(near, home, groups),
})
/** Two exercises, with a number of results to write down. */
const recorded = (n: number) => {
  const workout = session(`${head(9, 'K-1')}${main('squat 5\nlunge 5')}`)
  const stations = workout.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
  return stations.slice(0, n).reduce((w, { id }) => setStation(w, id, { record: 'reps' }), workout)
}
const alone: Home = { company: 'alone' }
const together: Home = { company: 'together' }

/** For each rule, a session that breaks it and one that just keeps it. */
const cases: Record<RuleId, { breaks: () => Session; near: () => Session; context?: CheckContext }> = {
  'no-warm-up': {
    breaks: () => session(`${head(14)}${main('20 laps 20/10\nhigh knees')}${cool}`),
    near: () => session(`${head(14)}${warm}${main('20 laps 20/10\nhigh knees')}${cool}`),
  },
  'hard-start': {
    breaks: () => session(`${head(14)}## Warm-up\nmarch on the spot 59 s\n"Squat jump: Squat jump" 5\n`),
    near: () => session(`${head(14)}## Warm-up\nmarch on the spot 60 s\n"Squat jump: Squat jump" 5\n`),
  },
  'straight-down': {
    breaks: () =>
      session(`${head(10, '4-6')}${warm}${main('1 lap 60/0\nhigh knees')}## Cool-down\nchild's pose 20 s\n`),
    near: () =>
      session(
        `${head(10, '4-6')}${warm}${main('1 lap 60/0\nhigh knees')}## Cool-down\nmarch on the spot 30 s\nchild's pose 20 s\n`,
      ),
  },
  'game-cut': {
    breaks: () => session(`${head(4, '4-6')}## Game (game)\ngame 5 min\nrules: Walk.\nplayers: 1\nset up: Nothing.\n`),
    near: () => session(`${head(5, '4-6')}## Game (game)\ngame 5 min\nrules: Walk.\nplayers: 1\nset up: Nothing.\n`),
  },
  'section-over': {
    breaks: () => session(`${head(9, '4-6')}## Main (main, 2 min)\n1 lap 121/0\nmarch on the spot\n`),
    near: () => session(`${head(9, '4-6')}## Main (main, 2 min)\n1 lap 120/0\nmarch on the spot\n`),
  },
  'no-counter-shape': {
    breaks: () => session(`${head(9, '4-6')}${main('1 lap 61/0\nflyer')}`),
    near: () => session(`${head(9, '4-6')}${main('1 lap 61/0\nflyer')}${cool}`),
  },
  'static-first': {
    breaks: () => session(`${head(9, '4-6')}## Warm-up\nquad stretch 20 s\nmarch on the spot 2 min\n`),
    near: () => session(`${head(9, '4-6')}## Warm-up\nmarch on the spot 2 min\nquad stretch 20 s\n`),
  },
  'not-warmed': {
    breaks: () => session(`${head(9, '4-6')}## Warm-up\narm circles 30\n${main('1 lap 90/0\nhigh knees')}`),
    near: () => session(`${head(9, '4-6')}## Warm-up\nmarch on the spot 2 min\n${main('1 lap 90/0\nhigh knees')}`),
  },
  'worked-not-stretched': {
    breaks: () => session(`${head(9, '4-6')}${main('1 lap 90/0\nsquat')}${cool}`),
    near: () => session(`${head(9, '4-6')}${main('1 lap 90/0\nsquat')}## Cool-down\nquad stretch 20 s\n`),
  },
  'mostly-still': {
    breaks: () => session(`${head(4, '4-6', 'aim endurance')}${main('4 laps 29/31\nmarch on the spot')}`),
    near: () => session(`${head(4, '4-6', 'aim endurance')}${main('4 laps 30/30, no last rest\nmarch on the spot')}`),
  },
  'new-moves': {
    breaks: () => session(`${head(4, '4-6')}${main('squat 5\nlunge 5\nplank 10 s\nskipping on the spot 10 s')}`),
    near: () => session(`${head(4, '4-6')}${main('squat 5\nlunge 5\nplank 10 s')}`),
    context: { known: new Set(['march']) },
  },
  'aim-absent': {
    breaks: () => session(`${head(4, '4-6', 'aim balance')}${main('tree 29 s')}`),
    near: () => session(`${head(4, '4-6', 'aim balance')}${main('tree 30 s')}`),
  },
  'work-too-long': {
    breaks: () => session(`${head(4, '4-6')}${main('1 lap 61/30\nhigh knees')}`),
    near: () => session(`${head(4, '4-6')}${main('1 lap 60/30\nhigh knees')}`),
  },
  'work-rest-ratio': {
    breaks: () => session(`${head(9, '4-6')}${main('6 laps 45/20\nhigh knees')}`),
    near: () => session(`${head(9, '4-6')}${main('6 laps 45/25\nhigh knees')}`),
  },
  'vigorous-minutes': {
    breaks: () => session(`${head(9, '4-6')}${main('1 lap 361/0\njumping jack')}`),
    near: () => session(`${head(9, '4-6')}${main('1 lap 360/0\njumping jack')}`),
  },
  'loaded-sets': {
    breaks: () => session(`${head(9, '4-6')}${main('4 sets, rest 30 s\nbag row 8; 1 kg')}`),
    near: () => session(`${head(9, '4-6')}${main('3 sets, rest 30 s\nbag row 8; 1 kg')}`),
  },
  'loaded-reps': {
    breaks: () => session(`${head(9, '4-6')}${main('3 sets, rest 30 s\nbag row 16; 1 kg')}`),
    near: () => session(`${head(9, '4-6')}${main('3 sets, rest 30 s\nbag row 15; 1 kg')}`),
  },
  'power-reps': {
    breaks: () => session(`${head(9, '4-6')}${main('3 sets, rest 30 s\n"Squat jump: Tuck jump" 7')}`),
    near: () => session(`${head(9, '4-6')}${main('3 sets, rest 30 s\n"Squat jump: Tuck jump" 6')}`),
  },
  'hold-policy': {
    breaks: () => session(`${head(9, '4-6')}## Cool-down\nquad stretch 31 s\n`),
    near: () => session(`${head(9, '4-6')}## Cool-down\nquad stretch 30 s\ncross-body stretch 10 s\n`),
  },
  'same-muscle-twice': {
    breaks: () => session(`${head(9, '4-6')}${main('2 rounds, rest 60 s\nsquat 8\nwide squat 8\npush-up 5')}`),
    near: () => session(`${head(9, '4-6')}${main('2 rounds, rest 60 s\nsquat 8\npush-up 5\nwide squat 8')}`),
  },
  'jumps-in-a-row': {
    breaks: () => session(`${head(9, '4-6')}${main('2 rounds, rest 60 s\npencil jump 4\nside hop 4\nin and out 4')}`),
    near: () =>
      session(`${head(9, '4-6')}${main('2 rounds, rest 60 s\npencil jump 4\nside hop 4\nplank 10 s\nin and out 4')}`),
  },
  'big-step-up': {
    breaks: () => session(`${head(9, '4-6')}${main('1 lap 121/0\nmarch on the spot')}`),
    near: () => session(`${head(9, '4-6')}${main('1 lap 120/0\nmarch on the spot')}`),
    context: { lastWork: 90 },
  },
  'rest-too-short': {
    breaks: () => session(`${head(9, '4-6')}${main('2 laps 30/1\nsquat\ncurl-up\nlunge')}`),
    near: () => session(`${head(9, '4-6')}${main('2 laps 30/2\nsquat\ncurl-up\nlunge')}`),
  },
  'hands-full': {
    breaks: () => session(`${head(9, '4-6')}${main('wall sit 20 s; 1 kg')}`),
    near: () => session(`${head(9, '4-6')}${main('bag row 8; 1 kg')}`),
  },
  'thrown-things': {
    breaks: () =>
      session(`${head(9, '4-6')}${main('2 rounds, rest 60 s\ntoss into the basket 5 goes\nhigh knees 20')}`),
    near: () => session(`${head(9, '4-6')}${main('2 rounds, rest 60 s\ntoss into the basket 5 goes\nplank 20 s')}`),
  },
  'things-to-write': {
    breaks: () => recorded(2),
    near: () => recorded(1),
  },
  'stand-in-unfit': {
    breaks: () =>
      session(`${head(9, '4-6')}${main('wall walk 2')}`, { ...together, standIns: { wall: 'closed door' } }),
    near: () => session(`${head(9, '4-6')}${main('wall walk 2')}`, { ...together, kit: ['wall'] }),
  },
  'overhead-load': {
    breaks: () => session(`${head(9, '2-3')}${main('"Bottle press: Bottle press" 8; 0.6 kg')}`, { kit: ['bottle'] }),
    near: () => session(`${head(9, '4-6')}${main('"Bottle press: Bottle press" 8; 0.6 kg')}`, { kit: ['bottle'] }),
  },
  'load-too-heavy': {
    breaks: () => session(`${head(9, '4-6')}${main('bottle curl 8; 2.1 kg')}`, { kit: ['bottle'] }),
    near: () => session(`${head(9, '4-6')}${main('bottle curl 8; 2 kg')}`, { kit: ['bottle'] }),
  },
  'load-not-stated': {
    breaks: () => session(`${head(9, '4-6')}${main('bag row 8')}`),
    near: () => session(`${head(9, '4-6')}${main('bag row 8; 1 kg')}`),
  },
  'young-dips': {
    breaks: () => session(`${head(9, '4-6')}${main('chair dips 5')}`, { standIns: { chair: 'sofa edge' } }),
    near: () => session(`${head(9, '4-6')}${main('chair dips 5')}`),
  },
  'loaded-round-twist': {
    breaks: () => session(`${head(9, '4-6')}${main('seated turns 8; 1.1 kg')}`, { kit: ['bottle'] }),
    near: () => session(`${head(9, '4-6')}${main('seated turns 8; 1 kg')}`, { kit: ['bottle'] }),
  },
  'raced-technique': {
    breaks: () => session(`${head(9, '4-6')}${main('amrap 5 min\nbag row 8; 1 kg')}`),
    near: () => session(`${head(9, '4-6')}${main('3 rounds, rest 60 s\nbag row 8; 1 kg')}`),
  },
  'measured-cold': {
    breaks: () => session(`${head(9, '4-6')}## Warm-up\nmarch on the spot 59 s\n## Test\nmeasure hold before\n`),
    near: () => session(`${head(9, '4-6')}## Warm-up\nmarch on the spot 60 s\n## Test\nmeasure hold before\n`),
  },
  'other-set-up': {
    breaks: () =>
      session(
        `${head(9, '4-6')}## Test\nmeasure sit and reach before, 2 trials\nmeasure sit and reach after, set-up step, 2 trials\n`,
      ),
    near: () =>
      session(
        `${head(9, '4-6')}## Test\nmeasure sit and reach before, set-up step, 2 trials\nmeasure sit and reach after, set-up step, 2 trials\n`,
      ),
  },
  'test-beyond-grade': {
    breaks: () => session(`${head(9, '2-3')}## Test\nmeasure plank hold\n`),
    near: () => session(`${head(9, '3-4')}## Test\nmeasure plank hold\n`),
  },
  'test-thuds': {
    breaks: () => session(`${head(9, '4-6')}## Test\nmeasure line jumps in 15 s, 2 trials\n`, { quiet: true }),
    near: () => session(`${head(9, '4-6')}## Test\nmeasure sit-to-stands in 30 s\n`, { quiet: true }),
  },
  'one-sided': {
    breaks: () => session(`${head(9, '4-6', 'aim strength')}${main('1 lap 61/0\nsquat\n1 lap 39/0\nplank')}`),
    near: () => session(`${head(9, '4-6', 'aim strength')}${main('1 lap 60/0\nsquat\n1 lap 40/0\nplank')}`),
  },
  'surprise-told': {
    breaks: () =>
      session(
        '# The treasure hunt\nminutes 9; groups 4-6\n## Treasure hunt (game, surprise)\nmarch on the spot 60 s\n',
      ),
    near: () =>
      session('# A morning at sea\nminutes 9; groups 4-6\n## Treasure hunt (game, surprise)\nmarch on the spot 60 s\n'),
  },
  'too-many-words': {
    breaks: noted('one '.repeat(61), {}, 'K-1'),
    near: noted('one '.repeat(60), {}, 'K-1'),
  },
  'sides-unequal': {
    breaks: () => session(`${head(6, '4-6')}${main('3 rounds, cap 40 s\ntree 30 s')}`),
    near: () => session(`${head(2, '4-6')}${main('1 rounds, cap 80 s\ntree 30 s')}`),
  },
  height: {
    breaks: noted('Throw it as high as you can.'),
    near: noted('Throw it as high as you can.', { outdoors: true }),
  },
  'sprint-to-wall': said('Run to the wall and back.', 'Run to the sock and back, never to the wall.'),
  'unsafe-weight': said('Lift a brick ten times.', 'Hold a book ten times.'),
  'harmful-bottle': said('Take two glass bottles.', 'Take two plastic bottles, no glass bottles.'),
  'stairs-jump': said('Jump off the bottom step.', 'Never jump off the stairs.'),
  'rolling-support': said('Hold on to an office chair.', 'A chair without wheels, not an office chair.'),
  'small-things': said('Pick up five marbles.', 'Pick up five socks.', alone, 'K-1'),
  'in-the-mouth': said('The spoon in your mouth.', 'Breathe out through the mouth.'),
  'round-the-neck': said('Tie the scarf to the door handle.', 'Toss the scarf past the door.'),
  blindfold: said('Walk the line blindfold.', 'Walk the line.'),
  heading: said('Head the ball ten times.', 'Never head the ball.'),
  inverted: said('Five forward rolls.', 'Five log rolls.', together, 'K-1'),
  spinning: said('Spin round 4 times.', 'Turn round once and stand still.'),
  'high-elbows': said('Elbows above the shoulders.', 'Elbows below the shoulders.'),
  'neck-circles': said('Five head rolls.', 'Ear to shoulder, no head rolls.'),
  'deep-walking-squats': said('Duck walk to the door.', 'Walk to the door.'),
  'held-feet-sit-ups': said('Sit-ups with the feet under the sofa.', 'Curl-ups, feet free.'),
  'eyes-closed': said('Stand on one leg and close your eyes.', 'Keep your eyes open.'),
  'socks-jump': said('Jump in your socks.', 'Never jump in your socks.'),
  'breath-held': said('Hold your breath and push.', "Don't hold your breath."),
  'bounced-stretch': said('Bounce into the stretch.', 'Stretch, without a bounce.'),
  'floor-burpee': said('Burpees with the chest to the floor.', 'Burpees, the chest stays up.', {}, 'K-1'),
  'neck-pulse': said('Feel your pulse at the neck.', 'Feel your pulse at the wrist.'),
  forfeits: said('The loser does ten push-ups.', 'Everybody does ten push-ups.'),
  'seated-twin': said('Robin comes in a wheelchair.', 'Robin comes by ferry.'),
  'body-talk': said('Let us burn calories!', 'Let us warm up!'),
  'punishment-words': said('Then a suicide run.', 'Then a shuttle run.'),
  filmed: said('Send me a video of it.', 'Write down your number.'),
  'short-warm-up': {
    breaks: () => session(`${head(14)}## Warm-up\nmarch on the spot 20 s\n${main('20 laps 20/10\nhigh knees')}${cool}`),
    near: () => session(`${head(14)}${warm}${main('20 laps 20/10\nhigh knees')}${cool}`),
  },
  'no-cool-down': {
    breaks: () => session(`${head(14)}${warm}${main('12 laps 20/10\nhigh knees')}`),
    near: () => session(`${head(14)}${warm}${main('12 laps 20/10\nhigh knees')}${cool}`),
  },
  'over-minutes': {
    breaks: () => session(`${head(4)}${main('1 lap 241/0\nmarch on the spot')}`),
    near: () => session(`${head(4)}${main('1 lap 240/0\nmarch on the spot')}`),
  },
  'well-under-minutes': {
    breaks: () => session(`${head(10)}${main('1 lap 479/0\nmarch on the spot')}`),
    near: () => session(`${head(10)}${main('1 lap 480/0\nmarch on the spot')}`),
  },
  'lanes-apart': {
    breaks: () =>
      session(`${head(4)}${main('1 lap 100/0 [4-6: 116/0]\nmarch on the spot')}`, {}, { finishTogether: true }),
    near: () =>
      session(`${head(4)}${main('1 lap 100/0 [4-6: 115/0]\nmarch on the spot')}`, {}, { finishTogether: true }),
  },
  'long-talk': {
    breaks: () => session(`${head(4, '4-6')}## Talk\ntalk 91 s\n`),
    near: () => session(`${head(4, '4-6')}## Talk\ntalk 90 s\n`),
  },
  'no-water': {
    breaks: () => session(`${head(22)}${main('4 laps 301/0\nmarch on the spot')}`),
    near: () => session(`${head(22)}${main('4 laps 300/0\nmarch on the spot')}`),
  },
  'long-for-young': {
    breaks: () => session(`${head(20)}${main('1 lap 901/0\nmarch on the spot')}`),
    near: () => session(`${head(20)}${main('1 lap 900/0\nmarch on the spot')}`),
  },
  landings: {
    breaks: () => session(`${head(10, '4-6')}${main('one-leg hop 101')}`),
    near: () => session(`${head(10, '4-6')}${main('one-leg hop 50')}`),
  },
  'hard-landings': {
    breaks: () => session(`${head(10, '4-6')}${main('tuck jump 61')}`),
    near: () => session(`${head(10, '4-6')}${main('tuck jump 60')}`),
  },
  'long-hold': {
    breaks: () => session(`${head(10, '4-6')}${main('plank 61 s')}`),
    near: () => session(`${head(10, '4-6')}${main('plank 60 s')}`),
  },
  wrists: {
    breaks: () => session(`${head(10, '4-6')}${main('bear walk 46 s\nplank 45 s')}`),
    near: () => session(`${head(10, '4-6')}${main('bear walk 45 s\nplank 45 s')}`),
  },
  'kit-missing': {
    breaks: () => session(`${head(10, '4-6')}${main('bottle curl 10')}`),
    near: () => session(`${head(10, '4-6')}${main('bottle curl 10')}`, { kit: ['bottle'] }),
  },
  'floor-too-small': {
    breaks: () => session(`${head(10, '4-6', 'space spot')}${main('side shuffle 20 s')}`),
    near: () => session(`${head(10, '4-6', 'space steps')}${main('side shuffle 20 s')}`),
  },
  'thud-where-quiet': {
    breaks: () => session(`${head(10, '4-6')}${main('jumping jack 10')}`, { quiet: true }),
    near: () => session(`${head(10, '4-6')}${main('step touch 10')}`, { quiet: true }),
  },
  'partner-alone': {
    breaks: () => session(`${head(10, '4-6')}${main('shadow walk 20 s')}`, { company: 'alone' }),
    near: () => session(`${head(10, '4-6')}${main('shadow walk 20 s')}`, { company: 'together' }),
  },
  'adult-alone': {
    breaks: () => session(`${head(10, '4-6')}${main('wall walk 2')}`, { company: 'alone' }),
    near: () => session(`${head(10, '4-6')}${main('wall walk 2')}`, { company: 'together' }),
  },
  'things-to-fetch': {
    breaks: () => session(`${head(10, '4-6')}${main('wall sit 20 s\nsit to stand 8\nbag row 8\ntoss and catch 10')}`),
    near: () => session(`${head(10, '4-6')}${main('wall sit 20 s\nsit to stand 8\nbag row 8')}`),
  },
  'beyond-grade': {
    breaks: () => session(`${head(10, 'K-1')}${main('"Squat jump: Tuck jump" 4')}`),
    near: () => session(`${head(10, '4-6')}${main('"Squat jump: Tuck jump" 4')}`),
  },
  'young-load': {
    breaks: () => session(`${head(10, 'K-1')}${main('bag row 8; 1.1 kg')}`),
    near: () => session(`${head(10, 'K-1')}${main('bag row 8; 1 kg')}`, { company: 'together' }),
  },
  'no-easier': {
    breaks: () => session(`${head(10, '4-6')}${main('"Jog on the spot: Light jog" 20 s')}`),
    near: () => session(`${head(10, '4-6')}${main('jog on the spot 20 s')}`),
  },
}

describe('rules', () => {
  it('each have an id, and a file of that name or a line among the rules about words', () => {
    expect(rules.map((r) => r.id)).toEqual([...ruleIds])
    const folder = new URL('../src/checks/rules/', import.meta.url)
    const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))
    const camel = (id: string) => id.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase())
    const own = rules.filter((rule) => !wordRules.includes(rule as WordRule))
    expect(files.sort()).toEqual([...own.map((r) => `${r.family}/${camel(r.id)}.ts`), 'wordRules.ts'].sort())
  })

  it('have limits with a source', () => {
    for (const [id, { value, source }] of Object.entries(limits)) {
      expect(source.length, id).toBeGreaterThan(3)
      // Limits for older children are never lower.
      if (!/share|under|from|youngLoad|fetch/i.test(id)) expect(value[2], id).toBeGreaterThanOrEqual(value[0])
    }
  })

  it.each(Object.entries(cases) as [RuleId, (typeof cases)[RuleId]][])(
    '%s finds what breaks it, and not what nearly does',
    (rule, { breaks, near, context }) => {
      const [one] = findingsOf(rule, breaks(), context)
      expect(one).toBeDefined()
      for (const language of ['en', 'es'] as const) {
        const { what, why } = findingText(one!, language)
        expect(`${what} ${why}`).not.toMatch(/undefined|NaN|\[object/)
      }
      expect(findingsOf(rule, near(), context)).toEqual([])
    },
  )

  it('list fix before advice before tips', () => {
    const all = found(cases['young-load'].breaks()).map((f) => levels.indexOf(f.level))
    expect(all).toEqual([...all].sort((a, b) => a - b))
  })
})

/** Rules that offer edits, but whose example here has no edit that helps. */
const withoutFix: readonly RuleId[] = ['small-things']

describe('fixes', () => {
  it.each(Object.keys(makersFor) as RuleId[])(
    '%s is resolved by one click, and no finding of the same weight is added',
    (rule) => {
      const { breaks, context = {} } = cases[rule]
      const session = breaks()
      const [one] = findingsOf(rule, session, context)
      const fixes = fixesOf(session, one!, library, fixWords.en, { context })
      if (!withoutFix.includes(rule)) expect(fixes.length).toBeGreaterThan(0)
      for (const fix of fixes) {
        expect(fix.session).toEqual(readSession(fix.session))
        expect(findingsOf(rule, fix.session, context).length).toBeLessThan(findingsOf(rule, session, context).length)
        for (const language of ['en', 'es'] as const)
          expect(fixText(fix, language)).not.toMatch(/undefined|NaN|\[object|“”|«»/)
      }
    },
  )
})

describe('weights', () => {
  it('a light weight for the youngest is advice if alone, nothing with an adult, a fix above a kilogram', () => {
    const load = (kg: number, company: 'alone' | 'together') =>
      findingsOf('young-load', session(`${head(10, 'K-1')}${main(`bag row 8; ${kg} kg`)}`, { company })).map(
        (f) => f.level,
      )
    expect([load(0.2, 'alone'), load(0.5, 'alone'), load(0.5, 'together'), load(1.5, 'together')]).toEqual([
      [],
      ['look'],
      [],
      ['stop'],
    ])
  })

  it('a short session needs no warm-up unless it starts with full-effort landings', () => {
    const at = (row: string) => findingsOf('no-warm-up', session(`${head(3, '4-6')}${main(row)}`)).length
    expect([at('high knees 60 s'), at('"Squat jump: Tuck jump" 10')]).toEqual([0, 1])
  })

  it('each landing of a rep is counted, also in goes: a court of hopscotch in 9 s has four and a half reps of two', () => {
    const at = (goes: number) => findingsOf('landings', session(`${head(10, '4-6')}${main(`hopscotch ${goes} goes`)}`))
    expect([at(11), at(12).map((f) => f.facts.landings)]).toEqual([[], [108]])
  })

  it('far under the minutes is advice, a little under a tip', () => {
    const under = (seconds: number) =>
      findingsOf('well-under-minutes', session(`${head(10)}${main(`1 lap ${seconds}/0\nmarch on the spot`)}`)).map(
        (f) => f.level,
      )
    expect([under(389), under(390), under(480)]).toEqual([['look'], ['note'], []])
  })
})

it('demo sessions have no fix, and only advice ignored with a reason', () => {
  const whole = indexLibrary(libraryData)
  const looks = demoSessions.flatMap((session) =>
    checkSession(demoSession(session, whole), whole)
      .filter((f) => f.level !== 'note' && !f.answered)
      .map((f) => `${session.file}: ${f.rule} ${f.level} ${JSON.stringify(f.facts)}`),
  )
  expect(looks).toEqual([])
})

it('starting points have no fix and no advice', () => {
  const whole = indexLibrary(libraryData)
  const looks = beginnings.flatMap(({ id, text }) =>
    checkSession(parse(text, whole).workout, whole)
      .filter((f) => f.level !== 'note')
      .map((f) => `${id}: ${f.rule} ${f.level} ${JSON.stringify(f.facts)}`),
  )
  expect(looks).toEqual([])
})
