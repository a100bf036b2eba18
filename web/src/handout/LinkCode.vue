<script setup lang="ts">
import { toString as toString } from 'qrcode'
import { computed, ref, watchEffect } from 'vue'
import { useI18n } from 'vue-i18n'
import { saveContent } from '../shared/saveFile.ts'
import { fileTitle } from '@esfuerzo/core/cues'

/** A link as a QR code: on the screen, or as a picture for a sheet or a door. */
const props = defineProps<{ link: string; title: string }>()
const { t } = useI18n()
const svg = ref('')
watchEffect(async () => {
  svg.value = await toString(props.link, { type: 'svg', errorCorrectionLevel: 'M', margin: 2 })
})
const address = computed(() => `data:image/svg+xml;utf8,${encodeURIComponent(svg.value)}`)
</script>

<template>
  <div v-if="svg" class="code">
    <img :src="address" :alt="t('handout.codeOf', { title })" width="180" height="180" />
    <v-btn @click="saveContent(`${fileTitle(title)}.svg`, svg, 'image/svg+xml')">{{ t('handout.saveCode') }}</v-btn>
  </div>
</template>

<style scoped>
.code {
  display: flex;
  gap: 14px;
  align-items: end;
  padding: 10px 0;
}
img {
  background: #fff;
  border-radius: var(--corner);
}
</style>
