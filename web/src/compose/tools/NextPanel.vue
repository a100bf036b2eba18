<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode } from '@esfuerzo/contract'
import {
  applyNext,
  isUnsaidClean,
  saidClean,
  type CameBack,
  type LaneNext,
  type NextChange,
} from '@esfuerzo/core/nextTime'
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

/** The next session, from the results: for each lane one lever by its smallest step, why, and the alternatives. */
const props = defineProps<{ from: string; ofClass?: string | undefined }>()
const { t } = useI18n()
const session = useSession()
const messages = useMessages()
const edits = useEdits()
const panel = usePanel()
const lanes = shallowRef<LaneNext[]>()
/** For each lane, the chosen change by its position; -1 is the same again. */
const chosen = ref<Record<string, number>>({})
const problem = ref('')
const running = ref(false)
/** The classes that did it, and whose results count: '' is everybody's. */
const classes = shallowRef<readonly { id: string; name: string }[]>([])
const others = ref(false)
const classId = ref(props.ofClass ?? '')
/** Some typed results don't say whether the reps were clean; the teacher decides for all of them. */
const unsaid = ref(false)
const clean = ref(false)
const whose = computed(() => (classes.value.length === 1 ? classes.value[0]!.name : ''))
let abort = new AbortController()
onScopeDispose(() => abort.abort())

/** Results of the chosen class, or of everyone if that class did not do it. */
async function readTimes() {
  const answer = await client('readCameBack', {
    params: { id: props.from },
    query: classId.value ? { class: classId.value } : {},
  })
  classes.value = answer.classes
  others.value = answer.others
  if (!classId.value || answer.classes.some(({ id }) => id === classId.value)) return answer.times
  classId.value = ''
  return (await client('readCameBack', { params: { id: props.from } })).times
}
async function load() {
  abort.abort()
  abort = new AbortController()
  const { signal } = abort
  running.value = true
  problem.value = ''
  try {
    const times = await readTimes()
    if (signal.aborted) return
    const last = times[0]
    const weeks = last ? Math.max(1, Math.round(-DateTime.fromISO(last.sentAt).diffNow('weeks').weeks)) : 1
    const groups = session.document.groups.map((g) => g.id)
    unsaid.value = times.some(({ lanes }) => Object.values(lanes).some((lane) => lane.some(isUnsaidClean)))
    const told = (lane: CameBack[] = []) => (clean.value ? lane.map(saidClean) : lane)
    const cameBack = Object.fromEntries(groups.map((id) => [id, times.map((time) => told(time.lanes[id]))]))
    lanes.value = await coreDoor.run('next', session.document, { cameBack, weeks }, { signal })
    chosen.value = Object.fromEntries(lanes.value.map((lane) => [lane.group, lane.changes.length ? 0 : -1]))
  } catch (error) {
    if (signal.aborted) return
    problem.value = t(`errors.${callCode(error)}`)
  }
  running.value = false
}
onMounted(load)

const shown = computed(() =>
  (lanes.value ?? []).flatMap((lane) => {
    const group = session.document.groups.find((g) => g.id === lane.group)
    if (!group) return []
    return [
      {
        lane,
        group,
        reason: reasonText(lane, t),
        ways: lane.changes.map((change) => nextText(change, session.document, t)),
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
      <v-select
        v-if="classes.length > 1 || (classes.length && others)"
        v-model="classId"
        :items="[
          ...classes.map(({ id, name }) => ({ value: id, title: name })),
          { value: '', title: t('next.everybody') },
        ]"
        :label="t('next.whose')"
        density="compact"
        hide-details
        @update:model-value="load"
      />
      <p v-else-if="whose">{{ t('next.of', { name: whose }) }}</p>
      <label v-if="unsaid">
        <input v-model="clean" type="checkbox" @change="load" />
        <span>{{ t('next.clean') }}</span>
      </label>
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
