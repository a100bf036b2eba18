import { computed, type ComputedRef } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { doseWords, minutesText, type Amount, type Unit } from '@esfuerzo/core'
import { type Figure } from '@esfuerzo/core/figure'
import { type Publication } from '@esfuerzo/core/publication'
import { doneAs, playedOf, type Course, type DoneAs, type PlayedStep } from '@esfuerzo/core/run'
import type { LanePlayer } from './usePlayer.ts'
import type { PlayerWords } from './useWords.ts'

/** What one lane's screen says and shows. */
export interface ShownLane {
  /** What is done now, or comes next, with what the child chose and made easier. */
  doing: ComputedRef<DoneAs | undefined>
  figure: ComputedRef<Figure | undefined>
  /** Seconds of one cycle of the figure in real time at normal speed. */
  cycle: ComputedRef<number>
  isWork: ComputedRef<boolean>
  where: ComputedRef<string>
  prompt: ComputedRef<string>
  heading: ComputedRef<string>
  cue: ComputedRef<string>
  digits: ComputedRef<string | number>
  lastThree: ComputedRef<boolean>
  /** What follows the work that is on. */
  following: ComputedRef<{ name: string; figure: Figure | undefined; rest: number } | undefined>
  /** Moves the child may choose from at this station, the one that is on among them. */
  choices: ComputedRef<{ move: string; name: string; on: boolean }[]>
  /** What is said aloud as the step begins. */
  spoken: (index: number) => string
}

/** Codes that are about a move, and not a thing of their form's own. */
const saysMove = new Set(['work', 'workSide', 'rest', 'restNext', 'changeTo', 'switchSide'])
/** A cue stays on the screen for so many seconds. */
const cueSeconds = 6
/** A rest of at least so many seconds leaves time to drink. */
const drinkFrom = 30

