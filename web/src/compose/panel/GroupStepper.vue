<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { isKept, moveNames, stationsOf } from '@esfuerzo/core'
import { applySteps, stepGroups, type GroupStep } from '@esfuerzo/core/choose'
import { focusInto } from '../../shared/dialog/focusBack.ts'
import { useFocusBack } from '../../shared/dialog/useFocusBack.ts'
import RadioBar from '../tools/RadioBar.vue'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import { doseText } from '../order/cellText.ts'
import type { Row } from '../order/rows.ts'

/** Makes a row, its section or block, or the whole session one step easier or harder for the chosen groups, after a preview. */
const props = defineProps<{ row: Row }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()
const by = ref<-1 | 1>()
const where = ref<'here' | 'session'>('here')
const preview = useTemplateRef('preview')
useFocusBack(
  () => by.value !== undefined,
  () => preview.value,
)
watch(by, () => void nextTick(() => preview.value && focusInto(preview.value)))

const letters = computed(() => cursor.onlyLetters)
/** The stations in question: games and the cool-down of a whole session stay. */
const stations = computed(() => {
  const { row } = props
  if (where.value === 'session')
    return session.document.sections
      .filter((s) => !isKept(s))
      .flatMap((s) => s.blocks.flatMap((b) => stationsOf(b).map(({ id }) => id)))
  if (row.kind === 'station') return [row.id]
  if (row.kind === 'section') return row.section.blocks.flatMap((b) => stationsOf(b).map(({ id }) => id))
  return stationsOf(row.block!).map(({ id }) => id)
})
const steps = computed(() =>
  by.value ? stepGroups(session.document, stations.value, cursor.only, by.value, library) : [],
)
const names = moveNames(library.moves)
function line({ station, group: id, from, to }: GroupStep): string {
  const group = session.document.groups.find((g) => g.id === id)!
  const block = session.document.sections
    .flatMap((s) => s.blocks)
    .find((b) => stationsOf(b).some((x) => x.id === station))!
  const said = (cell: typeof from) =>
    [names(cell.move, cell.version), doseText(block, cell, group, library, t)].filter(Boolean).join(' ')
  return `${group.letter}: ${said(from)} → ${said(to)}`
}
function onApply() {
  const made = steps.value
  if (edits.edit((w) => applySteps(w, made))) by.value = undefined
}
</script>

<template>
  <div class="stepper">
    <p v-if="!by" class="do">
      <button type="button" class="link" @click="by = -1">{{ t('scope.easier', { letters }) }}</button>
      <button type="button" class="link" @click="by = 1">{{ t('scope.harder', { letters }) }}</button>
    </p>
    <section v-else ref="preview" class="card" :aria-label="t(by < 0 ? 'scope.easier' : 'scope.harder', { letters })">
      <RadioBar v-slot="{ choice }" v-model="where" :choices="['here', 'session'] as const" :label="t('scope.where')">
        {{ t(`scope.${choice}`) }}
      </RadioBar>
      <p v-if="!steps.length" class="quiet">{{ t('scope.noStep', { letters }) }}</p>
      <ul class="bullets">
        <li v-for="step in steps" :key="`${step.station} ${step.group}`">{{ line(step) }}</li>
      </ul>
      <p class="do">
        <v-btn v-if="steps.length" class="main" @click="onApply">{{ t('scope.apply', steps.length) }}</v-btn>
        <v-btn @click="by = undefined">{{ t('cancel') }}</v-btn>
      </p>
    </section>
  </div>
</template>

<style scoped>
.do {
  gap: 6px 16px;
}
section {
  display: grid;
  gap: 10px;
  padding: 12px;
}
ul {
  max-height: 220px;
  overflow-y: auto;
}
</style>
