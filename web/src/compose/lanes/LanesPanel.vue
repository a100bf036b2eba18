<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { limits, minutesText, moveNames, sayName, type stepAt, type Step } from '@esfuerzo/core'
import { finishTogether } from '@esfuerzo/core/tools'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { library } from '../../repertoire/library.ts'
import { gravest, levelIcons } from '../checks/levelIcons.ts'
import { useChecks } from '../checks/useChecks.ts'
import LaneStrip from './LaneStrip.vue'
import { scaleMarks, scaleSeconds } from './lanes.ts'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { usePanel } from '../panel/usePanel.ts'
import { useLanes } from './useLanes.ts'

const PulseBand = defineAsyncComponent(() => import('./PulseBand.vue'))
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const panel = usePanel()
const timed = useLanes()
const checks = useChecks()
const budget = computed(() => session.document.minutes * 60)
const lanes = computed(() =>
  timed.lanes.map((lane) => {
    const { group, totals, tooLong } = lane
    const { low, typical, high } = totals.session.seconds
    const over = typical - budget.value
    const fit = over > 0 ? t('lanes.late', { by: minutesText(over) }) : t('lanes.spare', { by: minutesText(-over) })
    const spread = low === high ? '' : t('lanes.spread', { low: minutesText(low), high: minutesText(high) })
    // With more than a fifth of the minutes left, a lane is well under time.
    const spare = -over > budget.value / 5
    const total = tooLong ? t('lanes.over', { total: minutesText(typical) }) : minutesText(typical)
    const found = checks.lanes.get(group.id)
    const said = found && { icon: levelIcons[gravest(found)], text: t('checks.lane', found.length) }
    return { lane, group, total, late: over > 0, low: spare, fit, spread, said }
  }),
)
const scale = computed(() =>
  scaleSeconds(budget.value, Math.max(...timed.lanes.map((l) => l.totals.session.seconds.typical))),
)
const marks = computed(() =>
  scaleMarks(scale.value).map((minute) => ({ minute, left: `${(minute * 6000) / scale.value}%` })),
)
/** What the pointer is on, in which lane, and where to show its label. */
const pointed = shallowRef<{ lane: string; text: string; left: number }>()
const names = moveNames(library.moves)
function onPoint(lane: string, found: ReturnType<typeof stepAt>, left: number) {
  pointed.value = found && { lane, text: stretchText(found.step, found.at), left }
}
function stretchText(step: Step, at: number): string {
  const what = step.kind === 'rest' || step.kind === 'talk' ? t(`stretch.${step.kind}`) : sayName(step.say, names)
  const lap = step.lap ? [t('stretch.lap', { n: step.lap })] : []
  const kind = step.kind === 'change' || step.kind === 'switch' ? [t(`stretch.${step.kind}`)] : []
  return [minutesText(at), what, ...lap, ...kind, t('unit.short.seconds', { n: step.seconds.typical })].join(' · ')
}
/** A click on a stretch goes to its row: a station's, or its block's, which may be shared with its section. */
function onGo(step: Step) {
  const section = session.document.sections.find((s) => s.id === step.section)
  const merged = cursor.rows.find((r) => r.kind === 'section' && r.block?.id === step.block)
  cursor.goTo(step.station ?? (merged ? section!.id : step.block))
}
/** Lanes that should end together and do not. */
const apart = computed(() => {
  const ends = timed.lanes.map((l) => l.totals.session.seconds.typical)
  return session.document.finishTogether && Math.max(...ends) - Math.min(...ends) > finishTogether
})
/** Lanes that are too long to be sent home, and where they pass the limit. */
const tooLong = computed(() => {
  const found = timed.lanes.filter((lane) => lane.tooLong)
  const letters = found.map((lane) => lane.group.letter).join(', ')
  return found[0] && { letters, last: found[0].blocks.at(-1)!.timed.steps.at(-1)! }
})
/** Predicted pulses are shown on demand. */
const pulse = ref(false)
const finish = computed(() => `${(budget.value / scale.value) * 100}%`)
</script>

