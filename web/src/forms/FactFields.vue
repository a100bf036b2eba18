<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  hasOwn,
  mapGroups,
  setBlock,
  valueFor,
  type Block,
  type BlockOf,
  type Form,
  type PerGroup,
  type Scope,
} from '@esfuerzo/core'
import { notationOf, type Fact } from '@esfuerzo/core/notation'
import NumberField from '../shared/fields/NumberField.vue'
import { useEdits } from '../compose/edits/useEdits.ts'
import FactText from './FactText.vue'

/** The facts of a form's line as fields: what the whiteboard says, set by hand. */
const props = defineProps<{
  block: Block
  scope: Scope
  /** Only these, by id; all by default. */
  only?: string[]
  /** All but these. */
  without?: string[]
}>()
const edits = useEdits()
const { t } = useI18n()

const facts = computed(() =>
  notationOf(props.block.form)
    .facts.filter((f) => (props.only?.includes(f.id) ?? true) && !props.without?.includes(f.id))
    .map((f) => {
      const value = f.get(props.block)
      const now = value && (props.scope === 'all' ? value.all : valueFor(value, props.scope[0]!))
      const own = value !== undefined && props.scope !== 'all' && props.scope.some((id) => hasOwn(value, id))
      return { f, value, now, own }
    }),
)
const edit = (f: Fact<Block>, change: (block: Block) => Block) =>
  edits.edit(
    (w) => setBlock(w, props.block.id, props.block.form as Form, (b) => change(b as Block) as BlockOf<Form>),
    `${f.id}:${props.block.id}:${String(props.scope)}`,
  )
function set(f: Fact<Block>, value: PerGroup<unknown> | undefined, next: unknown) {
  edit(f, (b) => f.set(b, value ? mapGroups(value, props.scope, () => next) : { all: next }))
}
const setAll = (f: Fact<Block>, next: unknown) =>
  edit(f, (b) => f.set(b, next === undefined ? undefined : { all: next }))
const choices = (f: Fact<Block>) =>
  f.field?.kind === 'choice'
    ? f.field.choices.map((value) => ({
        value,
        title: t(`forms.${props.block.form}.choices.${f.id}.${value || 'none'}`),
      }))
    : []
const labelOf = (f: Fact<Block>) => t(`forms.${props.block.form}.facts.${f.id}`)
</script>

<template>
  <template v-for="{ f, value, now } in facts" :key="f.id">
    <v-switch
      v-if="f.optional !== undefined"
      :model-value="value !== undefined"
      :label="labelOf(f)"
      @update:model-value="setAll(f, $event ? f.optional : undefined)"
    />
    <template v-if="f.optional === undefined || value !== undefined">
      <NumberField
        v-if="f.field?.kind === 'seconds' || f.field?.kind === 'count'"
        :model-value="now as number"
        :label="labelOf(f)"
        :min="f.field.min"
        :max="f.field.max"
        :step="f.field.step"
        :suffix="f.field.kind === 'seconds' ? 's' : undefined"
        @update:model-value="set(f, value, $event)"
      />
      <v-switch
        v-else-if="f.field?.kind === 'flag'"
        :model-value="now === true"
        :label="labelOf(f)"
        @update:model-value="setAll(f, $event === true)"
      />
      <v-select
        v-else-if="f.field?.kind === 'choice'"
        :model-value="now ?? ''"
        :items="choices(f)"
        :label="labelOf(f)"
        @update:model-value="setAll(f, $event || undefined)"
      />
      <FactText v-else :fact="f" :label="labelOf(f)" :now="now" @change="set(f, value, $event)" />
    </template>
  </template>
</template>
