<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode } from '@esfuerzo/contract'
import { applyNext, type LaneNext, type NextChange } from '@esfuerzo/core/nextTime'
import { client } from '../../shared/client.ts'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { library } from '../../repertoire/library.ts'
import { coreDoor } from '../../workers/coreDoor.ts'
import { useEdits } from '../edits/useEdits.ts'
import { usePanel } from '../panel/usePanel.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { nextText, reasonText } from './nextText.ts'
import ToolPanel from './ToolPanel.vue'

/** Next time, from what came back: for each lane one lever by its smallest step, why, and what could be in its place. */
const props = defineProps<{ from: string }>()
const { t } = useI18n()
const session = useSession()
const messages = useMessages()
const edits = useEdits()
const panel = usePanel()
const lanes = shallowRef<LaneNext[]>()
/** Of each lane the chosen change by its place; -1 is the same again. */
const chosen = ref<Record<string, number>>({})
const problem = ref('')
const running = ref(false)
const abort = new AbortController()
onScopeDispose(() => abort.abort())

async function load() {
  running.value = true
  problem.value = ''
  try {
    const { times } = await client('readCameBack', { params: { id: props.from } })
    const last = times[0]
    const weeks = last ? Math.max(1, Math.round(-DateTime.fromISO(last.sentAt).diffNow('weeks').weeks)) : 1
    const groups = session.workout.groups.map((g) => g.id)
    const cameBack = Object.fromEntries(groups.map((id) => [id, times.map((time) => time.lanes[id] ?? [])]))
    const signal = abort.signal
    lanes.value = await coreDoor.run('next', session.workout, { cameBack, weeks }, { signal })
    chosen.value = Object.fromEntries(lanes.value.map((lane) => [lane.group, lane.changes.length ? 0 : -1]))
  } catch (error) {
    if (!abort.signal.aborted) problem.value = t(`errors.${callCode(error)}`)
  }
  running.value = false
}
onMounted(load)

const shown = computed(() =>
  (lanes.value ?? []).flatMap((lane) => {
    const group = session.workout.groups.find((g) => g.id === lane.group)
    if (!group) return []
    return [
      {
        lane,
        group,
        reason: reasonText(lane, t),
        ways: lane.changes.map((change) => nextText(change, session.workout, t)),
      },
    ]
  }),
)
const taken = computed<NextChange[]>(() =>
  (lanes.value ?? []).flatMap(({ group, changes }) => changes[chosen.value[group] ?? -1] ?? []),
)
function take(): void {
  const n = taken.value.length
  if (!edits.edit((w) => applyNext(w, library, taken.value))) return
  messages.say({ text: 'fitTaken', params: { n }, undo: true })
  panel.close()
}
</script>

<template>
  <ToolPanel :title="t('next.title')" :running="running" :problem="problem" @cancel="panel.close" @again="load">
    <template v-if="lanes">
      <p class="quiet">{{ t('next.lead') }}</p>
      <fieldset v-for="{ lane, group, reason, ways } in shown" :key="group.id">
        <legend><LaneKey :letter="group.letter" :name="group.name" /></legend>
        <p>{{ reason }}</p>
        <template v-if="ways.length">
          <label v-for="(way, i) in [...ways, t('next.again')]" :key="i">
            <input
              v-model="chosen[group.id]"
              type="radio"
              :name="`next-${group.id}`"
              :value="i < ways.length ? i : -1"
            />
            <span>{{ way }}</span>
          </label>
        </template>
        <p v-if="lane.changes.length > 1" class="quiet small">{{ t('next.one') }}</p>
      </fieldset>
      <v-btn v-if="shown.some((lane) => lane.ways.length)" class="main" :disabled="!taken.length" @click="take">{{
        t('fit.take', { n: taken.length }, taken.length)
      }}</v-btn>
      <p class="quiet small">{{ t('next.child') }}</p>
    </template>
  </ToolPanel>
</template>

<style scoped>
p {
  margin: 0;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--hair);
  margin: 0;
  padding: 8px 0 0;
  min-width: 0;
}
legend {
  float: left;
  width: 100%;
  padding: 0;
  margin-bottom: 4px;
}
legend + * {
  clear: both;
}
label {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 6px 0;
  cursor: pointer;
}
input {
  flex: none;
  width: 18px;
  height: 18px;
  align-self: start;
  accent-color: var(--action);
}
.small {
  font-size: 14px;
}
</style>
