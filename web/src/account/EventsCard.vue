<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type LoggedEvent } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'

/** The events of an account, so that its teacher notices what she did not do. */
const { t, te, d } = useI18n()
const events = shallowRef<readonly LoggedEvent[]>()
const problem = ref('')
const all = ref(false)
/** How many are shown at first. */
const few = 6

async function load() {
  problem.value = ''
  try {
    events.value = (await client('listEvents', {})).events
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
onMounted(load)

const words = ({ kind, title }: LoggedEvent): string => {
  const key = `events.kind.${kind}`
  return te(key) ? t(key, { title: title ?? t('events.gone') }) : t('events.other')
}
const shown = computed(() => events.value?.slice(0, all.value ? undefined : few) ?? [])
const more = computed(() => (events.value?.length ?? 0) - shown.value.length)
</script>

<template>
  <section class="card">
    <h2>{{ t('events.title') }}</h2>
    <p>{{ t('events.lead') }}</p>
    <p v-if="problem" role="alert" class="care">
      {{ problem }} <button type="button" class="link" @click="load">{{ t('tryAgain') }}</button>
    </p>
    <p v-else-if="!events" class="quiet">{{ t('loading') }}</p>
    <p v-else-if="!events.length" class="quiet">{{ t('events.none') }}</p>
    <ul v-else>
      <li v-for="(event, i) in shown" :key="i">
        <span>{{ words(event) }}</span>
        <time class="quiet" :datetime="event.at">{{ d(event.at, { dateStyle: 'medium', timeStyle: 'short' }) }}</time>
      </li>
    </ul>
    <div v-if="more > 0">
      <v-btn @click="all = true">{{ t('events.more', { n: events!.length }) }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  gap: 14px;
  padding: 16px;
}
ul {
  margin: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  padding: 7px 0;
  border-top: 1px solid var(--hair);
}
time {
  flex: none;
  font-size: 14px;
}
</style>
