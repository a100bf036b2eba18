<script setup lang="ts">
import { mdiDeleteOutline, mdiDragVertical, mdiPlus } from '@mdi/js'
import { onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { cleanText, stationsOf, type Part } from '@esfuerzo/core'
import type { KeptPart } from '@esfuerzo/contract'
import JoinSession from './JoinSession.vue'
import KeptHandle from './KeptHandle.vue'
import { useKeptParts } from './keptParts.ts'
import { useEdits } from '../edits/useEdits.ts'

/** Parts saved for other sessions, and other sessions to add. */
const { t } = useI18n()
const kept = useKeptParts()
const edits = useEdits()
const renaming = ref<string>()
const undo = shallowRef<() => Promise<void>>()
onMounted(() => void kept.load())

function about(part: Part): string {
  if (part.kind === 'stations') return t('kept.moves', { n: part.stations.length })
  const blocks = part.kind === 'block' ? [part.block] : part.section.blocks
  const moves = blocks.reduce((n, b) => n + stationsOf(b).length, 0)
  return [t(`kept.kind.${part.kind}`), t('kept.moves', { n: moves })].join(' · ')
}
async function onRename(piece: KeptPart, event: Event) {
  const name = cleanText((event.target as HTMLInputElement).value, 'line').trim()
  renaming.value = undefined
  if (name && name !== piece.name) await kept.rename(piece.id, name)
}
async function onRemove(piece: KeptPart) {
  undo.value = await kept.remove(piece)
}
async function onUndo() {
  await undo.value?.()
  undo.value = undefined
}
</script>

<template>
  <div class="kept">
    <p v-if="kept.error && !kept.parts" class="care" role="alert">
      {{ t(`errors.${kept.error}`) }} <v-btn @click="kept.load()">{{ t('tryAgain') }}</v-btn>
    </p>
    <p v-else-if="!kept.parts" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!kept.parts.length" class="quiet">{{ t('kept.none') }}</p>
    <ul v-else>
      <li v-for="piece in kept.parts" :key="piece.id">
        <KeptHandle :part="piece.part" :icon="mdiDragVertical" />
        <span class="what">
          <input
            v-if="renaming === piece.id"
            :value="piece.name"
            :aria-label="t('kept.rename', { name: piece.name })"
            maxlength="120"
            autofocus
            @keydown.enter="($event.target as HTMLInputElement).blur()"
            @keydown.esc.stop="renaming = undefined"
            @blur="renaming && onRename(piece, $event)"
          />
          <button v-else type="button" class="title" :title="t('kept.renameShort')" @click="renaming = piece.id">
            {{ piece.name }}
          </button>
          <small class="quiet">{{ about(piece.part) }}</small>
        </span>
        <v-btn
          class="plain"
          size="small"
          :icon="mdiPlus"
          :aria-label="t('kept.put', { name: piece.name })"
          :title="t('kept.putShort')"
          @click="edits.insert([piece.part])"
        />
        <v-btn
          class="plain"
          size="small"
          :icon="mdiDeleteOutline"
          :aria-label="t('kept.remove', { name: piece.name })"
          @click="onRemove(piece)"
        />
      </li>
    </ul>
    <p v-if="undo">{{ t('kept.removed') }} <v-btn @click="onUndo">{{ t('undo') }}</v-btn></p>
    <JoinSession />
  </div>
</template>

<style scoped>
.kept {
  display: grid;
  gap: 12px;
  padding: 8px 0 20px;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 4px;
  padding: 4px 0;
  border-top: 1px solid var(--hair);
}
.what {
  display: grid;
}
.title {
  border: 0;
  padding: 2px 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: text;
}
input {
  width: 100%;
  border: 2px solid var(--action);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
small {
  font-size: 13px;
}
</style>
