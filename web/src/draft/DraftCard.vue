<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, type LaneView, type Language, type Section } from '@esfuerzo/core'
import { findingText } from '@esfuerzo/core/checks'
import { type HeldRow } from '@esfuerzo/core/draft'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { library } from '../repertoire/library.ts'
import LaneStrip from '../compose/lanes/LaneStrip.vue'
import type { TimedDraft } from '../workers/jobs.ts'
import DraftPart from './DraftPart.vue'
import { useStaged } from './useStaged.ts'

/** One draft: its thread, the length of each lane, its contents; a checkbox keeps a row. */
const props = defineProps<{
  draft: TimedDraft
  /** Keys of the kept rows. */
  kept: ReadonlySet<string>
  /** Whether the time to explain new exercises is included. */
  explains: boolean
  busy: boolean
}>()
const emit = defineEmits<{ take: []; again: []; keep: [row: HeldRow]; explain: [on: boolean] }>()
const { t, locale } = useI18n()

const session = computed(() => props.draft.session)
const skill = computed(() => library.moves.get(props.draft.thread.move)?.name ?? '')
const scale = computed(() => session.value.minutes * 60)

/** Its lanes as the draft would be taken: including the talk about new exercises, if wanted. */
const lanes = computed(() => (props.explains && props.draft.explained) || props.draft.lanes)
/** Its lanes and its sections, each rendered in a frame of its own. */
type Piece = { lane: LaneView; section?: undefined } | { lane?: undefined; section: Section }
const pieces = computed((): Piece[] => [
  ...lanes.value.map((lane) => ({ lane })),
  ...session.value.sections.map((section) => ({ section })),
])
const staged = useStaged(pieces)
/** Whether everything has been rendered once. Until then content below would be pushed away from under the pointer. */
const whole = ref(false)
watchEffect(() => (whole.value ||= staged.value.length >= pieces.value.length))
const secondsOf = ({ id }: Section) =>
  Math.max(...props.draft.lanes.map((l) => l.totals.sections[id]?.seconds.typical ?? 0))
const findings = computed(() => props.draft.findings.map((f) => findingText(f, locale.value as Language).what))
const newMoves = computed(() =>
  (props.draft.explain?.moves ?? []).map((id) => library.moves.get(id)?.name ?? id).join(', '),
)
const takenText = (lane: LaneView): string => minutesText(lane.totals.session.seconds.typical)
const surely = computed(() =>
  props.draft.proven ? t('draft.best') : t('draft.within', { n: Math.ceil(100 * props.draft.within) }),
)
</script>

<template>
  <section class="card draft" :aria-label="t(`draft.intent.${draft.intent}`)">
    <header>
      <h2>{{ t(`draft.intent.${draft.intent}`) }}</h2>
      <p class="title">{{ session.title }}</p>
      <p class="quiet">{{ t(`draft.about.${draft.intent}`, { skill }) }}</p>
    </header>
    <template v-for="{ lane, section } in staged" :key="lane ? `lane ${lane.group.id}` : section.id">
      <div v-if="lane" class="lane">
        <LaneKey :letter="lane.group.letter" :name="lane.group.name" />
        <LaneStrip
          class="strip"
          :lane="lane"
          :scale="scale"
          :label="t('draft.lane', { name: lane.group.name, total: takenText(lane) })"
        />
        <b class="num">{{ takenText(lane) }}</b>
      </div>
      <DraftPart
        v-else
        :section="section"
        :groups="session.groups"
        :seconds="secondsOf(section)"
        :skill="draft.thread.move"
        :kept="kept"
        @keep="emit('keep', $event)"
      />
    </template>
    <div v-if="whole" class="said">
      <p v-for="code in draft.relaxed" :key="code" class="care-note">{{ t(`draft.relaxed.${code}`) }}</p>
      <p v-for="text in findings" :key="text" class="quiet">{{ text }}</p>
      <p v-if="draft.armsNext" class="quiet">{{ t(`draft.next.${draft.armsNext}`) }}</p>
      <label v-if="draft.explain" class="row">
        <input
          type="checkbox"
          :checked="explains"
          @change="emit('explain', ($event.target as HTMLInputElement).checked)"
        />
        {{ t('draft.explain', { moves: newMoves, n: draft.explain.seconds }) }}
      </label>
      <p class="quiet">{{ surely }}</p>
    </div>
    <div v-if="whole" class="do">
      <v-btn class="main" :aria-label="t('draft.takeOf', { title: session.title })" @click="emit('take')">{{
        t('draft.take')
      }}</v-btn>
      <v-btn :disabled="busy" @click="emit('again')">{{ t(kept.size ? 'draft.rest' : 'draft.another') }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.draft {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 14px;
  min-width: 0;
}
.title {
  font: 700 20px/1.2 var(--display);
}
.lane {
  display: grid;
  grid-template-columns: 74px 1fr 46px;
  align-items: center;
  gap: 8px;
}
.strip {
  border-right: 2px solid var(--ink);
}
.lane b {
  text-align: right;
}
.row {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 34px;
}
label.row {
  cursor: pointer;
}
.said {
  margin-top: auto;
  display: grid;
  gap: 6px;
}
.said p {
  margin: 0;
}
</style>
