<script setup lang="ts">
import { computed, ref, toRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, sessionView } from '@esfuerzo/core'
import { applyFit, type FitChange } from '@esfuerzo/core/tools'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { library } from '../../repertoire/library.ts'
import { coreDoor } from '../../workers/coreDoor.ts'
import { useJob } from '../../workers/useJob.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useEdits } from '../edits/useEdits.ts'
import { useLanes } from '../lanes/useLanes.ts'
import { fitText, secondsText } from './fitText.ts'
import RadioBar from './RadioBar.vue'
import ToolPanel from './ToolPanel.vue'

/** Fit the planned minutes: changes to apply one by one or all, their cost, and what prevents it if nothing fits. */
const props = defineProps<{ fill: boolean }>()
const { t } = useI18n()
const session = useSession()
const messages = useMessages()
const edits = useEdits()
const timed = useLanes()
const work = useJob(coreDoor, 'fit', toRef(session, 'document'), () => ({ fill: props.fill }))
const answer = computed(() => (work.current.value ? work.answer.value : undefined))
const budget = computed(() => session.document.minutes * 60)

const chosen = ref(0)
/** Changes of the chosen way that are left out, by their position. */
const left = ref(new Set<number>())
watch(work.answer, () => (chosen.value = 0))
watch([work.answer, chosen], () => (left.value = new Set()))
const way = computed(() => answer.value?.ways[chosen.value])
const changes = computed(() =>
  (way.value?.changes ?? []).map((change) => ({ change, ...fitText(change, session.document, library, t) })),
)
const taken = computed<FitChange[]>(() => (way.value?.changes ?? []).filter((_, i) => !left.value.has(i)))
function toggle(i: number): void {
  const next = new Set(left.value)
  if (!next.delete(i)) next.add(i)
  left.value = next
}

/** The session with the ticked changes. */
const then = computed(() => applyFit(session.document, taken.value))
const lanes = computed(() => {
  const after = sessionView(then.value, library)
  return timed.lanes.map(({ group, totals: now }, i) => {
    const {
      work: active,
      rest,
      seconds: { typical: seconds },
    } = after[i]!.totals.session
    const over = seconds - budget.value
    const differences = [
      ['work', active - now.session.work],
      ['rest', rest - now.session.rest],
    ] as const
    return {
      group,
      before: minutesText(now.session.seconds.typical),
      after: minutesText(seconds),
      over: over > 0 ? t('lanes.late', { by: minutesText(over) }) : '',
      costs: differences
        .filter(([, by]) => by !== 0)
        .map(([what, by]) => t(`fit.${by < 0 ? 'less' : 'more'}.${what}`, { by: secondsText(Math.abs(by), t) }))
        .join(', '),
    }
  })
})
const sectionName = (id: string) => {
  const section = session.document.sections.find((s) => s.id === id)
  return section?.title || t(`role.${section?.role ?? 'main'}`)
}
const holds = computed(() =>
  (answer.value?.holds ?? []).map(({ section, why, seconds }) => ({
    name: sectionName(section),
    time: minutesText(Math.max(...Object.values(seconds))),
    why: t(`fit.hold.${why}`),
  })),
)
/** Unused minutes of each lane, if a tenth or more is left: nobody would call that a fit. */
const unused = computed(() => {
  const lanes = timed.lanes.map(({ group, totals }) => ({
    letter: group.letter,
    left: budget.value - totals.session.seconds.typical,
  }))
  if (!lanes.some(({ left }) => left >= budget.value / 10)) return ''
  const [first] = lanes
  if (lanes.every(({ left }) => left === first!.left)) return minutesText(first!.left)
  return lanes.map(({ letter, left }) => `${letter} ${minutesText(left)}`).join(', ')
})
const headline = computed(() => {
  if (!answer.value) return ''
  const { kind, asked, missing } = answer.value
  const n = session.document.minutes
  if (kind === 'fits') return unused.value ? t('fit.unused', { n, by: unused.value }) : t('fit.fits', { n })
  if (kind === 'ways') return t(`fit.can.${asked}`, { n: session.document.minutes })
  if (missing <= 0) return t('fit.apart')
  return t(`fit.short.${asked === 'fill' ? 'fill' : 'over'}`, { by: secondsText(missing, t) })
})
function take(): void {
  const n = taken.value.length
  if (!work.current.value || !edits.edit((w) => applyFit(w, taken.value))) return
  messages.say({ text: 'fitTaken', params: { n }, undo: true })
}
</script>

<template>
  <ToolPanel
    :title="t(fill ? 'fit.fill' : 'fit.title')"
    :running="work.running.value"
    :progress="work.progress.value"
    :problem="work.problem.value"
    @cancel="work.cancel"
    @again="work.run"
  >
    <template v-if="answer">
      <p aria-live="polite">{{ headline }}</p>
      <RadioBar
        v-if="answer.ways.length > 1"
        v-slot="{ choice }"
        v-model="chosen"
        :choices="answer.ways.map((_, i) => i)"
        :label="t('fit.ways')"
      >
        {{ t(choice === 0 ? 'fit.least' : 'fit.other', { n: choice }) }}
      </RadioBar>
      <template v-if="way && changes.length">
        <ul class="changes">
          <li v-for="({ where, what, letters }, i) in changes" :key="i">
            <label>
              <input type="checkbox" :checked="!left.has(i)" @change="toggle(i)" />
              <span>
                <b>{{ where }}</b>: {{ what }}
                <span v-if="letters.length" class="letters"
                  ><LaneKey v-for="letter in letters" :key="letter" :letter="letter"
                /></span>
              </span>
            </label>
          </li>
        </ul>
        <table>
          <caption class="out-of-sight">
            {{ t('fit.table') }}
          </caption>
          <tbody>
            <tr v-for="lane in lanes" :key="lane.group.id">
              <th scope="row"><LaneKey :letter="lane.group.letter" /></th>
              <td>
                <span class="num quiet">{{ lane.before }}</span> →
                <b class="num" :class="{ care: lane.over }">{{ lane.after }}</b>
                <span v-if="lane.over" class="care"> {{ lane.over }}</span>
                <small class="quiet">{{ lane.costs }}</small>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="!way.proven" class="quiet">{{ t('fit.unproven') }}</p>
        <v-btn class="main" :disabled="!taken.length" @click="take">{{
          t('fit.take', { n: taken.length }, taken.length)
        }}</v-btn>
      </template>
      <template v-if="holds.length">
        <h3>{{ t('fit.holds') }}</h3>
        <ul class="holds">
          <li v-for="hold in holds" :key="hold.name">
            <span>{{ hold.name }} <small class="quiet">{{ hold.why }}</small></span
            ><b class="num">{{ hold.time }}</b>
          </li>
        </ul>
      </template>
    </template>
  </ToolPanel>
</template>

<style scoped>
p {
  margin: 0;
}
.changes label {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 8px 0;
  border-top: 1px solid var(--hair);
  cursor: pointer;
}
.letters {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  margin-left: 4px;
}
.changes input {
  width: 18px;
  height: 18px;
  flex: none;
  align-self: start;
  accent-color: var(--action);
}
table {
  border-collapse: collapse;
  width: 100%;
}
tr {
  border-top: 1px solid var(--hair);
}
th {
  text-align: left;
  vertical-align: top;
  padding: 6px 8px 6px 0;
  width: 1%;
}
td {
  padding: 6px 0;
}
td small {
  display: block;
}
td .care + .care {
  margin-left: 6px;
}
h3 {
  font-size: 15px;
}
.holds li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid var(--hair);
}
.holds small {
  display: block;
}
</style>
