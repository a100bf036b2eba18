<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { hasStations, setBlockWords, isChance, type Block, type Scope } from '@esfuerzo/core'
import { placeOfRole } from '@esfuerzo/core/suggest'
import { canArrange } from '@esfuerzo/core/tools'
import { formEditors } from '../../forms/editors.ts'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'
import { usePanel } from './usePanel.ts'
import TextField from '../../shared/fields/TextField.vue'

const props = defineProps<{ block: Block; scope: Scope }>()
const { t } = useI18n()
const edits = useEdits()
const panel = usePanel()
const session = useSession()
/** Suggestions depend on the section it is in. */
const place = computed(() =>
  placeOfRole(session.document.sections.find((s) => s.blocks.some((b) => b.id === props.block.id))?.role ?? 'main'),
)
const set = (fields: Parameters<typeof setBlockWords>[2], what: string) =>
  edits.edit((w) => setBlockWords(w, props.block.id, fields), `${what}:${props.block.id}`)
/** A link is stored once it is valid; until then the typed text stays in the field. */
const link = ref(props.block.link ?? '')
const linkProblem = ref('')
watch(
  () => props.block.link,
  (now) => (link.value = now ?? ''),
)
function onLink() {
  const typed = link.value.trim()
  const isLink = typed === '' || (/^https:\/\/[^\s]+$/.test(typed) && URL.canParse(typed) && typed.length <= 500)
  linkProblem.value = isLink ? '' : t('block.linkProblem')
  if (isLink) set({ link: typed || undefined }, 'link')
}
</script>

<template>
  <div class="editor">
    <b>{{ t(`forms.${block.form}.name`) }}</b>
    <component :is="formEditors[block.form]" :block="block" :scope="scope" />
    <button
      v-if="hasStations(block)"
      type="button"
      class="ask link"
      @click="panel.show({ kind: 'suggest', block: block.id })"
    >
      {{ t(`suggest.title.${place}`) }}
    </button>
    <button
      v-if="canArrange(block)"
      type="button"
      class="ask link"
      @click="panel.show({ kind: 'arrange', block: block.id })"
    >
      {{ t('arrange.title') }} <kbd>A</kbd>
    </button>
    <button
      v-else-if="isChance(block)"
      type="button"
      class="ask link"
      @click="panel.show({ kind: 'chance', block: block.id })"
    >
      {{ t('chance.title') }}
    </button>
    <TextField
      :model-value="block.title ?? ''"
      :label="t('block.title')"
      @update:model-value="(title) => set({ title: title || undefined }, 'title')"
    />
    <TextField
      :model-value="block.note ?? ''"
      :label="t('section.note')"
      tall
      @update:model-value="(note) => set({ note: note || undefined }, 'note')"
    />
    <v-text-field
      v-model="link"
      :label="t('block.link')"
      :error-messages="linkProblem"
      type="url"
      maxlength="500"
      @blur="onLink"
      @keydown.enter="onLink"
    />
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  gap: 14px;
}
.ask {
  justify-self: start;
}
</style>
