<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const keys = [
  ['/', 'find'],
  ['↑ ↓ ← →', 'walk'],
  ['Enter', 'add'],
  ['F2, 0–9', 'inPlace'],
  ['E', 'panel'],
  ['Shift ↑ ↓ ← →', 'extend'],
  ['Alt ↑ ↓', 'move'],
  ['Alt ← →', 'version'],
  ['+ −', 'dose'],
  ['G', 'group'],
  ['D', 'duplicate'],
  ['S', 'swap'],
  ['Delete', 'remove'],
  ['F', 'fold'],
  ['P', 'play'],
  ['W', 'text'],
  ['M', 'fit'],
  ['A', 'arrange'],
  ['Ctrl C, X, V', 'copy'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['Esc', 'back'],
  ['?', 'sheet'],
]
</script>

<template>
  <v-dialog v-model="open" :aria-label="t('keys.title')">
    <v-card>
      <v-card-title>{{ t('keys.title') }}</v-card-title>
      <v-card-text>
        <dl>
          <template v-for="[key, name] in keys" :key="key">
            <dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ t(`keys.${name}`) }}</dd>
          </template>
        </dl>
      </v-card-text>
      <v-card-actions><v-btn @click="open = false">{{ t('close') }}</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 20px;
  margin: 0;
}
kbd {
  font: 14px var(--text);
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 1px 7px;
}
</style>
