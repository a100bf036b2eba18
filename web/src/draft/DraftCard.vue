<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  minutesText,
  performedBy,
  sessionView,
  stationsOf,
  valueFor,
  type Block,
  type Language,
  type Station,
} from '@esfuerzo/core'
import { findingText } from '@esfuerzo/core/checks'
import { pickedPart, type Draft, type HeldRow } from '@esfuerzo/core/draft'
import LaneKey from '../shared/lanes/LaneKey.vue'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'
import LaneStrip from '../compose/lanes/LaneStrip.vue'
import { blockSummary, doseText } from '../compose/order/cellText.ts'
import { rowKey } from './useDrafts.ts'
import { useStaged } from './useStaged.ts'

/** One draft: its thread, how long each lane takes, what is in it; a row is kept by its tick. */
const props = defineProps<{
  draft: Draft
  /** Keys of the rows that are kept. */
  kept: ReadonlySet<string>
  /** Whether the time to explain what is new is taken in. */
  explains: boolean
  busy: boolean
}>()
const emit = defineEmits<{ take: []; again: []; keep: [row: HeldRow]; explain: [on: boolean] }>()
const { t, locale } = useI18n()

const workout = computed(() => props.draft.workout)
const lanes = computed(() => sessionView(workout.value, library))
const skill = computed(() => library.moves.get(props.draft.thread.move)?.name ?? '')
const scale = computed(() => workout.value.minutes * 60)
const first = computed(() => workout.value.groups[0]!)

/** What each group does of a row; where they differ each dose after the letters of who does it: "A 8 · B C 10". */
function dosesOf(block: Block, station: Station): { letters: string; dose: string }[] {
  const byDose = new Map<string, string[]>()
  for (const group of workout.value.groups) {
    const dose = doseText(block, valueFor(station.cells, group.id), group, library, t)
    byDose.set(dose, [...(byDose.get(dose) ?? []), group.letter])
  }
  return [...byDose].map(([dose, letters]) => ({ letters: byDose.size > 1 ? letters.join(' ') : '', dose }))
}
const sections = computed(() =>
  workout.value.sections.map((section) => {
    const seconds = Math.max(...lanes.value.map((l) => l.totals.sections[section.id]?.seconds.typical ?? 0))
    return {
      section,
      time: minutesText(seconds),
      blocks: section.blocks.map((block) => ({
        summary: summaryOf(block),
        rows: stationsOf(block).map((station) => {
          const { move, figure } = performedBy(station.cells.all, library)
          const part = pickedPart(section.id, move)
          const row: HeldRow | undefined = part && { part, station }
          return {
            station,
            name: station.storyName ? `${station.storyName}: ${move.name}` : move.name,
            figure: library.figures.get(figure),
            doses: dosesOf(block, station),
            skill: move.id === props.draft.thread.move,
            row,
            key: row ? rowKey(row) : '',
          }
        }),
      })),
    }
  }),
)
const staged = useStaged(sections)
/** What makes a block, where it is more than one move after the other. */
function summaryOf(block: Block): string {
  const { text, dose } = blockSummary(block, first.value.id, t)
  const said = [text, dose].filter(Boolean).join(' · ')
  return said === t('forms.list.row') ? '' : said
}
const findings = computed(() => props.draft.findings.map((f) => findingText(f, locale.value as Language).what))
const newMoves = computed(() =>
  (props.draft.explain?.moves ?? []).map((id) => library.moves.get(id)?.name ?? id).join(', '),
)
const surely = computed(() =>
  props.draft.proven ? t('draft.best') : t('draft.within', { n: Math.ceil(100 * props.draft.within) }),
)
</script>

