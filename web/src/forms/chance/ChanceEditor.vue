<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  chanceTable,
  deviceFaces,
  moveNames,
  setStation,
  type BlockOf,
  type Face,
  type Scope,
  type Station,
} from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'
import { amountText } from '../../compose/order/cellText.ts'
import { useEdits } from '../../compose/edits/useEdits.ts'
import FactFields from '../FactFields.vue'

/** The sheet as children see it: one column per face, with rows that can be moved across. */
const props = defineProps<{ block: BlockOf<'chance'>; scope: Scope }>()
const { t } = useI18n()
const edits = useEdits()
const faces = computed<readonly Face[]>(() => deviceFaces[props.block.device])
const table = computed(() => [...chanceTable(props.block)])
const names = moveNames(library.moves)
const nameOf = (s: Station) => {
  const { move, version, dose } = s.cells.all
  const name = s.storyName ?? names(move, version)
  return dose ? `${name} ${amountText(dose.amount, dose.unit, t)}` : name
}
/** The face a row moves to next, in a circle. */
const nextOf = (face: Face): Face => faces.value[(faces.value.indexOf(face) + 1) % faces.value.length]!
const onMove = (station: Station, face: Face) => edits.edit((w) => setStation(w, station.id, { face: nextOf(face) }))
</script>

<template>
  <FactFields :block="block" :scope="scope" />
  <div class="sheet" :style="{ '--faces': faces.length === 4 ? 2 : Math.min(3, faces.length) }">
    <section v-for="[face, stations] in table" :key="face" :aria-label="t(`face.${face}`)">
      <h3>{{ t(`face.${face}`) }}</h3>
      <ol>
        <li v-for="s in stations" :key="s.id">
          <button
            type="button"
            :title="t('chance.across', { face: t(`face.${nextOf(face)}`) })"
            @click="onMove(s, face)"
          >
            {{ nameOf(s) }}
          </button>
        </li>
        <li v-if="!stations.length" class="quiet">–</li>
      </ol>
    </section>
  </div>
  <p class="quiet hint">{{ t('chance.hint') }}</p>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-columns: repeat(var(--faces), minmax(0, 1fr));
  border: 1.5px solid var(--ink);
}
section {
  border: 0.5px solid var(--ink);
}
h3 {
  padding: 4px 8px;
  border-bottom: 1.5px solid var(--ink);
  font-size: 15px;
}
li {
  border-top: 1px solid var(--hair);
  padding: 0;
}
li.quiet {
  padding: 8px;
}
button {
  width: 100%;
  min-height: 40px;
  padding: 4px 8px;
  border: 0;
  background: none;
  color: inherit;
  font: 14px/1.25 var(--text);
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--action-soft);
}
.hint {
  margin: 0;
  font-size: 13px;
}
</style>