/** What a lane’s screen shows and says at the step that is on. */
// eslint-disable-next-line max-lines-per-function -- what is shown of one step, each line a rule of its own
export function useLaneView(
  publication: Publication,
  track: Course['lanes'][number],
  player: LanePlayer,
  words: PlayerWords,
): ShownLane {
  const { t } = useSentences()
  const { lane, steps } = track
  const { step, next, view, state } = player
  const moves = new Map(publication.moves.map((m) => [m.id, m]))
  const figures = new Map(publication.figures.map((f) => [f.id, f as Figure]))
  const { phrase, names } = words

  const as = (s: PlayedStep | undefined, index: number) => doneAs(moves, track, state.value, s, index)
  const figureOf = (done: DoneAs | undefined) => figures.get(done?.version.figure ?? '')
  /** The name of what is done: today's story while it is as the session says, else the move's own. */
  function nameOf(s: PlayedStep | undefined, index: number): string {
    if (!s) return ''
    const done = as(s, index)
    if (!done) return words.say(s.say)
    const { story } = s.say.params as { story?: string }
    return story && !done.changed ? story : names(done.move.id, done.version.id)
  }
  /** A surprise is not told before it starts. */
  function hidden(s: PlayedStep | undefined): boolean {
    if (!s || s.section === step.value?.section) return false
    return publication.sections.find((x) => x.id === s.section)?.surprise === true
  }

  const comes = computed(() => (hidden(next.value?.step) ? undefined : next.value))
  const doing = computed(() => {
    const s = step.value
    if (!s || s.kind === 'talk') return undefined
    return as(s, state.value.index) ?? (s.kind === 'work' ? undefined : as(comes.value?.step, comes.value?.index ?? 0))
  })
  const figure = computed(() => figureOf(doing.value))
  const nextName = computed(() =>
    !next.value ? '' : hidden(next.value.step) ? t('player.surprise') : nameOf(next.value.step, next.value.index),
  )
  const heading = computed(() => {
    const s = step.value
    if (!s) return player.waiting.value ? '' : t('player.finished')
    if (player.waiting.value) return t('player.waiting')
    if (s.kind === 'rest') return next.value ? nextName.value : t('player.lastRest')
    if (s.say.code === 'intervals.pick' && as(s, state.value.index)) return nameOf(s, state.value.index)
    // What only a form says: a sum, a flip, a question, a game.
    if (!saysMove.has(s.say.code)) return words.say(s.say) || t('player.talk')
    return nameOf(s, state.value.index)
  })
  const prompt = computed(() => {
    const s = step.value
    if (player.waiting.value) return t('player.waitingFor')
    if (s?.kind === 'rest') {
      if (s.seconds.typical >= drinkFrom && player.elapsed.value > cueSeconds) return t('player.drink')
      return next.value ? t('player.restNext') : t('player.rest')
    }
    if (s?.kind === 'change') return t('player.change')
    if (s?.kind === 'switch') return t('player.switch')
    const { amount, unit } = (s?.say.params ?? {}) as { amount?: Amount; unit?: Unit }
    const dose = s?.kind === 'work' && amount !== undefined && unit ? doseWords(amount, unit, words.language.value) : ''
    return [s?.side && t(`player.side.${s.side}`), dose].filter(Boolean).join(' · ')
  })
  /** One cue at a time; the teacher's focus first. */
  const cue = computed(() => {
    const s = step.value
    if (!s || player.waiting.value) return ''
    const own = saysMove.has(s.say.code) ? undefined : (s.say.params.text as string | undefined)
    if (own && !playedOf(lane.plays[s.block]).saysItself && !/\.(draw|go|again)$/.test(s.say.code)) return own
    if (s.kind === 'talk') return publication.target
    const done = doing.value
    if (!done) return ''
    const station = publication.sections
      .flatMap((x) => x.blocks)
      .flatMap((b) => b.stations)
      .find((x) => x.id === (s.station ?? comes.value?.step.station))
    const cues = [
      ...(station?.focus ? [station.focus] : []),
      ...(done.version.how ? [phrase(done.version.how)] : []),
      ...done.move.cues.map(phrase),
    ]
    return cues.length ? cues[Math.floor(player.elapsed.value / cueSeconds) % cues.length]! : ''
  })
  const where = computed(() => {
    const s = step.value
    if (!s) return ''
    const section = publication.sections.find((x) => x.id === s.section)
    const block = section?.blocks.find((b) => b.id === s.block)
    const laps = Math.max(0, ...steps.filter((x) => x.block === s.block).map((x) => x.lap ?? 0))
    const at = block?.stations.findIndex((x) => x.id === (s.station ?? next.value?.step.station)) ?? -1
    return [
      section && words.section(section),
      ...(laps > 1 && s.lap ? [t('player.lap', { n: s.lap, of: laps })] : []),
      ...(s.set ? [t('player.set', { n: s.set, of: setsOf(s) })] : []),
      ...(block && block.stations.length > 1 && at >= 0
        ? [t('player.station', { n: at + 1, of: block.stations.length })]
        : []),
    ].join(' · ')
  })
  const setsOf = (s: PlayedStep) =>
    Math.max(...steps.filter((x) => x.block === s.block && x.station === s.station).map((x) => x.set ?? 0))
  /** Counted work shows the rep; everything else the seconds that are left. */
  const digits = computed(() => {
    const { rep, secondsLeft, awaitsDone } = view.value
    // What waits for the child shows how long it has taken, never a clock running out.
    if (rep === undefined && awaitsDone) return minutesText(Math.floor(player.elapsed.value))
    return rep ?? (secondsLeft > 99 ? minutesText(secondsLeft) : secondsLeft)
  })
  const following = computed(() => {
    if (!step.value || step.value.kind === 'rest' || !next.value || player.waiting.value) return undefined
    // Until the next work: a change, and the other one's turn, are rests one after the other.
    let rest = 0
    for (let i = state.value.index + 1; steps[i]?.kind === 'rest'; i++) rest += steps[i]!.seconds.typical
    return {
      name: nextName.value,
      figure: comes.value && figureOf(as(comes.value.step, comes.value.index)),
      rest,
    }
  })
  const choices = computed(() => {
    const s = step.value
    const others = (s?.say.params.oneOf as string[] | undefined) ?? []
    if (!others.length || !s?.move) return []
    const on = doing.value?.move.id
    return [s.move, ...others].map((move) => ({
      move,
      name: names(move, move === s.move ? s.version : lane.choices[move]),
      on: move === on,
    }))
  })

  return {
    doing,
    figure,
    cycle: computed(() => (doing.value?.version.secondsPerRep ?? 2) * (figure.value?.reps ?? 1) * lane.pace),
    isWork: computed(() => step.value?.kind === 'work' && !player.waiting.value),
    where,
    prompt,
    heading,
    cue,
    digits,
    lastThree: computed(() => step.value?.by === 'clock' && !player.waiting.value && view.value.secondsLeft <= 3),
    following,
    choices,
    spoken(index) {
      const s = steps[index]
      if (!s) return ''
      const following = steps.findIndex((x, i) => i > index && (x.kind === 'work' || x.kind === 'talk'))
      if (s.kind === 'rest' && publication.sections.find((x) => x.id === steps[following]?.section)?.surprise)
        return steps[following]!.section === s.section ? words.say(s.say) : ''
      const done = as(s, index)
      return done?.changed && s.kind === 'work' ? nameOf(s, index) : words.say(s.say)
    },
  }
}
