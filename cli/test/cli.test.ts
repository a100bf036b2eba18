import { execFile } from 'node:child_process'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { newSession } from '@esfuerzo/core'
import { docxOf } from '@esfuerzo/plans/write'
import { main } from '../src/main.ts'

let folder: string
beforeAll(async () => void (folder = await mkdtemp(join(tmpdir(), 'esfuerzo-cli-'))))
afterAll(() => rm(folder, { recursive: true }))

interface Ran {
  code: number
  out: string
  err: string
}
/** Runs a command in this process. */
async function core(...args: string[]): Promise<Ran> {
  const [out, err]: string[][] = [[], []]
  const code = await main(args, { out: (text) => out!.push(text), err: (text) => err!.push(text) })
  return { code, out: out!.join('\n'), err: err!.map((line) => `${line}\n`).join('') }
}

it('writes results to standard output and mistakes to standard error, and exits with 0 or 2', async () => {
  const program = (...args: string[]) =>
    new Promise<Ran>((resolve) => {
      execFile(process.execPath, ['--import', 'tsx', 'cli/src/index.ts', ...args], (error, out, err) =>
        resolve({ code: error ? Number(error.code) : 0, out, err }),
      )
    })
  const [good, bad] = await Promise.all([program('timeline', await file('program.json', session)), program('dance')])
  expect([good.code, good.err, JSON.parse(good.out).groups.length]).toEqual([0, '', 2])
  expect([bad.code, bad.out]).toEqual([2, ''])
  expect(bad.err).toContain('Usage')
})

const file = async (name: string, content: unknown) => {
  const path = join(folder, name)
  await writeFile(path, typeof content === 'string' ? content : JSON.stringify(content))
  return path
}

const session = newSession(
  'Springs',
  [
    [0, 1],
    [4, 5],
  ],
  20,
  1,
)
session.sections[1]!.blocks = [
  {
    id: 'b2',
    form: 'intervals',
    stations: [{ id: 's1', cells: { all: { move: 'pogo', version: 'pogo' } } }],
    laps: {
      all: [{ work: 30, rest: 30 }],
      by: {
        g2: [
          { work: 40, rest: 20 },
          { work: 40, rest: 20 },
        ],
      },
    },
  },
]

it('prints every group’s seconds and steps, or one group’s', async () => {
  const path = await file('good.json', session)
  const all = JSON.parse((await core('timeline', path)).out)
  expect(all.groups.map((g: { id: string; seconds: { typical: number } }) => [g.id, g.seconds.typical])).toEqual([
    ['g1', 60],
    ['g2', 120],
  ])
  const { groups } = JSON.parse((await core('timeline', path, '--group', 'g2')).out)
  expect(groups).toHaveLength(1)
  expect(groups[0]).toMatchObject({ name: '4–5', work: 80, rest: 40, change: 0, talk: 0 })
  expect(groups[0].steps).toHaveLength(4)
})

it('reports every mistake on standard error and exits with 2', async () => {
  const bad = JSON.parse(JSON.stringify(session))
  bad.title = 7
  bad.groups[0].grades = [9]
  bad.sections[1].blocks[0].stations[0].cells.all.colour = 'red'
  const { code, out, err } = await core('timeline', await file('bad.json', bad))
  expect(code).toBe(2)
  expect(out).toBe('')
  expect(
    err
      .trim()
      .split('\n')
      .map((l) => l.split(': ')[0]),
  ).toEqual(['title', 'groups[0].grades[0]', 'sections[1].blocks[0].stations[0].cells.all.colour'])
})

it('refuses unknown moves, unknown groups, missing files and missing arguments', async () => {
  const moon = JSON.parse(JSON.stringify(session))
  moon.sections[1].blocks[0].stations[0].cells.all.move = 'moonwalk'
  const answers = await Promise.all([
    core('timeline', await file('moon.json', moon)),
    core('timeline', await file('good2.json', session), '--group', 'g7'),
    core('timeline', join(folder, 'none.json')),
    core(),
  ])
  expect(answers.map((a) => a.code)).toEqual([2, 2, 2, 2])
  expect(answers.map((a) => a.err)).toEqual([
    expect.stringContaining('moonwalk'),
    expect.stringContaining('g7'),
    expect.stringContaining('none.json'),
    expect.stringContaining('Usage'),
  ])
})