<template>
  <section class="card draft" :aria-label="t(`draft.intent.${draft.intent}`)">
    <header>
      <h2>{{ t(`draft.intent.${draft.intent}`) }}</h2>
      <p class="title">{{ workout.title }}</p>
      <p class="quiet">{{ t(`draft.about.${draft.intent}`, { skill }) }}</p>
    </header>
    <div v-for="lane in lanes" :key="lane.group.id" class="lane">
      <LaneKey :letter="lane.group.letter" :name="lane.group.name" />
      <LaneStrip
        class="strip"
        :lane="lane"
        :scale="scale"
        :label="t('draft.lane', { name: lane.group.name, total: minutesText(lane.totals.session.seconds.typical) })"
      />
      <b class="num">{{ minutesText(lane.totals.session.seconds.typical) }}</b>
    </div>
    <div v-for="{ section, time, blocks } in staged" :key="section.id" class="part">
      <h3>
        {{ section.title }} <span class="quiet num">{{ time }}</span>
      </h3>
      <template v-for="{ summary, rows } in blocks" :key="summary">
        <p v-if="summary" class="quiet summary">{{ summary }}</p>
        <ul>
          <li v-for="{ station, name, figure, doses, skill: isSkill, row, key } in rows" :key="station.id">
            <component :is="row ? 'label' : 'span'" class="row" :class="{ kept: kept.has(key) }">
              <input
                v-if="row"
                type="checkbox"
                :aria-label="t('draft.keep', { name })"
                :checked="kept.has(key)"
                @change="emit('keep', row)"
              />
              <MoveFigure v-if="figure" :figure="figure" :size="30" />
              <span class="name" :class="{ skill: isSkill }">{{ name }}</span>
              <span class="quiet num doses"
                ><span v-for="{ letters, dose } in doses" :key="dose" class="dose"
                  ><b v-if="letters">{{ letters }}</b> {{ dose }}</span
                ></span
              >
            </component>
          </li>
        </ul>
      </template>
      <p v-if="section.note" class="note">{{ section.note }}</p>
    </div>
    <div class="said">
      <p v-for="code in draft.relaxed" :key="code" class="care-note">{{ t(`draft.relaxed.${code}`) }}</p>
      <p v-for="text in findings" :key="text" class="quiet">{{ text }}</p>
      <p v-if="draft.armsNext" class="quiet">{{ t(`draft.next.${draft.armsNext}`) }}</p>
      <label v-if="draft.explain" class="row">
        <input
          type="checkbox"
          :checked="explains"
          @change="emit('explain', ($event.target as HTMLInputElement).checked)"
        />
        {{ t('draft.explain', { moves: newMoves, n: draft.explain.seconds }) }}
      </label>
      <p class="quiet">{{ surely }}</p>
    </div>
    <div class="do">
      <v-btn class="main" :aria-label="t('draft.takeOf', { title: workout.title })" @click="emit('take')">{{
        t('draft.take')
      }}</v-btn>
      <v-btn :disabled="busy" @click="emit('again')">{{ t(kept.size ? 'draft.rest' : 'draft.another') }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.draft {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 14px;
  min-width: 0;
}
header p,
h2,
h3 {
  margin: 0;
}
.title {
  font: 700 20px/1.2 var(--display);
}
.lane {
  display: grid;
  grid-template-columns: 74px 1fr 46px;
  align-items: center;
  gap: 8px;
}
.strip {
  border-right: 2px solid var(--ink);
}
.lane b {
  text-align: right;
}
h3 {
  display: flex;
  justify-content: space-between;
  font-size: 16px;
}
.part {
  border-top: 1px solid var(--hair);
  padding-top: 8px;
}
.summary,
.note {
  margin: 2px 0;
}
.note {
  font-style: italic;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.row {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 34px;
}
label.row {
  cursor: pointer;
}
.kept {
  background: var(--action-soft);
}
.name {
  flex: 1;
  min-width: 0;
}
.skill {
  font-weight: 700;
}
.doses {
  font-size: 14px;
  text-align: right;
}
.dose {
  white-space: nowrap;
}
.dose:not(:last-child)::after {
  content: ' · ';
}
input {
  flex: none;
  width: 18px;
  height: 18px;
  accent-color: var(--action);
}
.said {
  margin-top: auto;
  display: grid;
  gap: 6px;
}
.said p {
  margin: 0;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
