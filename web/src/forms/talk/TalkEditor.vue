<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { explainingSeconds, mapGroups, setBlock, valueFor, type BlockOf, type Scope } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'
import NumberField from '../../shared/fields/NumberField.vue'
import { useSession } from '../../compose/session/useSession.ts'
import { useEdits } from '../../compose/edits/useEdits.ts'

const props = defineProps<{ block: BlockOf<'talk'>; scope: Scope }>()
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const seconds = computed(() =>
  props.scope === 'all' ? props.block.seconds.all : valueFor(props.block.seconds, props.scope[0]!),
)

/** How long explaining the following blocks takes, up to the next talk. */
const proposed = computed(() => {
  const blocks = session.document.sections.flatMap((s) => s.blocks)
  const after = blocks.slice(blocks.findIndex((b) => b.id === props.block.id) + 1)
  const next = after.findIndex((b) => b.form === 'talk')
  return explainingSeconds(next < 0 ? after : after.slice(0, next), session.document.groups, library)
})
const set = (value: number) =>
  edits.edit(
    (w) =>
      setBlock(w, props.block.id, 'talk', (b) => ({ ...b, seconds: mapGroups(b.seconds, props.scope, () => value) })),
    `talk:${props.block.id}:${String(props.scope)}`,
  )
</script>

<template>
  <NumberField :model-value="seconds" :label="t('talk.seconds')" :step="5" suffix="s" @update:model-value="set" />
  <p v-if="proposed && proposed !== seconds" class="proposal quiet">
    {{ t('talk.proposal', { n: proposed }) }}
    <v-btn size="small" :height="34" @click="set(proposed)">{{ t('talk.take', { n: proposed }) }}</v-btn>
  </p>
</template>

<style scoped>
.proposal {
  display: grid;
  gap: 6px;
  justify-items: start;
  margin: 0;
}
</style>
