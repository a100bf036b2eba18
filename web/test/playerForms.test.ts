import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { createSentences } from '../src/shared/sentences.ts'
import { forms, newSession, type Form } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { publish, type Publication } from '@esfuerzo/core/publication'
import { courseOf } from '@esfuerzo/core/run'
import en from '../src/player/locales/en.json'
import PlayerStage from '../src/player/PlayerStage.vue'
import { library } from '../src/repertoire/library.ts'

vi.stubGlobal('AudioContext', undefined)

/** One block of each form as a teacher writes it, and a text a child reads somewhere in it. */
const texts: Record<Form, [text: string, reads: RegExp]> = {
  talk: ['talk 30 s', /The block|Listen/],
  list: ['squat 5\nside lunge 6', /Squat/],
  intervals: ['2 laps 20/10\nsquat\none-leg stand', /lap 1 of 2/],
  rounds: ['2x 5 squat, 5 lunge, rest 20', /Lunge/],
  sets: ['2x5 squat, rest 15', /Squat/],
  amrap: ['amrap 4: 5 squats, 5 lunges', /no rounds yet/],
  ladder: ['ladder 1-3: squat, plank', /Squat/],
  chance: ['coin: squat | lunge', /Flip the coin/],
  calls: ['calls every 8 s, for 1 min\nmast: squat\ndeck: plank', /mast|deck/i],
  sums: ['sums 5-12 add: squat', /\d+ \+ \d+/],
  relay: ['relay 2 rounds: 5 squat, plank 20 s', /Your partner's turn/],
  levels: ['levels 1-2, each 60 s\ntoss and catch\nhand dribble', /Toss and catch/i],
  target: ['target 1 m = 1 and 2 m = 2, 3 throws', /throw|target|point/i],
  game: ['game 1 min\nrules: Statues in the fog', /Statues in the fog/],
  measure: ['measure sit and reach before', /reach/i],
  quiz: ['quiz\nask: What works when you rise? | *the calves | the neck', /What works when you rise\?/],
}

function published(text: string): Publication | undefined {
  const groups = newSession('x', [[4, 5, 6]], 20, library.version).groups
  const { workout: session, problems } = parse(
    `# Fog\n## Main\nmarch on the spot 10 s\n### The block\n${text}\n`,
    library,
    groups,
  )
  if (problems.length) throw new Error(`${text}: ${JSON.stringify(problems)}`)
  return publish(session, library)
}

/** What every step of a run shows, from the first to the last, by skipping. */
async function walk(publication: Publication) {
  const lane = publication.lanes[0]!
  const stage = mount(PlayerStage, {
    props: { publication, lanes: [lane.id], speed: 1 },
    global: { plugins: [createSentences('en', en)] },
  })
  await flushPromises()
  const seen: string[] = []
  const skip = () =>
    stage
      .findAll('.bar button')
      .find((b) => b.text() === 'Skip')!
      .trigger('click')
  for (let i = 0; i < lane.steps.length && !stage.emitted('finish'); i++) {
    seen.push(
      ['.where', 'h2', '[data-testid=digits]', '.inside', '[aria-live]'].map((q) => stage.find(q).text()).join(' ~ '),
    )
    await skip()
    await flushPromises()
  }
  return { seen, stage }
}

describe('instructions for a child in every form', () => {
  it('exist for every form', () => expect(Object.keys(texts).sort()).toEqual([...forms].sort()))

  it.each(Object.entries(texts))('%s', async (_, [text, reads]) => {
    const publication = published(text)!
    const { seen, stage } = await walk(publication)
    expect(seen).toHaveLength(courseOf(publication, [publication.lanes[0]!.id]).lanes[0]!.steps.length)
    for (const step of seen) {
      expect(step).not.toMatch(/undefined|NaN|\[object|\{\w+\}/)
      // A heading, and digits that count.
      const [, heading, digits] = step.split(' ~ ')
      expect(heading).not.toBe('')
      expect(digits).toMatch(/\d/)
    }
    expect(seen.join('\n')).toMatch(reads)
    expect(stage.emitted('finish')).toHaveLength(1)
    const [[result]] = stage.emitted('finish')![0] as [[{ done: number; skipped: number }]]
    expect(result.skipped).toBeGreaterThan(0)
  })
})

it('can be followed back, paused and continued by keys, and end by Stop', async () => {
  const { stage } = await (async () => {
    const publication = published(texts.intervals[0])!
    const wrapper = mount(PlayerStage, {
      props: { publication, lanes: [publication.lanes[0]!.id], speed: 1 },
      global: { plugins: [createSentences('en', en)] },
    })
    await flushPromises()
    return { stage: wrapper }
  })()
  const press = async (key: string) => {
    document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    await flushPromises()
  }
  const heading = () => stage.find('h2').text()
  const first = heading()
  await press('ArrowRight')
  await press('ArrowRight')
  expect(heading()).not.toBe(first)
  await press('ArrowLeft')
  await press('ArrowLeft')
  expect(heading()).toBe(first)
  await press(' ')
  expect(stage.find('.prompt').text()).toBe('Paused')
  await press(' ')
  expect(stage.find('.prompt').text()).not.toBe('Paused')
  await stage
    .findAll('.bar button')
    .find((b) => b.text() === 'Stop')!
    .trigger('click')
  expect(stage.emitted('finish')).toHaveLength(1)
})

it('name no exercise that is in no lane', () => {
  for (const [text] of Object.values(texts)) {
    const publication = published(text)!
    const used = new Set(publication.lanes.flatMap((l) => l.steps.flatMap((s) => s.move ?? [])))
    for (const move of publication.moves) expect(used.has(move.id) || text.includes(' or ')).toBe(true)
  }
})
