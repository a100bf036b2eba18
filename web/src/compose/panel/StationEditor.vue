<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  firstDose,
  setStation,
  valueFor,
  type Cell,
  type Dose,
  type Scope,
  type Station,
  type Tempo,
  traitsOf,
} from '@esfuerzo/core'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import { library } from '../../repertoire/library.ts'
import TextField from '../../shared/fields/TextField.vue'
import DoseEditor from './DoseEditor.vue'
import HomeObstacles from '../details/HomeObstacles.vue'
import HomeWeights from '../details/HomeWeights.vue'
import LapChanges from './LapChanges.vue'
import LikeMoves from './LikeMoves.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { moveEdit } from '../edits/rowEdits.ts'
import StairLevel from './StairLevel.vue'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import type { Row } from '../order/rows.ts'
import ChoiceField from '../../shared/fields/ChoiceField.vue'

const props = defineProps<{ row: Extract<Row, { kind: 'station' }>; scope: Scope }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()

const groupId = computed(() => (props.scope === 'all' ? undefined : props.scope[0]))
const groups = computed(() =>
  session.document.groups.filter((g) => props.scope === 'all' || props.scope.includes(g.id)),
)
/** What the first of the chosen groups does; for all groups the shared value. */
const cell = computed<Cell>(() =>
  groupId.value ? valueFor(props.row.station.cells, groupId.value) : props.row.station.cells.all,
)
const move = computed(() => library.moves.get(cell.value.move))
const version = computed(() => move.value?.versions.find((v) => v.id === cell.value.version))
const figure = computed(() => library.figures.get(version.value?.figure ?? move.value?.figure ?? ''))
const cycle = computed(() => (version.value?.secondsPerRep ?? 2) * (figure.value?.reps ?? 1))
const traits = computed(() => traitsOf(props.row.block))
const laps = computed(() => traits.value.laps(props.row.block, groups.value[0]?.id))
const weights = ref(false)
const isClocked = computed(() => traits.value.dose === 'clock')

const change = (next: (now: Cell) => Cell, what: string) => edits.editCells(next, what, props.scope)
const changeStation = (fields: Partial<Omit<Station, 'id' | 'cells'>>, what: string) =>
  edits.edit((w) => setStation(w, props.row.station.id, fields), `${what}:${props.row.id}`)

const without = <K extends keyof Cell>(now: Cell, key: K) => {
  const { [key]: _, ...rest } = now
  return rest as Cell
}
const setDose = (dose: Dose) => change((now) => ({ ...now, dose }), 'dose')
const toggleGoal = (on: boolean) =>
  change((now) => {
    const rest = without(now, 'dose')
    return on && move.value
      ? { ...rest, dose: firstDose(move.value, groups.value[0]!, 'list') ?? { unit: 'reps', amount: 10 } }
      : rest
  }, 'goal')
const setLoad = (kg: number | undefined) =>
  change((now) => (kg === undefined ? without(now, 'load') : { ...now, load: { kg } }), 'load')

/** Another exercise for these groups, each in the version it is ready for. */
function setMove(id: string | null) {
  const next = id && library.moves.get(id)
  if (!next || id === cell.value.move) return
  edits.edit(moveEdit([props.row], props.scope, next, edits.hold()), `move-${id}:${props.row.id}`)
}
const allMoves = computed(() => [...library.moves.values()].map((m) => ({ value: m.id, title: m.name })))
</script>

