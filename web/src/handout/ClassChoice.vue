<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { cleanText, type Group } from '@esfuerzo/core'
import type { SchoolClass } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { useCalls } from './useCalls.ts'

/** Which class a link is for, or all; a class can be created here. */
const props = defineProps<{ groups: readonly Group[] }>()
const emit = defineEmits<{ classes: [classes: SchoolClass[]] }>()
const chosen = defineModel<string>()
const { t } = useI18n()
const { problem, guarded } = useCalls('handout.classWrong')
const classes = shallowRef<SchoolClass[]>([])
watch(classes, (list) => emit('classes', list))
void guarded(async () => {
  classes.value = (await client('listClasses', {})).classes
})

const items = computed(() => [
  { value: '', title: t('handout.all') },
  ...classes.value.map((c) => ({ value: c.id, title: c.name })),
])
const adding = ref(false)
const name = ref('')
const group = ref(props.groups[0]?.id)

const onAdd = () =>
  guarded(async () => {
    const { grades } = props.groups.find((g) => g.id === group.value)!
    const body = { name: cleanText(name.value, 'line').trim(), grades: [...grades] }
    const added = await client('addClass', { body })
    classes.value = [...classes.value, added]
    chosen.value = added.id
    adding.value = false
    name.value = ''
  })
</script>

<template>
  <div class="choice">
    <v-select
      :model-value="chosen ?? ''"
      :items="items"
      :label="t('handout.for')"
      @update:model-value="chosen = $event || undefined"
    />
    <form v-if="adding" class="add" @submit.prevent="onAdd">
      <v-text-field v-model="name" :label="t('handout.className')" maxlength="120" autofocus />
      <v-select
        v-model="group"
        :items="groups.map((g) => ({ value: g.id, title: `${g.letter} · ${g.name}` }))"
        :label="t('handout.classLane')"
      />
      <v-btn type="submit" :disabled="!name.trim()">{{ t('handout.addClass') }}</v-btn>
    </form>
    <div class="small">
      <button type="button" class="link" @click="adding = !adding">
        {{ t(adding ? 'handout.noClass' : 'handout.newClass') }}
      </button>
      <router-link v-if="chosen" :to="{ name: 'class', params: { classId: chosen } }">{{
        t('handout.toClass')
      }}</router-link>
    </div>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.choice,
.add {
  display: grid;
  gap: 8px;
}
.small a {
  color: var(--action);
  font-weight: 700;
}
.small {
  display: flex;
  gap: 14px;
  font-size: 14px;
}
</style>
