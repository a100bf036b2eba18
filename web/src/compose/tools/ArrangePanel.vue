<script setup lang="ts">
import { mdiPin, mdiPinOutline } from '@mdi/js'
import { computed, toRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { findBlock, minutesText, moveNames, reorderStations, setStation, stationsOf } from '@esfuerzo/core'
import { exactTo } from '@esfuerzo/core/tools'
import { figureOf } from '../../repertoire/standardFigure.ts'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { library } from '../../repertoire/library.ts'
import { coreDoor } from '../../workers/coreDoor.ts'
import { useJob } from '../../workers/useJob.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useEdits } from '../edits/useEdits.ts'
import { findingsText } from './findingsText.ts'
import ToolPanel from './ToolPanel.vue'

/** A better order for a block's stations: what it saves, what is pinned; applied as one edit. */
const props = defineProps<{ block: string }>()
const { t } = useI18n()
const session = useSession()
const messages = useMessages()
const edits = useEdits()
const work = useJob(coreDoor, 'arrange', toRef(session, 'document'), () => ({ block: props.block }))
const answer = computed(() => (work.current.value ? work.answer.value : undefined))
const names = moveNames(library.moves)
const stations = computed(() => stationsOf(findBlock(session.document, props.block)))

const list = computed(() =>
  (answer.value?.order ?? stations.value.map((s) => s.id)).map((id, place) => {
    const now = stations.value.findIndex((s) => s.id === id)
    const station = stations.value[now]!
    const { move, version } = station.cells.all
    const known = library.moves.get(move)
    const chosen = known?.versions.find((v) => v.id === version)
    return {
      station,
      name: station.storyName || names(move, version),
      figure: known && chosen && figureOf(known, chosen, library),
      from: now === place ? undefined : now + 1,
    }
  }),
)
const saves = computed(() =>
  answer.value ? findingsText(answer.value.findings.before, answer.value.findings.after, t) : [],
)
const shorter = computed(() =>
  session.document.groups.flatMap((group) => {
    const { before, after } = answer.value?.seconds ?? { before: {}, after: {} }
    const by = (before[group.id] ?? 0) - (after[group.id] ?? 0)
    return by === 0
      ? []
      : [{ group, text: t(by > 0 ? 'arrange.shorter' : 'arrange.longer', { by: minutesText(Math.abs(by)) }) }]
  }),
)
/** How much better an order might still be, if not all could be tried. */
const gap = computed(() => {
  const { after, bound } = answer.value?.cost ?? { after: 0, bound: 0 }
  return after > bound ? Math.ceil(((after - bound) / after) * 100) : 0
})
const onPin = (id: string, pinned: boolean) =>
  edits.edit((w) => setStation(w, id, { pinned: pinned || undefined }), `pin:${id}`)
function take(): void {
  const { order } = answer.value!
  if (edits.edit((w) => reorderStations(w, props.block, order))) messages.say({ text: 'arranged', undo: true })
}
</script>

<template>
  <ToolPanel
    :title="t('arrange.title')"
    :running="work.running.value"
    :progress="work.progress.value"
    :problem="work.problem.value"
    @cancel="work.cancel"
    @again="work.run"
  >
    <template v-if="answer">
      <p v-if="!answer.better" aria-live="polite">{{ t('arrange.best') }}</p>
      <ul v-else class="bullets" aria-live="polite">
        <li v-for="line in saves" :key="line">{{ line }}</li>
        <li v-if="!saves.length">{{ t('arrange.slightly') }}</li>
        <li v-for="{ group, text } in shorter" :key="group.id"><LaneKey :letter="group.letter" /> {{ text }}</li>
      </ul>
      <p v-if="stations.length > exactTo" class="quiet">
        {{ gap ? t('arrange.gap', { n: gap }) : t('arrange.proven') }}
      </p>
    </template>
    <ol>
      <li v-for="({ station, name, figure, from }, place) in list" :key="station.id" :class="{ moved: answer && from }">
        <span class="num">{{ place + 1 }}</span>
        <MoveFigure v-if="figure" :figure="figure" :size="36" />
        <span class="name"
          >{{ name }}<small v-if="answer && from" class="quiet">{{ t('arrange.was', { n: from }) }}</small></span
        >
        <button
          type="button"
          :aria-pressed="station.pinned === true"
          :aria-label="t('arrange.pin', { name })"
          :title="t(station.pinned ? 'arrange.unpin' : 'arrange.pinShort')"
          @click="onPin(station.id, !station.pinned)"
        >
          <v-icon :icon="station.pinned ? mdiPin : mdiPinOutline" size="18" />
        </button>
      </li>
    </ol>
    <v-btn v-if="answer?.better" class="main" @click="take">{{ t('arrange.take') }}</v-btn>
  </ToolPanel>
</template>

<style scoped>
p {
  margin: 0;
}
ol li {
  display: grid;
  grid-template-columns: 22px 36px minmax(0, 1fr) 40px;
  gap: 8px;
  align-items: center;
  border-top: 1px solid var(--hair);
  min-height: 44px;
}
ol li.moved .name {
  font-weight: 700;
}
small {
  display: block;
  font-weight: 400;
}
ol button {
  width: 40px;
  height: 40px;
  border: 0;
  background: none;
  color: var(--quiet);
  cursor: pointer;
}
ol button[aria-pressed='true'] {
  color: var(--action);
}
</style>
