<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { addStation, stationsOf, type Move } from '@esfuerzo/core'
import { putCells } from '@esfuerzo/core/choose'
import { placeOfRole, type Suggestion } from '@esfuerzo/core/suggest'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { library } from '../../repertoire/library.ts'
import { useEdits } from '../edits/useEdits.ts'
import { usePanel } from '../panel/usePanel.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { reasonsText } from './reasonsText.ts'
import ToolPanel from './ToolPanel.vue'
import { useSuggestions } from './useSuggestions.ts'

/** Exercises that would fill a block: the best set, each with its reason; applied as one edit. */
const props = defineProps<{ block: string }>()
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const panel = usePanel()
const messages = useMessages()
const { ask } = useSuggestions()

const section = computed(() => session.document.sections.find((s) => s.blocks.some((b) => b.id === props.block)))
const place = computed(() => placeOfRole(section.value?.role ?? 'main'))
const count = ref(place.value === 'work' ? 4 : 3)
const found = shallowRef<Suggestion[]>()
const left = ref<ReadonlySet<string>>(new Set())
const running = ref(false)
const problem = ref('')
let abort: AbortController | undefined
const cancel = () => {
  abort?.abort()
  running.value = false
}
onScopeDispose(cancel)

async function run() {
  cancel()
  const here = (abort = new AbortController())
  running.value = true
  problem.value = ''
  try {
    const answer = await ask(place.value, count.value, here.signal)
    if (abort !== here) return
    found.value = answer
    left.value = new Set()
  } catch {
    if (abort === here) problem.value = 'failed'
  }
  if (abort === here) running.value = false
}
watch(() => [props.block, count.value], run, { immediate: true })

const shown = computed(() =>
  (found.value ?? []).flatMap(({ move: id, reasons }) => {
    const move = library.moves.get(id)
    return move ? [{ move, figure: library.figures.get(move.figure), why: reasonsText(reasons, t) }] : []
  }),
)
const chosen = computed(() => shown.value.map(({ move }) => move).filter((m) => !left.value.has(m.id)))
function toggle({ id }: Move) {
  const now = new Set(left.value)
  if (!now.delete(id)) now.add(id)
  left.value = now
}
function take() {
  const block = section.value?.blocks.find((b) => b.id === props.block)
  if (!block) return
  const { groups, home } = session.document
  const n = chosen.value.length
  const taken = edits.edit((now) =>
    chosen.value.reduce((session, move) => {
      const here = session.sections.flatMap((s) => s.blocks).find((b) => b.id === props.block)!
      const cells = putCells(move, groups, { form: block.form, home, hold: edits.hold() }, library)
      return addStation(session, props.block, cells, stationsOf(here).at(-1)?.id)
    }, now),
  )
  if (!taken) return
  messages.say({ text: 'fitTaken', params: { n }, undo: true })
  panel.close()
}
</script>

<template>
  <ToolPanel :title="t(`suggest.title.${place}`)" :running="running" :problem="problem" @cancel="cancel" @again="run">
    <p class="quiet">{{ t(`suggest.lead.${place}`) }}</p>
    <NumberField v-model="count" :label="t('suggest.count')" :min="1" :max="8" />
    <ul aria-live="polite">
      <li v-for="{ move, figure, why } in shown" :key="move.id">
        <label>
          <input type="checkbox" :checked="!left.has(move.id)" @change="toggle(move)" />
          <MoveFigure v-if="figure" :figure="figure" :size="44" />
          <span><b>{{ move.name }}</b><small class="quiet">{{ why }}</small></span>
        </label>
      </li>
    </ul>
    <p v-if="found && !shown.length" class="quiet">{{ t('suggest.none') }}</p>
    <div v-if="shown.length" class="do">
      <v-btn class="main" :disabled="!chosen.length" @click="take">{{ t('suggest.take', { n: chosen.length }) }}</v-btn>
    </div>
  </ToolPanel>
</template>

<style scoped>
li {
  border-top: 1px solid var(--hair);
}
label {
  display: grid;
  grid-template-columns: 22px 44px 1fr;
  align-items: center;
  gap: 8px;
  padding: 6px 0;
  cursor: pointer;
}
b,
small {
  display: block;
}
small {
  font-size: 14px;
}
</style>
