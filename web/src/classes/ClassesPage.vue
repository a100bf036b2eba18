<script setup lang="ts">
import { DateTime } from 'luxon'
import { onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { type RemovedClass, type SchoolClass } from '@esfuerzo/contract'
import { goesSoon } from '@esfuerzo/core/classBook'
import { gradesName } from '@esfuerzo/core'
import { client } from '../shared/client.ts'
import { useSettings } from '../settings/store.ts'
import ClassFields from './ClassFields.vue'
import { useTried } from './useTried.ts'
import { cleanDraft, isWhole, newClassDraft } from './classDraft.ts'

/** A teacher's classes. */
const { t, locale } = useI18n()
const router = useRouter()
const settings = useSettings()
const classes = shallowRef<readonly SchoolClass[]>()
const removed = shallowRef<readonly RemovedClass[]>([])
const { problem, tried } = useTried()
const adding = ref(false)
const draft = ref(newClassDraft())

const load = () =>
  tried(async () => {
    const hers = await client('listClasses', {})
    classes.value = hers.classes
    removed.value = hers.removed
  })
onMounted(() => {
  void settings.load()
  void load()
})
const onAdd = () =>
  tried(async () => {
    const { id } = await client('addClass', { body: cleanDraft(draft.value) })
    await router.push({ name: 'class', params: { classId: id }, query: { show: 'pupils' } })
  })
const onRestore = (id: string) =>
  tried(async () => {
    await client('restoreClass', { params: { id } })
    await load()
  })
const day = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy')
const today = DateTime.now().toISODate()
const soon = (schoolClass: SchoolClass) => goesSoon(schoolClass, today)
</script>

<template>
  <main class="classes">
    <header>
      <div>
        <h1>{{ t('classes.title') }}</h1>
        <p class="quiet">{{ t('classes.lead') }}</p>
      </div>
      <v-btn class="main" @click="adding = !adding">{{ t('classes.new') }}</v-btn>
    </header>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-else-if="!classes" class="quiet">{{ t('loading') }}</p>
    <form v-if="adding" class="card new" @submit.prevent="onAdd">
      <h2>{{ t('classes.new') }}</h2>
      <ClassFields v-model="draft" />
      <v-btn class="main" type="submit" :disabled="!isWhole(draft)">{{ t('classes.add') }}</v-btn>
    </form>
    <section v-if="classes && !classes.length && !adding" class="card empty">
      <h2>{{ t('classes.emptyTitle') }}</h2>
      <p>{{ t('classes.emptyText') }}</p>
      <v-btn class="main" @click="adding = true">{{ t('classes.new') }}</v-btn>
    </section>
    <ul v-if="classes?.length" class="card">
      <li v-for="c in classes" :key="c.id">
        <router-link :to="{ name: 'class', params: { classId: c.id } }">{{ c.name }}</router-link>
        <span class="quiet"
          >{{ t('classes.about', { grades: gradesName(c.grades, settings.gradeNames), n: c.pupils }, c.pupils) }}
        </span>
        <span v-if="soon(c)" class="care">{{ t('classes.soon', { date: day(soon(c)!) }) }}</span>
      </li>
    </ul>
    <section v-if="removed.length" class="card" aria-labelledby="removed">
      <h2 id="removed">{{ t('classes.removed') }}</h2>
      <ul>
        <li v-for="c in removed" :key="c.id">
          <b>{{ c.name }}</b>
          <span class="quiet">{{ t('classes.goneOn', { n: c.pupils, date: day(c.goneAt) }) }}</span>
          <v-btn size="small" @click="onRestore(c.id)">{{ t('classes.restore') }}</v-btn>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.classes {
  padding: 20px 24px 40px;
  max-width: 860px;
  display: grid;
  gap: 18px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
}
p {
  margin: 4px 0 0;
}
.new,
.empty {
  padding: 16px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
section h2 {
  padding: 14px 16px 0;
}
.empty h2 {
  padding: 0;
}
ul {
  padding: 4px 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 10px 16px;
}
li + li {
  border-top: 1px solid var(--hair);
}
li a {
  padding: 3px 0;
  font-weight: 700;
  color: inherit;
  min-width: 200px;
}
</style>
