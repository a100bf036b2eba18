<script setup lang="ts">
import { computed, defineAsyncComponent, ref, toRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { findBlock, findStation, minutesText, moveNames, type BlockOf, type LaneLetter } from '@esfuerzo/core'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { library } from '../../repertoire/library.ts'
import { coreDoor } from '../../workers/coreDoor.ts'
import { useJob } from '../../workers/useJob.ts'
import { useSession } from '../session/useSession.ts'
import RadioBar from './RadioBar.vue'
import ToolPanel from './ToolPanel.vue'

/** Statistics of a coin sheet, deck, die or toss: how long, how many of each, what may never come up. */
const props = defineProps<{ block: string }>()
const SpreadChart = defineAsyncComponent(() => import('./SpreadChart.vue'))
const { t } = useI18n()
const session = useSession()
const work = useJob(coreDoor, 'chance', toRef(session, 'document'), () => ({ block: props.block }))
const block = computed(() => findBlock(session.document, props.block) as BlockOf<'chance'>)
const groups = computed(() =>
  (work.current.value ? (work.answer.value ?? []) : []).flatMap((answer) => {
    const group = session.document.groups.find((g) => g.id === answer.group)
    return group ? [{ ...answer, group }] : []
  }),
)
/** Whose rows are shown: one group at a time. */
const chosen = ref<LaneLetter>()
const shown = computed(() => groups.value.find((g) => g.group.letter === chosen.value) ?? groups.value[0])
const letter = computed<LaneLetter>({
  get: () => shown.value?.group.letter ?? 'A',
  set: (to) => (chosen.value = to),
})
const seconds = (n: number) => minutesText(Math.round(n))
const times = computed(() =>
  groups.value.map(({ group, finish: { early, late, last } }) => ({
    group,
    same: early === last,
    params: { early: seconds(early), late: seconds(late), last: seconds(last) },
  })),
)
const names = moveNames(library.moves)
const lines = computed(() =>
  (shown.value?.lines ?? []).map((line, i) => ({
    key: i,
    face: t(`face.${line.face}`),
    name: line.stations
      .map((id) => {
        const station = findStation(session.document, id)
        return station.storyName || names(station.cells.all.move, station.cells.all.version)
      })
      .join(', '),
    amount: rangeText(line.amount.low, line.amount.high, line.unit),
    never: line.never >= 0.005 ? t('chance.never', { n: oneIn(line.never) }) : '',
    often: line.never >= 0.1,
  })),
)
const rangeText = (low: number, high: number, unit: string) => {
  const [from, to] = [Math.round(low), Math.round(high)]
  return t(`unit.short.${unit}`, { n: from === to ? `${from}` : `${from}–${to}`, count: to })
}
/** A probability as "1 in n". */
const oneIn = (chance: number) => Math.max(1, Math.round(1 / chance))
const draws = computed(() => {
  const spread = shown.value?.draws
  if (!spread || block.value.stop.kind === 'draws') return ''
  return t(`chance.draws.${block.value.device}`, { low: spread.low, high: spread.high, mean: spread.mean.toFixed(1) })
})
</script>

<template>
  <ToolPanel
    :title="t('chance.title')"
    :running="work.running.value"
    :progress="work.progress.value"
    :problem="work.problem.value"
    @cancel="work.cancel"
    @again="work.run"
  >
    <p v-if="!work.running.value && shown && !lines.length" class="quiet">{{ t('chance.empty') }}</p>
    <template v-if="lines.length && shown">
      <SpreadChart
        v-if="times.some((time) => !time.same)"
        :curves="groups.map(({ group, finish }) => ({ letter: group.letter, bins: finish.bins }))"
        :label="t('chance.chart')"
        :minutes="t('lanes.minutes')"
      />
      <p v-for="time in times" :key="time.group.id" class="time">
        <LaneKey :letter="time.group.letter" />
        <span>{{ t(time.same ? 'chance.same' : 'chance.usually', time.params) }}</span>
      </p>
      <p v-if="draws">{{ draws }}</p>
      <RadioBar
        v-if="groups.length > 1"
        v-slot="{ choice }"
        v-model="letter"
        :choices="groups.map(({ group }) => group.letter)"
        :label="t('chance.whom')"
      >
        <LaneKey :letter="choice" />
      </RadioBar>
      <table>
        <caption class="out-of-sight">
          {{ t('chance.table') }}
        </caption>
        <thead>
          <tr>
            <th scope="col">{{ t('chance.row') }}</th>
            <th scope="col">{{ t('chance.amount') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.key">
            <th scope="row">
              {{ line.name }}<small class="quiet">{{ line.face }}</small
              ><small v-if="line.never" :class="line.often ? 'care' : 'quiet'">{{ line.never }}</small>
            </th>
            <td class="num">{{ line.amount }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="block.stop.kind !== 'cleared'" class="quiet small">{{ t('chance.how') }}</p>
    </template>
  </ToolPanel>
</template>

<style scoped>
p {
  margin: 0;
}
.time {
  display: flex;
  gap: 8px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 6px 8px 6px 0;
}
td,
thead th:last-child {
  padding-right: 0;
  text-align: right;
}
thead th {
  font-size: 13px;
  color: var(--quiet);
}
tbody tr {
  border-top: 1px solid var(--hair);
}
small {
  display: block;
  font-size: 13px;
}
.small {
  font-size: 13px;
}
</style>