<template>
  <div v-if="move" class="editor">
    <div class="lead">
      <MoveFigure v-if="figure" :figure="figure" :size="96" :cycle="cycle" />
      <div>
        <b>{{ move.name }}</b>
        <ul class="bullets cues">
          <li v-for="cue in move.cues" :key="cue">{{ cue }}</li>
        </ul>
      </div>
    </div>
    <HomeObstacles v-if="version" :move="move" :version="version" />
    <p v-for="caution in move.cautions" :key="caution" class="caution">{{ caution }}</p>

    <fieldset>
      <legend>{{ t('station.version') }}</legend>
      <label v-for="(v, i) in move.versions" :key="v.id" class="version" :class="{ on: v.id === cell.version }">
        <input
          type="radio"
          :name="`version-${row.id}`"
          :checked="v.id === cell.version"
          @change="change((now) => ({ ...now, version: v.id }), `pick-${v.id}`)"
        />
        <StairLevel :at="i + 1" :of="move.versions.length" />
        <span>{{ v.name }}<small class="quiet">{{ v.how }}</small></span>
      </label>
    </fieldset>
    <LikeMoves :row="row" :scope="scope" />
    <v-autocomplete
      :model-value="cell.move"
      :items="allMoves"
      :label="t(scope === 'all' ? 'station.move' : 'station.moveForSome')"
      @update:model-value="setMove"
    />

    <v-switch
      v-if="isClocked"
      :model-value="cell.dose !== undefined"
      :label="t('station.goal')"
      @update:model-value="toggleGoal(!!$event)"
    />
    <DoseEditor v-if="cell.dose" :model-value="cell.dose" :units="move.measures" @update:model-value="setDose" />
    <ChoiceField
      v-if="cell.dose?.unit === 'reps' && !isClocked"
      :model-value="cell.tempo ?? 'led'"
      :options="['led', 'own', 'slow']"
      named="tempo"
      :label="t('station.tempo')"
      @update:model-value="(tempo: Tempo) => change((now) => ({ ...now, tempo }), 'tempo')"
    />
    <template v-if="move.loadable || cell.load">
      <v-switch
        :model-value="cell.load !== undefined"
        :label="t('station.hasLoad')"
        @update:model-value="setLoad($event ? 0.5 : undefined)"
      />
      <NumberField
        v-if="cell.load"
        :model-value="cell.load.kg"
        :max="20"
        :step="0.5"
        decimals
        :label="t('station.load')"
        suffix="kg"
        @update:model-value="setLoad"
      />
      <v-btn v-if="cell.load" class="fit" @click="weights = true">{{ t('weights.open') }}</v-btn>
      <HomeWeights v-if="weights" v-model="weights" @take="setLoad" />
    </template>
    <LapChanges
      v-if="laps > 1"
      :move="move"
      :cell="cell"
      :laps="laps"
      @change="(fromLap) => change((now) => (fromLap ? { ...now, fromLap } : without(now, 'fromLap')), 'laps')"
    />

    <template v-if="cursor.selectedRows.length === 1">
      <TextField
        :model-value="row.station.focus ?? ''"
        :label="t('station.focus')"
        @update:model-value="(focus) => changeStation({ focus: focus || undefined }, 'focus')"
      />
      <TextField
        :model-value="row.station.storyName ?? ''"
        :label="t('station.story')"
        @update:model-value="(name) => changeStation({ storyName: name || undefined }, 'story')"
      />
      <TextField
        v-for="key in ['easier', 'harder', 'note'] as const"
        :key="key"
        :model-value="row.station[key] ?? ''"
        :label="t(`station.${key}`)"
        :tall="key === 'note'"
        :rows="2"
        @update:model-value="(words) => changeStation({ [key]: words || undefined }, key)"
      />
      <v-switch
        :model-value="row.station.record === 'reps'"
        :label="t('station.record')"
        @update:model-value="changeStation({ record: $event ? 'reps' : undefined }, 'record')"
      />
    </template>
  </div>
</template>

<style scoped>
.lead {
  display: flex;
  gap: 12px;
  align-items: center;
}
.cues {
  margin-top: 4px;
  font-size: 14px;
}
.caution {
  margin: 0;
  padding: 6px 10px;
  border-left: 4px solid var(--care);
  background: var(--care-soft);
  font-size: 14px;
}
.editor {
  display: grid;
  gap: 14px;
}
legend {
  padding: 0 0 4px;
  font-weight: 700;
}
.version {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 6px 8px;
  border-radius: 4px;
  cursor: pointer;
}
.version.on {
  background: var(--action-soft);
}
.fit {
  justify-self: start;
}
small {
  display: block;
  font-size: 13px;
}
</style>
