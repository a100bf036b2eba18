<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { measureOf, type Lane, type Publication } from '@esfuerzo/core/publication'
import { asksPulse, feltScale, pulseRate, type Felt, type Pulse, type Result } from '@esfuerzo/core/run'
import { formNoted } from '../forms/noted.ts'
import LaneKey from '../shared/lanes/LaneKey.vue'
import type { LaneResult } from '../player/PlayerStage.vue'
import PulseHelper from '../player/PulseHelper.vue'
import { useWords } from '../player/useWords.ts'
import { againstLast, askedOf, type Asked } from './asked.ts'
import { linesOf, type BookLine } from './book.ts'
import FeltFace from './FeltFace.vue'
import type { LastTime } from './kept.ts'

/** The questions to one lane after its run. */
export interface LaneAnswers {
  felt?: Felt
  results: Result[]
  pulses: Pulse[]
  /** Its results as the child's own book has them. */
  lines: BookLine[]
}

const props = defineProps<{
  publication: Publication
  lane: Lane
  ran: LaneResult
  /** How long it took, in words. */
  took: string
  last: LastTime | undefined
  /** Of the child, if it entered its code. */
  alias?: string | undefined
}>()
const emit = defineEmits<{ change: [answers: LaneAnswers] }>()
const { t } = useSentences()
const words = useWords(props.publication)
const id = (name: string) => `${name}-${props.lane.id}`

const scale = feltScale(props.lane.grades)
const choices = scale === 'faces' ? [1, 2, 3, 4, 5] : [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]
const felt = ref<number>()
const typed = reactive<Record<string, string>>({})
const clean = reactive<Record<string, 'yes' | 'no'>>({})
const weight = reactive<Record<string, string>>({})
const asked = computed(() => askedOf(props.publication, props.lane, words.names))
const onlyDigits = (text: string) => text.replace(/\D/g, '').slice(0, 3)
const boxOf = (a: Asked, lap: number) => `${a.station}-${lap}`
const kgOf = (a: Asked) => {
  const kg = Number((weight[a.station] ?? String(a.kg)).replace(',', '.'))
  return kg >= 0 && kg <= 20 ? kg : undefined
}

const noted = computed(() => props.ran.found.flatMap((f) => ('result' in f ? [f.result] : [])))
const pulses = ref<Pulse[]>(props.ran.found.flatMap((f) => ('pulse' in f ? [f.pulse] : [])))
const results = computed(() => [
  ...noted.value,
  ...asked.value.flatMap((a) =>
    a.laps.flatMap((lap): Result[] => {
      const text = typed[boxOf(a, lap)]
      if (!text) return []
      const kg = a.kg === undefined ? undefined : kgOf(a)
      const how = clean[a.station]
      return [
        {
          block: a.block,
          station: a.station,
          lap,
          value: Number(text),
          unit: a.unit,
          ...(how && { clean: how }),
          ...(kg !== undefined && { load: { kg } }),
        },
      ]
    }),
  ),
])
watch(
  [felt, results, pulses],
  () =>
    emit('change', {
      ...(felt.value !== undefined && { felt: { scale, value: felt.value } as Felt }),
      results: results.value,
      pulses: pulses.value,
      lines: linesOf(props.publication, props.lane, results.value, words),
    }),
  { immediate: true, deep: true },
)

/** What was tapped during the run: rounds, scores, readings. */
const notedLines = computed(() =>
  noted.value.map((r) => {
    const block = props.publication.sections.flatMap((s) => s.blocks).find((b) => b.id === r.block)
    const section = props.publication.sections.find((s) => s.blocks.some((b) => b.id === r.block))
    const play = props.lane.plays[r.block]
    const measure = measureOf(props.publication, play)
    const value = measure
      ? `${r.value} ${words.phrase(measure.in)}`
      : ((play && formNoted[play.form]?.(r.value, t)) ?? String(r.value))
    const title = measure ? words.phrase(measure.name) : (block?.title ?? (section && words.section(section)))
    const nth = measure?.trials === 1 ? undefined : (r.lap ?? r.trial ?? r.rung)
    const name = [title, nth].filter(Boolean).join(' ')
    return t('after.notedValue', { name, value })
  }),
)
function lastLine(a: Asked): string {
  const compared = againstLast(results.value, props.last?.results, a)
  if (!compared) return ''
  const { now, last } = compared
  return now > last ? t('after.more', { n: now - last }) : now === last ? t('after.same') : t('after.less', { n: last })
}

const pulseAsked = ref<Pulse['when']>()
function onPulse(pulse: Pulse) {
  pulses.value = [...pulses.value.filter((p) => p.when !== pulse.when), pulse]
  pulseAsked.value = undefined
}
const rateOf = (when: Pulse['when']) => {
  const pulse = pulses.value.find((p) => p.when === when)
  return pulse && pulseRate(pulse.beats, pulse.seconds).rate
}
const drop = computed(() => (rateOf('after') ?? 0) - (rateOf('minuteAfter') ?? Infinity))
</script>

