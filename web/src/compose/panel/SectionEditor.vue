<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import {
  addBlock,
  addSection,
  forms,
  isKept,
  roles,
  setSection,
  type Form,
  type Role,
  type Section,
  traitsOf,
} from '@esfuerzo/core'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import NumberField from '../../shared/fields/NumberField.vue'
import TextField from '../../shared/fields/TextField.vue'
import ChoiceField from '../../shared/fields/ChoiceField.vue'

const props = defineProps<{ section: Section }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()
const change = (fields: Partial<Omit<Section, 'id' | 'blocks'>>, what: string) =>
  edits.edit((w) => setSection(w, props.section.id, fields), `${what}:${props.section.id}`)

function onAddBlock(form: Form) {
  // An explanation comes before what it explains.
  const before = traitsOf({ form }).explains ? props.section.blocks[0]?.id : undefined
  if (!edits.edit((w) => addBlock(w, props.section.id, form, before))) return
  const { blocks } = session.document.sections.find((s) => s.id === props.section.id)!
  const added = before ? blocks[0]! : blocks.at(-1)!
  cursor.select({ row: blocks.length === 1 ? props.section.id : added.id, cell: -1 })
}
function onAddSection(role: Role) {
  if (
    !edits.edit((w) =>
      addSection(w, { role, title: t(`role.${role}`), form: role === 'main' ? 'intervals' : 'list' }, props.section.id),
    )
  )
    return
  const at = session.document.sections.findIndex((s) => s.id === props.section.id)
  cursor.select({ row: session.document.sections[at + 1]!.id, cell: -1 })
}
</script>

<template>
  <div class="editor">
    <TextField
      :model-value="section.title"
      :label="t('section.title')"
      @update:model-value="(title) => change({ title }, 'title')"
    />
    <ChoiceField
      :model-value="section.role"
      :options="roles"
      named="role"
      :label="t('section.role')"
      @update:model-value="change({ role: $event }, 'role')"
    />
    <NumberField
      :model-value="section.minutes ?? 0"
      :max="120"
      :label="t('section.minutes')"
      suffix="min"
      @update:model-value="change({ minutes: $event || undefined }, 'minutes')"
    />
    <v-switch
      :model-value="isKept(section)"
      :label="t('section.keep')"
      @update:model-value="change({ keep: !!$event }, 'keep')"
    />
    <v-switch
      :model-value="section.surprise === true"
      :label="t('section.hide')"
      @update:model-value="change({ surprise: $event ? true : undefined }, 'surprise')"
    />
    <TextField
      :model-value="section.note ?? ''"
      :label="t('section.note')"
      tall
      @update:model-value="(note) => change({ note: note || undefined }, 'note')"
    />
    <div class="add">
      <b>{{ t('section.addBlock') }}</b>
      <v-menu max-height="420">
        <template #activator="{ props: menu }"><v-btn v-bind="menu">{{ t('section.addForm') }}</v-btn></template>
        <v-list>
          <v-list-item
            v-for="form in forms"
            :key="form"
            :title="t(`forms.${form}.name`)"
            :subtitle="t(`forms.${form}.about`)"
            @click="onAddBlock(form)"
          />
        </v-list>
      </v-menu>
    </div>
    <div class="add">
      <b>{{ t('section.addAfter') }}</b>
      <v-menu>
        <template #activator="{ props: menu }"><v-btn v-bind="menu">{{ t('section.add') }}</v-btn></template>
        <v-list>
          <v-list-item v-for="role in roles" :key="role" :title="t(`role.${role}`)" @click="onAddSection(role)" />
        </v-list>
      </v-menu>
    </div>
  </div>
</template>

<style scoped>
.editor,
.add {
  display: grid;
  gap: 12px;
}
.add {
  gap: 6px;
}
</style>
