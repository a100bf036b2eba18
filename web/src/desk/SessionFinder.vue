<script setup lang="ts">
import { mdiFilterVariant, mdiMagnify } from '@mdi/js'
import { computed, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { buildsSchema } from '@esfuerzo/core'
import ChoiceField from '../shared/fields/ChoiceField.vue'
import { client } from '../shared/client.ts'
import { gradeItems } from '../settings/gradeItems.ts'
import { useSettings } from '../settings/store.ts'
import { anySession, type Wanted } from './findSessions.ts'

/** Finds sessions on the Desk: by title, and behind one button by state, class, grade and focus. */
const { found, total } = defineProps<{ found: number; total: number }>()
const wanted = defineModel<Wanted>({ required: true })
const { t } = useI18n()
const settings = useSettings()
const classes = shallowRef<{ id: string; name: string; grades: readonly number[] }[]>([])
/** The chosen line of the list: a class and one of its grades may mean the same sessions. */
const chosenWhom = shallowRef<string | null>(null)
/** Loaded when the filters are first opened; without a connection only grades are offered. */
async function onOpen(open: boolean) {
  if (open && !classes.value.length)
    classes.value = (await client('listClasses', {}).catch(() => ({ classes: [] }))).classes
}
const whom = computed(() => [
  ...classes.value.map(({ id, name, grades }) => ({ title: name, value: `class ${id}`, grades })),
  ...gradeItems(settings.gradeNames, t).map(({ title, value }) => ({
    title,
    value: `grade ${value}`,
    grades: [value],
  })),
])
const change = (part: Partial<Wanted>) => (wanted.value = { ...wanted.value, ...part })
function chooseWhom(value: string | null) {
  chosenWhom.value = value
  change({ grades: whom.value.find((w) => w.value === value)?.grades ?? null })
}
/** How many filters are set. */
const filters = computed(
  () => Number(wanted.value.state !== 'all') + Number(!!wanted.value.grades) + Number(!!wanted.value.builds),
)
</script>

<template>
  <div class="finder">
    <v-text-field
      :model-value="wanted.typed"
      :label="t('finder.find')"
      :prepend-inner-icon="mdiMagnify"
      type="search"
      density="compact"
      hide-details
      @update:model-value="change({ typed: $event ?? '' })"
    />
    <v-menu :close-on-content-click="false" location="bottom end" @update:model-value="onOpen">
      <template #activator="{ props }">
        <v-btn v-bind="props" :prepend-icon="mdiFilterVariant">
          {{ filters ? t('finder.filtered', { n: filters }) : t('finder.filter') }}
        </v-btn>
      </template>
      <v-card class="filters">
        <ChoiceField
          :model-value="wanted.state"
          :label="t('finder.show')"
          :options="['all', 'drafts', 'sent']"
          named="finder.state"
          @update:model-value="change({ state: $event })"
        />
        <v-select
          :model-value="wanted.grades && chosenWhom"
          :label="t('finder.whom')"
          :items="whom"
          clearable
          @update:model-value="chooseWhom"
        />
        <ChoiceField
          :model-value="wanted.builds"
          :label="t('details.builds')"
          :options="buildsSchema.options"
          named="builds"
          clearable
          @update:model-value="change({ builds: $event })"
        />
        <ChoiceField
          :model-value="wanted.sort"
          :label="t('finder.sort')"
          :options="['changed', 'title', 'minutes']"
          named="finder.by"
          @update:model-value="change({ sort: $event })"
        />
      </v-card>
    </v-menu>
    <span v-if="found < total" class="quiet" role="status">
      {{ t('finder.found', { n: found, of: total }) }}
      <button type="button" class="link" @click="wanted = anySession()">{{ t('finder.clear') }}</button>
    </span>
  </div>
</template>

<style scoped>
.finder {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-bottom: 14px;
}
.v-text-field {
  flex: 0 1 320px;
  min-width: 180px;
}
.filters {
  display: grid;
  gap: 12px;
  width: min(320px, 90vw);
  padding: 16px;
}
@media (max-width: 640px) {
  .v-text-field {
    flex-grow: 1;
  }
}
</style>
