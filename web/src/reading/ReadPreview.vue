<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { libraryFor, minutesText, sessionView, stationsOf, traitsOf, type Session } from '@esfuerzo/core'
import { isProvisional, printBlockFor, printCell } from '@esfuerzo/core/notation'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { library } from '../repertoire/library.ts'

/** The result of reading a text: its sections with their rows, and how long each group takes. */
const props = defineProps<{ session: Session }>()
const { t } = useI18n()
const whole = computed(() => libraryFor(props.session, library))
const lanes = computed(() => {
  const views = sessionView(props.session, whole.value)
  return props.session.groups.map((group, i) => ({ group, seconds: views[i]!.totals.session.seconds.typical }))
})
const sections = computed(() =>
  props.session.sections.map((section) => ({
    ...section,
    blocks: section.blocks.map((block) => ({
      id: block.id,
      says: [
        t(`forms.${block.form}.name`),
        ...(traitsOf(block).goesWithoutSaying?.(block) ? [] : [printBlockFor(block, props.session.groups[0]!.id)]),
      ].join(': '),
      rows: stationsOf(block).map((station) => {
        const { all } = station.cells
        const move = whole.value.moves.get(all.move)
        const version = move?.versions.find((v) => v.id === all.version)
        return {
          id: station.id,
          figure: move && whole.value.figures.get(version?.figure ?? move.figure),
          text: printCell(all, whole.value),
          note: [
            station.note,
            station.easier && t('reading.easier', { words: station.easier }),
            station.harder && t('reading.harder', { words: station.harder }),
          ]
            .filter(Boolean)
            .join(' · '),
          unknown: move !== undefined && isProvisional(move),
        }
      }),
    })),
  })),
)
</script>

<template>
  <div class="preview">
    <ul class="lanes" :aria-label="t('reading.lasts')">
      <li v-for="{ group, seconds } in lanes" :key="group.id">
        <LaneKey :letter="group.letter" /> {{ group.name }} <b class="num">{{ minutesText(seconds) }}</b>
      </li>
    </ul>
    <p v-if="!sections.length" class="quiet">{{ t('reading.nothing') }}</p>
    <section v-for="section in sections" :key="section.id">
      <h3>
        {{ section.title }}
        <small v-if="section.minutes" class="quiet">{{ t('reading.minutes', { n: section.minutes }) }}</small>
      </h3>
      <p v-if="section.note" class="quiet note">{{ section.note }}</p>
      <div v-for="block in section.blocks" :key="block.id">
        <p class="form quiet">{{ block.says }}</p>
        <ol>
          <li v-for="row in block.rows" :key="row.id" :class="{ unknown: row.unknown }">
            <MoveFigure v-if="row.figure" :figure="row.figure" :size="34" />
            <span>
              {{ row.text }}
              <small v-if="row.unknown" class="care">{{ t('reading.unknown') }}</small>
              <small v-if="row.note" class="quiet">{{ row.note }}</small>
            </span>
          </li>
        </ol>
      </div>
    </section>
  </div>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 10px;
  align-content: start;
}
.lanes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.lanes li {
  display: flex;
  align-items: center;
  gap: 6px;
}
h3 {
  font-size: 16px;
  margin: 0;
}
.note {
  margin: 0;
  font-size: 14px;
  white-space: pre-line;
}
.form {
  margin: 4px 0 2px;
  font-size: 13px;
}
ol li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
  border-bottom: 1px solid var(--hair);
}
ol li.unknown {
  background: var(--care-soft);
}
small {
  display: block;
  font-size: 13px;
}
h3 small {
  display: inline;
}
</style>
