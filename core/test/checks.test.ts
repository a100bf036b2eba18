import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { indexLibrary, type Workout } from '@esfuerzo/core'
import { checkSession, findingText, levels, type RuleId } from '@esfuerzo/core/checks'
import { parse } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { demoSessions, demoWorkout } from '../../server/src/demo/sessions.ts'
import { limits } from '../src/checks/limits.ts'
import { ruleIds } from '../src/checks/rule.ts'
import { rules } from '../src/checks/registry.ts'
import { library } from './sessions.ts'

type Home = Partial<Workout['home']>
/** A session as text, with what a text does not say of its home. */
function session(text: string, home: Home = {}, more: Partial<Workout> = {}): Workout {
  const { workout, problems } = parse(text, library)
  expect(problems).toEqual([])
  return { ...workout, ...more, home: { ...workout.home, ...home } }
}
const found = (workout: Workout) => checkSession(workout, library)
const of = (rule: RuleId, workout: Workout) => found(workout).filter((f) => f.rule === rule)

const head = (minutes: number, groups = 'K-1, 4-6', rest = 'space run') =>
  `# x\nminutes ${minutes}; groups ${groups}; ${rest}\n`
const warm = '## Warm-up\nmarch on the spot 2 min\nstep touch 60 s\n'
const cool = "## Cool-down\nslow breaths 10 breaths\nchild's pose 30 s\n"
const main = (lines: string) => `## Main (main)\n${lines}\n`

/** For each rule a session that breaks it and one that comes as near as it may. */
const cases: Record<RuleId, { breaks: () => Workout; near: () => Workout }> = {
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
  it('have each an id, a file of that name, and words in both languages', () => {
    expect(rules.map((r) => r.id)).toEqual([...ruleIds])
    const folder = new URL('../src/checks/rules/', import.meta.url)
    const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))
    const camel = (id: string) => id.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase())
    expect(files.sort()).toEqual(rules.map((r) => `${r.family}/${camel(r.id)}.ts`).sort())
  })

  it('hold to limits that say where they are from', () => {
    for (const [id, { value, source }] of Object.entries(limits)) {
      expect(source.length, id).toBeGreaterThan(3)
      // What is asked of the older is never less.
      if (!/share|under|from|youngLoad|fetch/i.test(id)) expect(value[2], id).toBeGreaterThanOrEqual(value[0])
    }
  })

  it.each(Object.entries(cases) as [RuleId, (typeof cases)[RuleId]][])(
    '%s finds what breaks it, and not what is near',
    (rule, { breaks, near }) => {
      const [one] = of(rule, breaks())
      expect(one).toBeDefined()
      for (const language of ['en', 'es'] as const) {
        const { what, why } = findingText(one!, language)
        expect(`${what} ${why}`).not.toMatch(/undefined|NaN|\[object/)
      }
      expect(of(rule, near())).toEqual([])
    },
  )

  it('put stops before looks before notes', () => {
    const all = found(cases['young-load'].breaks()).map((f) => levels.indexOf(f.level))
    expect(all).toEqual([...all].sort((a, b) => a - b))
  })
})

describe('levels', () => {
  it('a light weight for the youngest is looked at alone, nothing with an adult, a stop over a kilogram', () => {
    const load = (kg: number, company: 'alone' | 'together') =>
      of('young-load', session(`${head(10, 'K-1')}${main(`bag row 8; ${kg} kg`)}`, { company })).map((f) => f.level)
    expect([load(0.2, 'alone'), load(0.5, 'alone'), load(0.5, 'together'), load(1.5, 'together')]).toEqual([
      [],
      ['look'],
      [],
      ['stop'],
    ])
  })

  it('a short session needs no warm-up unless it lands at full effort at once', () => {
    const at = (row: string) => of('short-warm-up', session(`${head(3, '4-6')}${main(row)}`)).length
    expect([at('high knees 60 s'), at('"Squat jump: Tuck jump" 10')]).toEqual([0, 1])
  })

  it('each landing of a rep is counted, also in goes: a court of hopscotch in 9 s has four and a half reps of two', () => {
    const at = (goes: number) => of('landings', session(`${head(10, '4-6')}${main(`hopscotch ${goes} goes`)}`))
    expect([at(11), at(12).map((f) => f.facts.landings)]).toEqual([[], [108]])
  })

  it('far under the minutes is a look, a little under a note', () => {
    const under = (seconds: number) =>
      of('well-under-minutes', session(`${head(10)}${main(`1 lap ${seconds}/0\nmarch on the spot`)}`)).map(
        (f) => f.level,
      )
    expect([under(389), under(390), under(480)]).toEqual([['look'], ['note'], []])
  })
})

/** Looks a demo session has on purpose, each with its reason. */
const meant: Readonly<Record<string, string>> = {
  'storm-day-springs short-warm-up': 'its first lap of low springs is part of the warm-up',
  'storm-day-springs landings':
    'landing softly is what it is for: three short laps with rests, low jumps for the most part',
}

it('demo sessions are free of stops, and of looks but for those meant', () => {
  const whole = indexLibrary(libraryData)
  const looks = demoSessions.flatMap((session) =>
    checkSession(demoWorkout(session, whole), whole)
      .filter((f) => f.level !== 'note' && !meant[`${session.file} ${f.rule}`])
      .map((f) => `${session.file}: ${f.rule} ${f.level} ${JSON.stringify(f.facts)}`),
  )
  expect(looks).toEqual([])
})