<template>
  <section class="lane" :aria-labelledby="id('lane')">
    <h2 :id="id('lane')" class="out-of-sight">{{ lane.name }}</h2>
    <p>
      <LaneKey :letter="lane.letter" :name="lane.name" /> · <template v-if="alias">{{ alias }} · </template>
      {{ ran.done ? t('after.done', { n: ran.done, time: took }, ran.done) : t('after.short') }}
    </p>
    <p v-if="ran.easier">{{ t('after.easier', { n: ran.easier }) }}</p>
    <fieldset>
      <legend>
        <h2>{{ t('after.felt') }}</h2>
      </legend>
      <div class="felt" :class="scale">
        <label v-for="n in choices" :key="n" :class="{ on: felt === n }">
          <input v-model="felt" type="radio" :name="id('felt')" :value="n" class="out-of-sight" />
          <FeltFace v-if="scale === 'faces'" :level="n" />
          <b v-else class="num">{{ n }}</b>
          <span v-if="scale === 'faces' || n % 5 === 0">{{ t(`after.${scale}.${n}`) }}</span>
          <span v-else class="out-of-sight">{{ t('after.ofTen') }}</span>
        </label>
      </div>
    </fieldset>
    <section v-if="notedLines.length" class="card" :aria-labelledby="id('noted')">
      <h2 :id="id('noted')">{{ t('after.noted') }}</h2>
      <ul>
        <li v-for="line in notedLines" :key="line">{{ line }}</li>
      </ul>
    </section>
    <section v-if="asked.length" :aria-labelledby="id('reps')">
      <h2 :id="id('reps')">{{ t('after.reps') }}</h2>
      <div v-for="a in asked" :key="a.station" class="asked">
        <b>{{ a.name }}</b>
        <label v-for="lap in a.laps" :key="lap">
          <span class="quiet">{{ a.laps.length > 1 ? t('after.lap', { n: lap }) : t('after.count') }}</span>
          <input
            :value="typed[boxOf(a, lap)] ?? ''"
            inputmode="numeric"
            maxlength="3"
            :aria-label="t('after.box', { name: a.name, n: lap })"
            @input="typed[boxOf(a, lap)] = onlyDigits(($event.target as HTMLInputElement).value)"
          />
        </label>
        <label v-if="a.kg !== undefined">
          <span class="quiet">{{ t('after.weight') }}</span>
          <input
            :value="weight[a.station] ?? a.kg"
            inputmode="decimal"
            maxlength="5"
            @input="weight[a.station] = ($event.target as HTMLInputElement).value"
          />
        </label>
        <span class="clean" role="group" :aria-label="`${a.name}: ${t('after.clean')}`">
          <span class="quiet">{{ t('after.clean') }}</span>
          <button
            v-for="how in ['yes', 'no'] as const"
            :key="how"
            type="button"
            :aria-pressed="clean[a.station] === how"
            @click="clean[a.station] = how"
          >
            {{ t(`after.${how}`) }}
          </button>
        </span>
        <p v-if="lastLine(a)" class="against" aria-live="polite">{{ lastLine(a) }}</p>
      </div>
    </section>
    <section class="card" :aria-labelledby="id('pulse')">
      <h2 :id="id('pulse')">{{ t('after.pulse') }}</h2>
      <PulseHelper v-if="pulseAsked" :key="pulseAsked" :when="pulseAsked" @pulse="onPulse" />
      <div v-else class="row">
        <template v-for="when in ['after', 'minuteAfter'] as const" :key="when">
          <b v-if="rateOf(when)" class="num">{{ t('after.pulseKept', { n: rateOf(when) }) }}</b>
          <button v-else type="button" @click="pulseAsked = when">
            {{ t(when === 'after' ? 'after.pulseNow' : 'after.pulseMinute') }}
          </button>
        </template>
      </div>
      <p v-if="!asksPulse(lane)" class="quiet">{{ t('after.pulseStays') }}</p>
      <p v-if="drop > 0 && Number.isFinite(drop)">{{ t('after.drop', { n: drop }) }}</p>
    </section>
  </section>
</template>

<style scoped>
.lane {
  display: grid;
  gap: 18px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
legend {
  padding: 0;
}
ul {
  margin: 0;
  padding-left: 22px;
}
.felt {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 8px;
}
.felt.ten {
  grid-template-columns: repeat(6, 1fr);
}
.felt label {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 4px;
  min-height: 64px;
  padding: 8px 2px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  font-size: 15px;
  text-align: center;
  cursor: pointer;
}
.felt label.on {
  border-color: var(--action);
  background: var(--action-soft);
}
.felt label:focus-within {
  outline: 3px solid var(--action);
  outline-offset: 2px;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px;
  padding: 10px 0;
}
.asked b,
.asked .against {
  flex-basis: 100%;
}
.asked label {
  display: grid;
  font-size: 15px;
}
.asked input {
  width: 84px;
  height: 56px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  font: 700 24px var(--display);
  text-align: center;
}
.clean,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.clean button {
  padding: 0 14px;
}
</style>
