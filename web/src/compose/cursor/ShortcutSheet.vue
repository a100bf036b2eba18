<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import AppDialog from '../../shared/dialog/AppDialog.vue'

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
  <AppDialog v-model="open" :title="t('keys.title')" :width="560">
    <dl>
      <template v-for="[key, name] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ t(`keys.${name}`) }}</dd>
      </template>
    </dl>
    <template #actions><v-btn @click="open = false">{{ t('close') }}</v-btn></template>
  </AppDialog>
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