<template>
  <section class="lanes card" :aria-label="t('lanes.label')">
    <div v-for="lane in lanes" :key="lane.group.id" class="lane">
      <span class="key">
        <LaneKey :letter="lane.group.letter" :name="lane.group.name" />
        <span v-if="lane.said" class="care said" :title="lane.said.text" :aria-label="lane.said.text" role="img"
          ><v-icon :icon="lane.said.icon" size="15"
        /></span>
      </span>
      <LaneStrip
        :lane="lane.lane"
        :scale="scale"
        :label="t('lanes.lane', { letter: lane.group.letter, name: lane.group.name, total: lane.total, fit: lane.fit })"
        @point="(found, left) => onPoint(lane.group.id, found, left)"
        @go="onGo"
      />
      <span
        v-if="pointed?.lane === lane.group.id"
        class="pointed"
        aria-hidden="true"
        :style="{ left: `clamp(118px, ${118 + pointed.left}px, calc(100% - 330px))` }"
        >{{ pointed.text }}</span
      >
      <span class="total" :title="lane.spread" :data-lane="lane.group.letter">
        <b class="num" :class="{ care: lane.late }">{{ lane.total }}</b>
        <button
          v-if="lane.late || lane.low"
          type="button"
          :class="{ care: lane.late }"
          :title="t(lane.late ? 'fit.title' : 'fit.fill')"
          @click="panel.show({ kind: 'fit', fill: !lane.late })"
        >
          {{ lane.fit }}
        </button>
        <span v-else class="quiet">{{ lane.fit }}</span>
      </span>
    </div>
    <div class="scale lane" aria-hidden="true">
      <span />
      <div class="marks">
        <span v-for="mark in marks" :key="mark.minute" :style="{ left: mark.left }">{{ mark.minute }}</span>
        <i class="finish" :style="{ left: finish, height: `${lanes.length * 28 + 6}px` }" />
      </div>
      <span class="quiet">{{ t('lanes.minutes') }}</span>
    </div>
    <p v-if="tooLong" class="care" role="status">
      {{ t('lanes.tooLong', { letters: tooLong.letters, most: limits.steps }) }}
      <button type="button" class="link" @click="onGo(tooLong.last)">{{ t('lanes.goThere') }}</button>
    </p>
    <p class="asks">
      <button
        v-if="lanes.some((lane) => lane.late) || apart"
        type="button"
        class="link"
        @click="panel.show({ kind: 'fit' })"
      >
        {{ t('fit.title') }} <kbd>M</kbd>
      </button>
      <button
        v-else-if="lanes.every((lane) => lane.low)"
        type="button"
        class="link"
        @click="panel.show({ kind: 'fit', fill: true })"
      >
        {{ t('fit.fill') }}
      </button>
      <button type="button" class="link" @click="panel.show({ kind: 'finish' })">{{ t('finish.title') }}</button>
      <button type="button" class="link" :aria-expanded="pulse" @click="pulse = !pulse">{{ t('pulse.title') }}</button>
    </p>
    <PulseBand v-if="pulse" :scale="scale" />
  </section>
</template>

<style scoped>
.said {
  margin-left: 5px;
}
.lanes {
  padding: 8px 12px 4px;
}
.lane {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr) 132px;
  align-items: center;
  gap: 10px;
  height: 28px;
  font-size: 14px;
  position: relative;
}
.pointed {
  position: absolute;
  top: -24px;
  z-index: 3;
  padding: 1px 8px;
  border-radius: 4px;
  background: var(--ink);
  color: var(--card);
  white-space: nowrap;
  pointer-events: none;
}
.total {
  display: inline-flex;
  gap: 6px;
  white-space: nowrap;
}
.total button {
  border: 0;
  padding: 0;
  background: none;
  font: inherit;
  color: var(--action);
  cursor: pointer;
}
.total button.care {
  color: var(--care);
}
.total button {
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.asks {
  display: flex;
  gap: 20px;
  margin: 0 0 4px;
  padding-left: 118px;
  font-size: 14px;
}
.asks button {
  min-height: 28px;
}
@media (max-width: 640px) {
  .lane {
    grid-template-columns: 78px minmax(0, 1fr) 112px;
    gap: 6px;
  }
  .asks {
    flex-wrap: wrap;
    gap: 2px 16px;
    padding-left: 0;
  }
}
.scale {
  height: 20px;
  font-size: 12px;
  color: var(--quiet);
}
.marks {
  position: relative;
  height: 16px;
}
.marks span {
  position: absolute;
  transform: translateX(-50%);
}
.marks span:first-child {
  transform: none;
}
.finish {
  position: absolute;
  bottom: 20px;
  width: 8px;
  margin-left: -4px;
  background: conic-gradient(var(--ink) 25%, var(--card) 0 50%, var(--ink) 0 75%, var(--card) 0) 0 0 / 8px 8px;
}
</style>
