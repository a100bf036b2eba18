<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Pupil } from '@esfuerzo/contract'
import { matchTable, readCells, type LineProblem, type TableMatch } from '@esfuerzo/core/classBook'
import { columnLine, columnName, columnNth } from './columnText.ts'
import { readTable, readText, TableError, type TableProblem, type TableRows } from './readTable.ts'
import type { Book } from './useBook.ts'
import AppDialog from '../../shared/dialog/AppDialog.vue'

/** Results from a spreadsheet: read, explained, and imported entirely or not at all. */
const props = defineProps<{ book: Book; pupils: readonly Pupil[] }>()
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const rows = shallowRef<TableRows>()
const match = shallowRef<TableMatch>()
const refused = ref<TableProblem | 'no-aliases'>()
const pasted = ref('')
const busy = ref(false)
/** Whether to skip lines that cannot be read. */
const without = ref(false)

const columns = computed(() => props.book.columns.value)
const named = computed(() =>
  columns.value.map((column) => ({
    column,
    name: columnName(column, t),
    nth: columnNth(column, t),
    line: columnLine(column, t),
    ...(column.kind === 'felt' && { also: t('table.alsoFelt').split(', ') }),
  })),
)
async function take(read: () => Promise<TableRows> | TableRows) {
  refused.value = undefined
  rows.value = match.value = undefined
  without.value = false
  busy.value = true
  try {
    const table = await read()
    const found = matchTable(table, named.value, props.pupils)
    if (!found) refused.value = 'no-aliases'
    else {
      rows.value = table
      match.value = found
    }
  } catch (error) {
    if (!(error instanceof TableError)) throw error
    refused.value = error.code
  } finally {
    busy.value = false
  }
}
const { open, onChange } = useFileDialog({ accept: '.csv,.tsv,.txt,.xlsx', multiple: false, reset: true })
onChange((files) => {
  const file = files?.[0]
  if (file) void take(async () => readTable(await file.arrayBuffer()))
})
const onPasted = () => pasted.value.trim() && void take(() => readText(pasted.value))

const items = computed(() => [
  { value: '', title: t('table.leftOut') },
  ...named.value.map(({ column, line }) => ({ value: column.key, title: line })),
])
function setKey(index: number, key: string) {
  if (!match.value) return
  match.value = {
    ...match.value,
    columns: match.value.columns.map(({ key: before, ...rest }) => {
      // Two columns never share a place: the earlier one loses it.
      const mine = rest.index === index ? key || undefined : before === key ? undefined : before
      return { ...rest, ...(mine && { key: mine }) }
    }),
  }
}
const result = computed(() =>
  rows.value && match.value ? readCells(rows.value, match.value, columns.value, props.pupils) : undefined,
)
/** Number of lines shown first. */
const shownProblems = 12
function problemText(problem: LineProblem): string {
  if (problem.code !== 'value') return t(`table.problem.${problem.code}`, { line: problem.line, text: problem.text })
  const why = t(`book.problem.${problem.problem.code}`, { ...problem.problem, text: problem.text })
  return t('table.problem.value', { line: problem.line, head: problem.head, why })
}
const sample = (index: number) =>
  (rows.value ?? [])
    .slice(match.value?.first ?? 0)
    .map((row) => row[index] ?? '')
    .filter(Boolean)
    .slice(0, 3)
    .join(', ')
const ready = computed(
  () => result.value !== undefined && result.value.cells.length > 0 && (!result.value.problems.length || without.value),
)
function onTake() {
  props.book.put(result.value!.cells, 'imported')
  emit('close')
}
</script>

<template>
  <AppDialog :model-value="true" :title="t('table.title')" :width="820" @update:model-value="emit('close')">
    <div class="form">
      <p>{{ t('table.lead') }}</p>
      <div class="row">
        <v-btn class="main" :loading="busy" @click="open()">{{ t('table.file') }}</v-btn>
        <span class="quiet">{{ t('table.kinds') }}</span>
      </div>
      <v-textarea v-model="pasted" rows="2" :label="t('table.paste')" hide-details @update:model-value="onPasted" />
      <p v-if="refused" class="care" role="alert">{{ t(`table.refused.${refused}`) }}</p>
      <template v-if="match && result">
        <h2>{{ t('table.understood') }}</h2>
        <table class="matches">
          <thead>
            <tr>
              <th scope="col">{{ t('table.inFile') }}</th>
              <th scope="col">{{ t('table.first') }}</th>
              <th scope="col">{{ t('table.inBook') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="column in match.columns" :key="column.index">
              <th scope="row">{{ column.head }}</th>
              <td class="quiet">{{ sample(column.index) }}</td>
              <td>
                <v-select
                  :model-value="column.key ?? ''"
                  :items="items"
                  :aria-label="t('table.isTaken', { head: column.head })"
                  density="compact"
                  hide-details
                  @update:model-value="setKey(column.index, String($event))"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <div v-if="result.problems.length" class="problems">
          <p class="care">{{ t('table.problems', { n: result.problems.length }, result.problems.length) }}</p>
          <ul>
            <li v-for="(problem, i) in result.problems.slice(0, shownProblems)" :key="i">
              {{ problemText(problem) }}
            </li>
          </ul>
          <p v-if="result.problems.length > shownProblems" class="quiet">
            {{ t('table.moreProblems', { n: result.problems.length - shownProblems }) }}
          </p>
          <v-checkbox v-model="without" :label="t('table.without')" hide-details />
        </div>
      </template>
    </div>
    <template #actions>
      <span v-if="result" role="status" class="quiet"
        >{{ t('table.comesTo', { n: result.cells.length }, result.cells.length)
        }}<span v-if="result.problems.length" class="care">
          · {{ t('table.cannot', { n: result.problems.length }, result.problems.length) }}</span
        ></span
      >
      <v-spacer />
      <v-btn @click="emit('close')">{{ t('cancel') }}</v-btn>
      <v-btn class="main" :disabled="!ready" @click="onTake">{{ t('table.take') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
ul {
  margin: 0;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
h2 {
  font-size: 16px;
}
.matches {
  border-collapse: collapse;
  width: 100%;
}
.matches th,
.matches td {
  padding: 4px 8px 4px 0;
  text-align: left;
  border-bottom: 1px solid var(--hair);
}
.matches tbody th {
  font-weight: 400;
}
.matches td:last-child {
  width: 45%;
}
</style>
