<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Pupil, type SchoolClass } from '@esfuerzo/contract'
import { looksLikeName } from '@esfuerzo/core/classBook'
import { client } from '../shared/client.ts'
import { useTried } from './useTried.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** One pupil: alias, note, class, code, and all stored data. */
const props = defineProps<{ pupil: Pupil; of: SchoolClass; classes: readonly SchoolClass[]; slip: string }>()
const emit = defineEmits<{ close: []; changed: [] }>()
const { t } = useI18n()
const alias = ref(props.pupil.alias)
const note = ref(props.pupil.note)
const classId = ref(props.of.id)
const { problem, tried } = useTried()
const renewed = ref(false)
const items = computed(() => props.classes.map((c) => ({ value: c.id, title: c.name })))

/** A call that changes the class. */
const changed = async (work: () => Promise<unknown>) => {
  const well = await tried(work)
  if (well) emit('changed')
  return well
}
const params = { id: props.pupil.id }
async function onSave() {
  // Unchanged fields stay as last saved by anybody.
  const body = {
    ...(alias.value !== props.pupil.alias && { alias: alias.value }),
    ...(note.value !== props.pupil.note && { note: note.value }),
    ...(classId.value !== props.of.id && { classId: classId.value }),
  }
  if (await changed(() => client('savePupil', { params, body }))) emit('close')
}
async function onRenew() {
  renewed.value = await changed(() => client('renewCode', { params }))
}
const file = (as: 'json' | 'csv') => `/api/pupils/${props.pupil.id}/file?as=${as}`
</script>

<template>
  <AppDialog
    :model-value="true"
    :title="pupil.alias"
    :width="560"
    form
    @update:model-value="emit('close')"
    @submit="onSave"
  >
    <div class="form">
      <v-text-field v-model="alias" :label="t('pupils.alias')" maxlength="24" />
      <p v-if="looksLikeName(alias)" class="care" role="status">{{ t('pupils.looksLikeName', { list: alias }) }}</p>
      <v-textarea
        v-model="note"
        rows="2"
        :label="t('pupils.note')"
        :hint="t('pupils.noteHint')"
        persistent-hint
        maxlength="1000"
      />
      <v-select v-model="classId" :items="items" :label="t('pupils.class')" />
      <p class="row">
        <v-btn :href="slip" target="_blank">{{ t('pupils.slip') }}</v-btn>
        <v-btn @click="onRenew">{{ t('pupils.renew') }}</v-btn>
        <span role="status" class="quiet">{{ renewed ? t('pupils.renewed') : t('pupils.renewLead') }}</span>
      </p>
      <p class="row">
        <span>{{ t('pupils.file') }}</span>
        <a v-for="as in ['json', 'csv'] as const" :key="as" :href="file(as)" download>{{ as.toUpperCase() }}</a>
      </p>
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    </div>
    <template #actions>
      <v-btn @click="emit('close')">{{ t('cancel') }}</v-btn>
      <v-btn class="main" type="submit" :disabled="!alias.trim()">{{ t('pupils.save') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
  padding-top: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
a {
  color: var(--action);
  font-weight: 700;
}
.row a.v-btn {
  color: var(--ink);
  font-weight: 400;
}
</style>
