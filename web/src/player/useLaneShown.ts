import { computed, type ComputedRef } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { doseWords, minutesText } from '@esfuerzo/core'
import { type Figure } from '@esfuerzo/core/figure'
import { type Publication } from '@esfuerzo/core/publication'
import {
  laneReader,
  type Called,
  type Course,
  type DoneAs,
  type LaneClock,
  type Nth,
  type Prompt,
  type Where,
} from '@esfuerzo/core/run'
import type { LanePlayer } from './usePlayer.ts'
import type { PlayerWords } from './useWords.ts'

/** What one lane's screen says and shows, in the page's words. */
export interface ShownLane {
  /** The current or next task, after the child's choices and easier taps. */
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
  /** What follows the current work. */
  following: ComputedRef<{ name: string; figure: Figure | undefined; rest: number } | undefined>
  /** Exercises the child may choose at this station, including the current one. */
  choices: ComputedRef<{ move: string; name: string; on: boolean }[]>
  /** What is said aloud when the step starts. */
  spoken: (index: number) => string
}

/** Words one lane: core's `laneReader` decides what is shown, and when. */
export function useLaneShown(
  publication: Publication,
  track: Course['lanes'][number],
  player: LanePlayer,
  words: PlayerWords,
): ShownLane {
  const { t } = useSentences()
  const figures = new Map(publication.figures.map((f) => [f.id, f as Figure]))
  const figureOf = (done: DoneAs | undefined) => figures.get(done?.version.figure ?? '')
  const reader = laneReader(publication, track)
  const shown = computed(() => reader.shown(player.state.value))
  const clock = computed(() => reader.clock(player.state.value, player.view.value, player.elapsed.value))
  const figure = computed(() => figureOf(shown.value.doing))

  function called(it: Called | undefined): string {
    if (!it) return ''
    if (it.by === 'move') return words.names(it.move, it.version)
    if (it.by === 'story') return it.story
    return it.by === 'say' ? words.say(it.say) : t(`player.${it.code}`)
  }
  function whereText({ section, lap, set, station }: Where): string {
    const nth = (key: 'lap' | 'set' | 'station', it: Nth | undefined) => it && t(`player.${key}`, { ...it })
    const parts = [section && words.section(section), nth('lap', lap), nth('set', set), nth('station', station)]
    return parts.filter(Boolean).join(' · ')
  }
  function promptText(prompt: Prompt): string {
    if (prompt.code !== 'work') return t(`player.${prompt.code}`)
    const { side, dose } = prompt
    const parts = [side && t(`player.side.${side}`), dose && doseWords(dose.amount, dose.unit, words.language.value)]
    return parts.filter(Boolean).join(' · ')
  }
  const digitsText = (digits: LaneClock['digits']) =>
    'rep' in digits ? digits.rep : digits.long ? minutesText(digits.seconds) : digits.seconds

  return {
    doing: computed(() => shown.value.doing),
    figure,
    cycle: computed(
      () => (shown.value.doing?.version.secondsPerRep ?? 2) * (figure.value?.reps ?? 1) * track.lane.pace,
    ),
    isWork: computed(() => shown.value.isWork),
    where: computed(() => (shown.value.where ? whereText(shown.value.where) : '')),
    prompt: computed(() => promptText(clock.value.prompt)),
    heading: computed(() => {
      const { heading } = shown.value
      return called(heading) || (heading?.by === 'say' ? t('player.talk') : '')
    }),
    cue: computed(() => {
      const { cues } = shown.value
      const cue = cues[clock.value.cue % cues.length]
      if (!cue) return ''
      if (cue.level) return t(`player.${cue.level}Words`, { words: cue.text })
      return cue.own ? cue.text : words.phrase(cue.text)
    }),
    digits: computed(() => digitsText(clock.value.digits)),
    lastThree: computed(() => clock.value.lastThree),
    following: computed(() => {
      const { following } = shown.value
      return following && { ...following, name: called(following.called), figure: figureOf(following.doing) }
    }),
    choices: computed(() =>
      shown.value.choices.map(({ move, version, on }) => ({ move, name: words.names(move, version), on })),
    ),
    spoken: (index) => called(reader.spoken(player.state.value, index)),
  }
}
