<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  minutesText,
  performedBy,
  stationsOf,
  valueFor,
  type Block,
  type Group,
  type Section,
  type Station,
} from '@esfuerzo/core'
import { pickedPart, type HeldRow } from '@esfuerzo/core/draft'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'
import { blockSummary, doseText } from '../compose/order/cellText.ts'
import { rowKey } from './useDrafts.ts'

/** A section of a draft: its rows with what each group does; a checkbox keeps a row. */
const props = defineProps<{
  section: Section
  groups: readonly Group[]
  /** Of the slowest lane. */
  seconds: number
  /** Id of the move the draft is about. */
  skill: string
  /** Keys of the kept rows. */
  kept: ReadonlySet<string>
}>()
const emit = defineEmits<{ keep: [row: HeldRow] }>()
const { t } = useI18n()

/** What each group does in a row; if they differ, each dose after the letters of its groups: "A 8 · B C 10". */
function dosesOf(block: Block, station: Station): { letters: string; dose: string }[] {
  const byDose = new Map<string, string[]>()
  for (const group of props.groups) {
    const dose = doseText(block, valueFor(station.cells, group.id), group, library, t)
    byDose.set(dose, [...(byDose.get(dose) ?? []), group.letter])
  }
  return [...byDose].map(([dose, letters]) => ({ letters: byDose.size > 1 ? letters.join(' ') : '', dose }))
}
const blocks = computed(() =>
  props.section.blocks.map((block) => ({
    summary: summaryOf(block),
    rows: stationsOf(block).map((station) => {
      const { move, figure } = performedBy(station.cells.all, library)
      const part = pickedPart(props.section.id, move)
      const row: HeldRow | undefined = part && { part, station }
      return {
        station,
        name: station.storyName ? `${station.storyName}: ${move.name}` : move.name,
        figure: library.figures.get(figure),
        doses: dosesOf(block, station),
        isSkill: move.id === props.skill,
        row,
        key: row ? rowKey(row) : '',
      }
    }),
  })),
)
/** How a block is worked, if it is more than a list of exercises. */
function summaryOf(block: Block): string {
  const { text, dose } = blockSummary(block, props.groups[0]!.id, t)
  const said = [text, dose].filter(Boolean).join(' · ')
  return said === t('forms.list.row') ? '' : said
}
</script>

<template>
  <div class="part">
    <h3>{{ section.title }} <span class="quiet num">{{ minutesText(seconds) }}</span></h3>
    <template v-for="{ summary, rows } in blocks" :key="summary">
      <p v-if="summary" class="quiet summary">{{ summary }}</p>
      <ul>
        <li v-for="{ station, name, figure, doses, isSkill, row, key } in rows" :key="station.id">
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
</template>

<style scoped>
h3 {
  margin: 0;
  display: flex;
  justify-content: space-between;
  font-size: 16px;
}
.part {
  /* A row appearing in one section does not move others. */
  contain: layout style;
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
</style>
