<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { cleanText, gradesName, joinSessions, newSession, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { callCode } from '@esfuerzo/contract'
import { beginnings, type Beginning } from '@esfuerzo/library'
import { client } from '../shared/client.ts'
import { useSettings } from '../settings/store.ts'
import { library } from '../repertoire/library.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const settings = useSettings()
onMounted(() => void settings.load())
const router = useRouter()
const lanes = [
  [0, 1],
  [2, 3],
  [4, 5, 6],
]
const title = ref('')
const minutes = ref('20')
const minutesTouched = ref(false)
const chosen = ref([0, 1, 2])
/** The form of the starting point that is edited; the empty one by default. */
const from = ref('')
const busy = ref(false)
const problem = ref('')
const choices = computed(() => [{ id: '', name: t('new.empty'), about: t('new.emptyAbout') }, ...beginnings])
const names = computed(() =>
  lanes.map((grades) => t('desk.grades', { grades: gradesName(grades, settings.gradeNames) })),
)

/** The template's settings fill the fields, to be seen and changed; typed values stay. */
watch(from, (id) => {
  const beginning = beginnings.find((b) => b.id === id)
  if (!minutesTouched.value) minutes.value = beginning ? `${parse(beginning.text, library).workout.minutes}` : '20'
})

/** A template for these groups: its sections, aim and space; each grade takes the closest grade's part. */
function begun(empty: Session, { name, text }: Beginning): Session {
  const read = parse(text, library).workout
  const joined = joinSessions({ ...empty, sections: [], minutes: 0 }, read, true)
  const { builds } = read.aim
  return {
    ...joined,
    title: title.value.trim() ? empty.title : name,
    minutes: empty.minutes,
    aim: { ...joined.aim, builds },
    home: { ...joined.home, space: read.home.space },
  }
}

async function onSubmit() {
  problem.value = ''
  const budget = Number(minutes.value)
  const groups = lanes.filter((_, i) => chosen.value.includes(i))
  if (!groups.length) return void (problem.value = t('new.noGroup'))
  if (!Number.isInteger(budget) || budget < 1 || budget > 120) return void (problem.value = t('new.minutes'))
  busy.value = true
  try {
    const name = cleanText(title.value, 'line').trim() || t('new.untitled')
    const empty = newSession(name, groups, budget, library.version, settings.gradeNames)
    const beginning = beginnings.find((b) => b.id === from.value)
    const document = beginning ? begun(empty, beginning) : empty
    const { id } = await client('createSession', { body: { document } })
    open.value = false
    await router.push({ name: 'compose', params: { id } })
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <AppDialog v-model="open" :title="t('new.title')" :width="940" form @submit="onSubmit">
    <div class="fields">
      <v-text-field v-model="title" :label="t('new.name')" maxlength="120" autocomplete="off" />
      <fieldset>
        <legend>{{ t('new.groups') }}</legend>
        <v-checkbox v-for="(name, i) in names" :key="name" v-model="chosen" :value="i" :label="name" />
      </fieldset>
      <v-text-field
        v-model="minutes"
        :label="t('details.minutes')"
        suffix="min"
        inputmode="numeric"
        autocomplete="off"
        @update:model-value="minutesTouched = true"
      />
      <fieldset class="beginnings">
        <legend>{{ t('new.from') }}</legend>
        <label v-for="b in choices" :key="b.id" class="beginning" :class="{ on: from === b.id }">
          <input v-model="from" type="radio" name="beginning" :value="b.id" />
          <span><b>{{ b.name }}</b><small class="quiet">{{ b.about }}</small></span>
        </label>
      </fieldset>
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    </div>
    <template #actions>
      <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
      <v-btn class="main" type="submit" :loading="busy">{{ t('new.go') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.fields {
  padding-top: 14px;
  display: grid;
  gap: 14px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
legend {
  padding: 0;
}
.beginnings {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 8px;
}
.beginning {
  display: flex;
  gap: 8px;
  align-items: start;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  cursor: pointer;
}
.beginning.on {
  background: var(--action-soft);
  border-color: var(--action);
}
small {
  display: block;
  font-size: 13px;
}
</style>
