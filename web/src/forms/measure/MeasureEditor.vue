<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { setBlock, type BlockOf, type Scope, type TestId } from '@esfuerzo/core'
import { useEdits } from '../../compose/edits/useEdits.ts'
import { library } from '../../repertoire/library.ts'
import FactFields from '../FactFields.vue'

/** Which test it is, when in the lesson and with which set-up; as many tries as the test counts by default. */
const props = defineProps<{ block: BlockOf<'measure'>; scope: Scope }>()
const { t } = useI18n()
const edits = useEdits()
const measures = [...library.measures.values()]
const measure = computed(() => library.measures.get(props.block.test)!)
const items = (['change', 'lesson'] as const).flatMap((use) => [
  { type: 'subheader' as const, title: t(`tests.use.${use}`), value: use },
  ...measures.filter((m) => m.use === use).map((m) => ({ title: m.name, value: m.id })),
])
const moments = (['alone', 'before', 'after'] as const).map((value) => ({ value, title: t(`book.how.${value}`) }))
const setUps = computed(() => measure.value.setUps.map((s) => ({ value: s.id, title: s.name })))
const set = (change: (b: BlockOf<'measure'>) => BlockOf<'measure'>, what: string) =>
  edits.edit((w) => setBlock(w, props.block.id, 'measure', change), `${what}:${props.block.id}`)
/** Another test has its own tries and set-ups. */
function onTest(id: TestId) {
  const { trials } = library.measures.get(id)!
  set(({ setUp: _, ...b }) => ({ ...b, test: id, trials: { all: trials } }), 'test')
}
const onSetUp = (id: string) =>
  set(({ setUp: _, ...b }) => (id === measure.value.setUps[0]!.id ? b : { ...b, setUp: id }), 'setUp')
</script>

<template>
  <v-select
    :model-value="block.test"
    :items="items"
    :label="t('tests.which')"
    @update:model-value="(id: TestId) => onTest(id)"
  />
  <v-select
    :model-value="block.moment"
    :items="moments"
    :label="t('tests.when')"
    @update:model-value="(moment: BlockOf<'measure'>['moment']) => set((b) => ({ ...b, moment }), 'moment')"
  />
  <v-select
    v-if="setUps.length > 1"
    :model-value="block.setUp ?? setUps[0]!.value"
    :items="setUps"
    :label="t('tests.setUp')"
    @update:model-value="(id: string) => onSetUp(id)"
  />
  <FactFields :block="block" :scope="scope" :only="['trials']" />
  <p v-if="block.trials.by || block.trials.all !== measure.trials" class="care">
    {{ t('tests.otherTries', { n: measure.trials }, measure.trials) }}
  </p>
  <router-link :to="{ name: 'test', params: { test: block.test } }">{{ t('book.about') }}</router-link>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
</style>