it('converts whiteboard text to JSON and back, and timeline accepts either', async () => {
  const text = '# Springs\nminutes 20; groups K-1, 4-6; space mat\n\n## Main part\n3 laps 30/30\nSquat jump\n'
  const board = await file('board.txt', text)
  const json = await core('notation', board)
  expect([json.code, json.err]).toEqual([0, ''])
  const whole = await file('board.json', json.out)
  expect((await core('notation', whole)).out.trim()).toBe(text.trim())
  const [fromText, fromJson] = await Promise.all([core('timeline', board), core('timeline', whole)])
  expect(JSON.parse(fromText.out)).toEqual(JSON.parse(fromJson.out))
  expect(JSON.parse(fromText.out).groups[0].seconds.typical).toBe(180)
  const again = await core('notation', board, '--to', 'text')
  expect(again.out.trim()).toBe(text.trim())
  expect((await core('notation', board, '--to', 'music')).code).toBe(2)
})

it('accepts any text: open points are printed as questions, and are errors only with --strict', async () => {
  const typo = await core('notation', await file('typo.txt', '## Main part\nplnak 30 s'), '--to', 'text')
  expect([typo.code, typo.err]).toEqual([0, ''])
  expect(typo.out).toContain('Plank 30 s')
  const open = await file('open.txt', 'Fun time\nSquats x10\nZorbling 20 secs\n')
  const asked = await core('notation', open)
  expect(asked.code).toBe(0)
  expect(asked.err).toBe('question 3:1 name "Zorbling": own | note\n')
  expect(JSON.parse(asked.out).moves[0].move.name).toBe('Zorbling')
  const strict = await core('timeline', open, '--strict')
  expect([strict.code, strict.out]).toEqual([2, ''])
  expect((await core('notation', await file('broken.json', '{ "title": 1 }'))).code).toBe(2)
})

it('fits a session to its minutes, arranges a block, says when children finish', async () => {
  const text = await file(
    'long.txt',
    ['# Long', 'minutes 6; groups 2-3', '## Main part', '4 laps 40/30', 'squat', 'crab walk', 'lunge', ''].join('\n'),
  )
  const { kind, ways } = JSON.parse((await core('fit', text)).out)
  expect(kind).toBe('ways')
  expect(ways[0].after.g1).toBeLessThanOrEqual(360)
  const missing = await core('arrange', text)
  expect(missing.code).toBe(2)
  expect(missing.err).toContain('--block')
  const block = /b\d+/.exec(missing.err)![0]
  const arranged = JSON.parse((await core('arrange', text, '--block', block)).out)
  expect(arranged.order).toHaveLength(3)
  const spread = JSON.parse((await core('spread', text, '--children', '100')).out)
  expect(spread.groups[0].finish).toMatchObject({ early: 840, median: 840, last: 840, inTime: 0 })
  expect((await core('spread', text, '--children', 'many')).code).toBe(2)
  const { findings } = JSON.parse((await core('check', text)).out)
  expect(findings[0]).toMatchObject({ rule: 'over-minutes', level: 'look', groups: ['g1'], where: {} })
  expect(findings[0].what).toContain('over the')
})

it('refuses by name what is too long to compute, without computing it', async () => {
  const text = await file(
    'endless.txt',
    ['# Endless', 'minutes 20; groups 2-3', '## Main part', ...calls(3)].join('\n'),
  )
  for (const command of ['timeline', 'fit', 'spread']) {
    const { code, out, err } = await core(command, text)
    expect([code, out]).toEqual([2, ''])
    expect(err).toMatch(/^sections\[0\]\.blocks\[\d\]: at most 3000 steps for .*, found more\n$/)
  }
  // The text form works as well as the JSON form.
  expect((await core('notation', text)).code).toBe(0)
})
const calls = (n: number) => Array.from({ length: n }, () => ['calls every 1 s; for 60 min', 'top: squat']).flat()

