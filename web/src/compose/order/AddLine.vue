<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { stationsOf, traitsOf, type Block, type Cell } from '@esfuerzo/core'
import { searchMoves } from '@esfuerzo/core/choose'
import { printBlockFor, printCell, readNamedCell, takeDose } from '@esfuerzo/core/notation'
import { library } from '../../repertoire/library.ts'
import { amountText } from './cellText.ts'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import SuggestField, { type Suggestion } from './SuggestField.vue'

/** A line below the cursor that accepts exercises as typed: "squat 12", "30 s plank". It stays open for the next one. */
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()
const text = ref('')
const problem = ref('')
watch(text, () => (problem.value = ''))

const read = computed(() => (text.value.trim() ? readNamedCell(text.value, library) : undefined))
/** The typed dose, and the group letters next to it. */
const typed = computed(() => takeDose(text.value, 'reps'))
/** What a line means that says more than an exercise: `3x10 squat, rest 60`, `ladder 1-10: squat, push-up`, `10 star jumps x 2`. */
const line = computed(() => {
  if (!text.value.trim() || read.value) return undefined
  const { workout: session, problems, questions } = edits.readHere(text.value)
  const blocks = session.sections.flatMap((s) => s.blocks)
  return !problems.length && !questions.length && blocks.length ? blocks : undefined
})
const blockHint = (block: Block): string => {
  const says = printBlockFor(block, session.document.groups[0]!.id)
  const rows = stationsOf(block).map((s) => printCell(s.cells.all, library))
  return traitsOf(block).goesWithoutSaying?.(block) ? rows.join(', ') : `${t(`forms.${block.form}.name`)}: ${says}`
}
const suggestions = computed<Suggestion[]>(() => {
  if (!text.value.trim() || read.value || line.value) return []
  return searchMoves(library.moves.values(), typed.value.rest)
    .slice(0, 6)
    .map((m) => ({ id: m.id, label: m.name, detail: t(`family.${m.family}`) }))
})
const only = computed(() => (suggestions.value.length === 1 ? suggestions.value[0] : undefined))
const hint = computed(() => {
  if (only.value) return only.value.label
  if (line.value) return line.value.map(blockHint).join(' · ')
  // A line that names no exercise goes in unchanged: the marked suggestion is used instead of it.
  if (!read.value) return suggestions.value.length ? t('addLine.asItIs') : ''
  const { move, words } = read.value
  const version = move.versions.find((v) => v.id === words.version)
  const dose = words.dose && amountText(words.dose.amount, words.dose.unit, t)
  return [version?.name ?? move.name, ...(dose ? [dose] : [])].join(' · ')
})

function onEnter(chosen: Suggestion | undefined) {
  // A suggestion is used if it is marked or the only one; otherwise the line means what it says.
  const one = chosen ?? only.value
  if (!text.value.trim()) cursor.addBelow(undefined)
  else if (one) add(one.id, typed.value.dose && { dose: typed.value.dose })
  else if (read.value) add(read.value.move.id, read.value.words)
  else if (edits.insertText(text.value)) next()
  else problem.value = t('shelf.none')
}
function add(move: string, words: Partial<Cell> = {}) {
  edits.addMove(move, words)
  next()
}
/** The line moves below what was added. */
function next() {
  cursor.addBelow(cursor.selection?.row)
  text.value = ''
}
function onClose() {
  cursor.addBelow(undefined)
}
</script>

<template>
  <div class="add-line">
    <SuggestField
      v-model="text"
      :label="t('addLine.label')"
      :placeholder="t('addLine.placeholder')"
      :suggestions="suggestions"
      :problem="problem"
      :hint="hint"
      @enter="onEnter"
      @cancel="onClose"
      @tab="onClose"
      @leave="!text && onClose()"
    />
  </div>
</template>

<style scoped>
.add-line {
  height: 48px;
  padding: 5px 10px 5px 42px;
  border-top: 1px solid var(--hair);
  background: var(--action-soft);
}
</style>
