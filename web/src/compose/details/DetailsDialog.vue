<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  addGroup,
  buildsSchema,
  removeGroup,
  setDetails,
  setGroup,
  spaceSchema,
  type Aim,
  type Home,
} from '@esfuerzo/core'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { useSettings } from '../../settings/store.ts'
import { library } from '../../repertoire/library.ts'
import { gradeItems } from '../../settings/gradeItems.ts'
import FieldList from '../../shared/fields/FieldList.vue'
import {
  choiceField,
  choicesField,
  itemField,
  itemsField,
  numberField,
  switchField,
  textField,
} from '../../shared/fields/field.ts'
import TextField from '../../shared/fields/TextField.vue'
import GroupPace from './GroupPace.vue'
import FetchList from './FetchList.vue'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'
import AppDialog from '../../shared/dialog/AppDialog.vue'

/** Aim, groups and conditions, in one panel. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const w = computed(() => session.document)
const settings = useSettings()
const names = computed(() => settings.gradeNames)
const grades = computed(() => gradeItems(names.value, t))
const muscles = computed(() =>
  [...library.muscles.values()].map((m) => ({ value: m.id, title: `${m.name} (${m.anatomical})` })),
)

const setAim = (aim: Partial<Aim>, what: string) => edits.edit((now) => setDetails(now, { aim }), `aim-${what}`)
const setHome = (home: Partial<Home>) => edits.edit((now) => setDetails(now, { home }))
const setGrades = (id: string, next: number[]) =>
  next.length && edits.edit((now) => setGroup(now, id, { grades: [...next].sort() }, names.value))
const setWord = (i: number, field: 'word' | 'meaning', typed: string) =>
  setAim({ words: w.value.aim.words.map((entry, k) => (k === i ? { ...entry, [field]: typed } : entry)) }, `word-${i}`)
const standards = computed(() => w.value.aim.standards ?? [])
const setStandards = (next: NonNullable<Aim['standards']>, what: string) =>
  setAim({ standards: next.length ? next : undefined }, what)
const setStandard = (i: number, field: 'code' | 'text', typed: string) =>
  setStandards(
    standards.value.map((entry, k) => (k === i ? { ...entry, [field]: typed } : entry)),
    `standard-${i}-${field}`,
  )
const kit = computed(() => [...library.kit.values()].map((k) => ({ value: k.id, title: k.name })))
const set = (details: Parameters<typeof setDetails>[1], merge?: string) =>
  edits.edit((now) => setDetails(now, details), merge)

const naming = computed(() => [
  textField(t('details.name'), w.value.title, (title) => set({ title }, 'title'), { must: true }),
  textField(t('details.target'), w.value.aim.target, (target) => setAim({ target }, 'target'), { tall: true }),
])
const builds = computed(() => {
  const { aim } = w.value
  return [
    choicesField(
      t('details.builds'),
      buildsSchema.options,
      'builds',
      aim.builds,
      (chosen) => setAim({ builds: chosen }, 'builds'),
      0,
    ),
    itemField(
      t('details.muscle'),
      muscles.value,
      aim.muscle ?? null,
      (muscle) => setAim({ muscle: muscle ?? undefined }, 'muscle'),
      { clearable: true },
    ),
  ]
})
const room = computed(() => [
  numberField(t('details.minutes'), w.value.minutes, (minutes) => set({ minutes }, 'minutes'), {
    min: 1,
    max: 120,
    suffix: 'min',
  }),
  choiceField(t('details.space'), spaceSchema.options, 'space', w.value.home.space, (space) => setHome({ space })),
])
const running = computed(() => [
  switchField(t('details.finishTogether'), w.value.finishTogether, (finishTogether) => set({ finishTogether })),
  switchField(t('details.asksMoved'), w.value.asksMoved === true, (asksMoved) => set({ asksMoved })),
  itemsField(t('details.kit'), kit.value, w.value.home.kit, (ids) => setHome({ kit: ids }), { chips: true }),
])
const home = computed(() => {
  const { outdoors, quiet, company } = w.value.home
  return [
    switchField(t('details.outdoors'), outdoors, (on) => setHome({ outdoors: on })),
    switchField(t('details.quiet'), quiet, (on) => setHome({ quiet: on })),
    switchField(t('details.together'), company === 'together', (on) => setHome({ company: on ? 'together' : 'alone' })),
  ]
})
</script>

<template>
  <AppDialog v-model="open" :title="t('details.title')">
    <div class="details">
      <FieldList :fields="naming" />
      <div class="pair"><FieldList :fields="builds" /></div>
      <div v-for="(entry, i) in w.aim.words" :key="i" class="pair">
        <TextField
          :model-value="entry.word"
          :label="t('details.word')"
          must
          @update:model-value="setWord(i, 'word', $event)"
        />
        <TextField
          :model-value="entry.meaning"
          :label="t('details.meaning')"
          @update:model-value="setWord(i, 'meaning', $event)"
        />
      </div>
      <div>
        <v-btn
          v-if="w.aim.words.length < 6"
          @click="setAim({ words: [...w.aim.words, { word: t('details.newWord'), meaning: '' }] }, 'add')"
          >{{ t('details.addWord') }}</v-btn
        >
        <v-btn v-if="w.aim.words.length" class="plain" @click="setAim({ words: w.aim.words.slice(0, -1) }, 'drop')">{{
          t('details.dropWord')
        }}</v-btn>
      </div>

      <div v-for="(entry, i) in standards" :key="`standard-${i}`" class="standard">
        <TextField
          :model-value="entry.code"
          :label="t('details.code')"
          must
          @update:model-value="setStandard(i, 'code', $event)"
        />
        <TextField
          :model-value="entry.text"
          :label="t('details.standard')"
          @update:model-value="setStandard(i, 'text', $event)"
        />
        <v-btn
          class="plain"
          :aria-label="t('details.dropStandard', { code: entry.code })"
          @click="
            setStandards(
              standards.filter((_, k) => k !== i),
              'drop-standard',
            )
          "
          >{{ t('details.removeGroup') }}</v-btn
        >
      </div>
      <v-btn
        v-if="standards.length < 12"
        class="fit"
        @click="setStandards([...standards, { code: t('details.newCode'), text: '' }], 'add-standard')"
        >{{ t('details.addStandard') }}</v-btn
      >

      <h2>{{ t('details.groups') }}</h2>
      <div v-for="group in w.groups" :key="group.id" class="group">
        <LaneKey :letter="group.letter" />
        <v-select
          :model-value="group.grades"
          :items="grades"
          multiple
          :label="t('details.grades')"
          @update:model-value="setGrades(group.id, $event)"
        />
        <TextField
          :model-value="group.name"
          :label="t('details.groupName')"
          must
          @update:model-value="(name) => edits.edit((now) => setGroup(now, group.id, { name }), `group:${group.id}`)"
        />
        <v-btn
          :disabled="w.groups.length === 1"
          class="plain"
          :aria-label="t('details.removeGroupLabel', { letter: group.letter, name: group.name })"
          @click="edits.edit((now) => removeGroup(now, group.id))"
          >{{ t('details.removeGroup') }}</v-btn
        >
      </div>
      <GroupPace :groups="w.groups" />
      <v-btn v-if="w.groups.length < 6" class="fit" @click="edits.edit((now) => addGroup(now, [2], library, names))">{{
        t('details.addGroup')
      }}</v-btn>

      <h2>{{ t('details.conditions') }}</h2>
      <div class="pair"><FieldList :fields="room" /></div>
      <FieldList :fields="running" />
      <FetchList />
      <FieldList :fields="home" />
    </div>
    <template #actions><v-btn class="main" @click="open = false">{{ t('done') }}</v-btn></template>
  </AppDialog>
</template>

<style scoped>
.details {
  display: grid;
  gap: 14px;
}
.standard {
  display: grid;
  grid-template-columns: 130px 1fr auto;
  gap: 12px;
  align-items: center;
}
.group {
  display: grid;
  grid-template-columns: 44px 1fr 1fr auto;
  gap: 12px;
  align-items: center;
}
.fit {
  justify-self: start;
}
h2 {
  font-size: 17px;
  margin-top: 6px;
}
@media (max-width: 640px) {
  .pair,
  .standard,
  .group {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