it('drafts three sessions as whiteboard text, the same again with the same seed, and refuses what it cannot read', async () => {
  const words = [
    'draft',
    '--aim',
    'strength',
    '--minutes',
    '20',
    '--groups',
    'K-1,2-3,4-6',
    '--space',
    'mat',
    '--quiet',
  ]
  const { code, out } = await core(...words, '--seed', '3')
  expect(code).toBe(0)
  expect(out.match(/^# /gm)).toHaveLength(3)
  expect(out.match(/^minutes 20; groups K-1, 2-3, 4-6; space mat; quiet; with somebody; aim strength$/gm)).toHaveLength(
    3,
  )
  expect((await core(...words, '--seed', '3')).out).toBe(out)
  expect((await core(...words, '--seed', '4')).out).not.toBe(out)
  // The output can be read back without a question.
  const alone = await core('draft', '--intent', 'work')
  expect(alone.out.match(/^# /gm)).toHaveLength(1)
  const path = await file('draft.txt', alone.out)
  const read = await core('timeline', path, '--strict')
  expect([read.code, read.err]).toEqual([0, ''])
  for (const bad of [
    ['--aim', 'strenght'],
    ['--minutes', '200'],
    ['--groups', '7'],
    ['--kit', 'jetpack'],
    ['--space', 'sea'],
  ]) {
    const refused = await core('draft', ...bad)
    expect([refused.code, refused.out]).toEqual([2, ''])
    expect(refused.err).toContain(bad[0])
  }
})

it('reads plans of other programs: a document, a spreadsheet with two sessions; names a file it cannot open', async () => {
  const bytes = async (name: string, content: Uint8Array) => {
    const path = join(folder, name)
    await writeFile(path, content)
    return path
  }
  const plan = await bytes(
    'plan.docx',
    await docxOf([
      { kind: 'heading', level: 1, text: 'Ferry day' },
      { kind: 'heading', level: 2, text: 'Main part' },
      { kind: 'table', rows: [['Exercise', 'Reps'], ['Squats', '10'], ['Lunges', '8']] }, // oxfmt-ignore
    ]),
  )
  const read = await core('notation', plan, '--to', 'text')
  expect([read.code, read.err]).toEqual([0, ''])
  expect(read.out).toMatch(/^# Ferry day\nminutes .*\n\n## Main part\nSquat 10\nLunge 8$/)
  const two = await file(
    'two.html',
    '<h1>Monday</h1><p>Squats x10<p>Plank 20 s<h1>Friday</h1><p>Lunges x8<p>Plank 30 s',
  )
  const second = await core('notation', two, '--to', 'text', '--session', '2')
  expect(second.out).toContain('# Friday')
  expect(second.err).toBe('session 2 of 2: --session says which\n')
  expect((await core('notation', two, '--session', '3')).err).toBe('--session: should be at most 2\n')
  const picture = await core('notation', await bytes('board.png', new Uint8Array([0x89, 0x50, 0x4e, 0x47])))
  expect(picture.code).toBe(2)
  expect(picture.err).toContain('board.png: Esfuerzo can’t read pictures')
})

it.each([
  ['timeline'],
  ['fit'],
  ['arrange', '--block', 'b1'],
  ['spread', '--children', '100'],
  ['check'],
  ['notation'],
])('%s accepts a session with its own exercises, as text and as JSON', async (verb, ...more) => {
  const text = 'minutes 20; groups 4-6\n## Main part\n2 laps 30/30\n"Zorb, 3 × high" 4\nsquat\nlunge\n'
  const path = await file(`own-${verb}.txt`, text)
  const asText = await core(verb!, path, ...more)
  expect([asText.code, asText.err.replace(/^question .*\n/gm, '')]).toEqual([0, ''])
  const json = (await core('notation', path, '--to', 'json')).out
  const asJson = await core(verb!, await file(`own-${verb}.json`, json), ...more)
  expect([asJson.code, asJson.err]).toEqual([0, ''])
  if (verb === 'notation') expect(asJson.out).toContain('"Zorb, 3 × high" 4')
  else expect(asJson.out).toBe(asText.out)
})
