<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ProblemError, valueFor } from '@esfuerzo/core'
import { searchMoves } from '@esfuerzo/core/choose'
import { problemSentence } from '../../words/i18n.ts'
import { useSettings } from '../../settings/store.ts'
import { library } from '../../repertoire/library.ts'
import { inPlaceEdit, inPlaceText } from '../edits/inPlace.ts'
import type { Row } from './rows.ts'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import SuggestField, { type Suggestion } from './SuggestField.vue'

/** Edits a cell or a row's name in place. */
const props = defineProps<{ row: Row; cell: number; typed?: string }>()
/** `done` also says where the cursor goes: nowhere, to the next cell (1) or to the one before (−1). */
const emit = defineEmits<{ done: [next: -1 | 0 | 1] }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()
const settings = useSettings()
const scope = cursor.scope
const before = inPlaceText(session.document, props.row, props.cell, scope)
const text = ref(props.typed ?? before)
const problem = ref('')
watch(text, () => (problem.value = ''))

const isStation = computed(() => props.row.kind === 'station' && props.cell >= 0)
/** The versions of the cell's exercise, then other exercises that contain the typed letters. */
const suggestions = computed<Suggestion[]>(() => {
  if (!isStation.value || props.row.kind !== 'station') return []
  const letters = text.value.replace(/[\d.,+x-]+|\b(?:s|reps|kg|slow|led)\b/g, ' ').trim()
  if (letters.length < 2 || text.value === before) return []
  const { move } = valueFor(props.row.station.cells, scope === 'all' ? session.document.groups[0]!.id : scope[0]!)
  const own = library.moves.get(move)!.versions.map((v) => ({ id: `${move}/${v.id}`, label: v.name, detail: v.how }))
  const others = searchMoves(library.moves.values(), letters)
    .filter((m) => m.id !== move)
    .map((m) => ({ id: m.id, label: m.name, detail: t(`family.${m.family}`) }))
  const fits = own.filter((s) => s.label.toLowerCase().includes(letters.toLowerCase()))
  return [...fits, ...others].slice(0, 6)
})

/** Applies what was typed; false if it can't be read, and the text stays. */
function commit(words: string): boolean {
  if (words === before) return true
  try {
    const change = inPlaceEdit(props.row, props.cell, scope, words, settings.settings?.policy.hold)
    change(session.document)
    return edits.edit(change)
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    problem.value = error.problems.map(problemSentence).join(' ')
    return false
  }
}
function onEnter(chosen: Suggestion | undefined) {
  if (chosen) text.value = [chosen.label, ...(/\d.*/.exec(text.value) ?? [])].join(' ')
  close(0)
}
const onTab = (back: boolean) => close(back ? -1 : 1)
let over = false
function close(next: -1 | 0 | 1) {
  if (!commit(text.value)) return
  over = true
  emit('done', next)
}
function onCancel() {
  over = true
  emit('done', 0)
}
/** When the field loses the focus, readable text is applied; other text stays with the reason. */
function onLeave() {
  if (!over) close(0)
}
</script>

<template>
  <SuggestField
    v-model="text"
    :label="t(cell < 0 ? 'inPlace.name' : 'inPlace.cell')"
    :placeholder="t(cell < 0 ? 'inPlace.namePlaceholder' : isStation ? 'inPlace.stationPlaceholder' : 'inPlace.cell')"
    :suggestions="suggestions"
    :problem="problem"
    @enter="onEnter"
    @tab="onTab"
    @cancel="onCancel"
    @leave="onLeave"
  />
</template>
