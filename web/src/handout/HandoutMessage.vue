<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { CallError, type PublicationInfo } from '@esfuerzo/contract'
import { lanesOfClass } from '@esfuerzo/core/classBook'
import { publicationSchema } from '@esfuerzo/core/publication'
import { client } from '../shared/client.ts'
import { familiesMessage } from './familiesMessage.ts'
import { useCalls } from './useCalls.ts'

/** A message to families with the link, and the home days for their calendars. */
const props = defineProps<{ publications: readonly PublicationInfo[] }>()
const { t, locale } = useI18n()
const { busy, problem, guarded } = useCalls('handout.messageWrong')
const live = computed(() => props.publications.find((p) => !p.endedAt && Date.parse(p.endsAt) > Date.now()))

const to = ref('')
const subject = ref('')
const text = ref('')
const said = ref('')
/** What the link leads to, and its lanes: families are told what they will see. */
async function read({ sha256, classId }: PublicationInfo) {
  const publication = publicationSchema.safeParse(await client('snapshot', { params: { sha256 } })).data
  if (!publication) throw new CallError('unexpected', '')
  const grades = classId ? (await client('listClasses', {})).classes.find((c) => c.id === classId)?.grades : undefined
  return { publication, lanes: lanesOfClass(publication.lanes, grades) }
}
const fill = (link: PublicationInfo) =>
  guarded(async () => {
    const { publication, lanes } = await read(link)
    if (live.value?.id !== link.id) return
    const ends = DateTime.fromISO(link.endsAt).setLocale(locale.value).toLocaleString(DateTime.DATE_FULL)
    const message = familiesMessage(publication, lanes, { link: `${location.origin}/go/${link.token}`, ends }, t)
    subject.value = message.subject
    text.value = message.text
  })
watch(
  () => live.value?.id,
  () => live.value && fill(live.value),
  { immediate: true },
)
const onSend = () =>
  guarded(async () => {
    said.value = ''
    const body = { to: to.value, subject: subject.value, text: text.value }
    await client('messageFamilies', { params: { id: live.value!.id }, body })
    said.value = t('handout.messageSent', { to: to.value })
  })

/** The next two weeks, to choose home days from. */
const nextDays = Array.from({ length: 14 }, (_, i) => DateTime.now().plus({ days: i + 1 }))
const chosen = ref<string[]>([])
const at = ref('09:00')
const calendar = computed(
  () =>
    `/api/publications/${live.value?.id}/calendar?${new URLSearchParams({ days: [...chosen.value].sort().join(','), at: at.value })}`,
)
</script>

<template>
  <section class="card" aria-labelledby="hand-message">
    <h2 id="hand-message">{{ t('handout.message') }}</h2>
    <p v-if="!live" class="quiet">{{ t('handout.linkFirst') }}</p>
    <template v-else>
      <form @submit.prevent="onSend">
        <v-text-field v-model="to" type="email" :label="t('handout.messageTo')" maxlength="254" autocomplete="off" />
        <v-text-field v-model="subject" :label="t('handout.messageAbout')" maxlength="160" />
        <v-textarea v-model="text" :label="t('handout.messageBody')" rows="6" maxlength="4000" />
        <v-btn type="submit" :loading="busy" :disabled="!to || !subject.trim() || !text.trim()">{{
          t('handout.messageSend')
        }}</v-btn>
        <span role="status">{{ said }}</span>
      </form>
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
      <h3>{{ t('handout.days') }}</h3>
      <div class="days" role="group" :aria-label="t('handout.days')">
        <label v-for="day in nextDays" :key="day.toISODate()">
          <input v-model="chosen" type="checkbox" :value="day.toISODate()" />
          {{ day.setLocale(locale).toFormat('ccc d LLL') }}
        </label>
      </div>
      <div class="row">
        <v-text-field v-model="at" type="time" :label="t('handout.daysAt')" class="time" />
        <a v-if="chosen.length" :href="calendar" download>{{ t('handout.daysFile') }}</a>
        <span v-else class="quiet">{{ t('handout.daysNone') }}</span>
      </div>
    </template>
  </section>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
  justify-items: start;
}
form > :deep(.v-input) {
  width: 100%;
}
h3 {
  font-size: 15px;
  margin: 16px 0 6px;
}
.days {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
}
.days label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
}
.days input {
  width: 20px;
  height: 20px;
  accent-color: var(--action);
}
.row {
  display: flex;
  gap: 14px;
  align-items: center;
}
.time {
  max-width: 150px;
}
a {
  color: var(--action);
  font-weight: 700;
}
</style>
