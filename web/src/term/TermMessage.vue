<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type CallAnswer } from '@esfuerzo/contract'
import { homeDays, type Term } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'

/** The weekly message to families: which session is on which day, with its links. */
const props = defineProps<{ id: string; term: Term; titles: ReadonlyMap<string, string>; date: string }>()
const { t, locale } = useI18n()

const to = ref('')
const subject = ref('')
const text = ref('')
const said = ref('')
const problem = ref('')
const busy = ref(false)
const links = ref<CallAnswer<'listTermLinks'>['links']>()

/** The week of the chosen day. */
const days = computed(() => {
  const all = homeDays(props.term)
  const week = all.find((d) => d.date === props.date)?.week ?? 0
  const placed = new Map(props.term.places.map((p) => [p.date, p]))
  return all
    .filter((d) => d.week === week && !d.off)
    .flatMap((day) => {
      const place = placed.get(day.date)
      const session = place?.made ?? place?.session
      return session ? [{ ...day, session, title: props.titles.get(session) ?? place?.title ?? '' }] : []
    })
})
const when = (date: string) => DateTime.fromISO(date).setLocale(locale.value).toFormat('cccc d LLLL')
/** Without a link only the session's name is given. */
function draft() {
  subject.value = t('term.message.subject', { title: props.term.title })
  const lines = days.value.map(({ date, session, title }) => {
    const token = links.value?.find((link) => link.workout === session)?.token
    return [`${when(date)}: ${title}`, ...(token ? [`${location.origin}/go/${token}`] : [])].join('\n')
  })
  text.value = [t('term.message.hello'), ...lines, t('term.message.bye')].join('\n\n')
}
const notOut = computed(() =>
  links.value ? days.value.filter((d) => !links.value!.some((link) => link.workout === d.session)) : [],
)
watch(
  () => [props.id, props.date],
  async () => {
    said.value = ''
    problem.value = ''
    try {
      links.value = (await client('listTermLinks', { params: { id: props.id } })).links
    } catch (error) {
      problem.value = callCode(error)
    }
    draft()
  },
  { immediate: true },
)
async function send() {
  busy.value = true
  problem.value = ''
  said.value = ''
  try {
    const body = { to: to.value, subject: subject.value, text: text.value }
    await client('messageTermFamilies', { params: { id: props.id }, body })
    said.value = t('handout.messageSent', { to: to.value })
  } catch (error) {
    problem.value = callCode(error)
  }
  busy.value = false
}
</script>

<template>
  <section :aria-label="t('term.message.title')">
    <h2>{{ t('term.message.title') }}</h2>
    <p v-if="!days.length" class="quiet">{{ t('term.message.nothing') }}</p>
    <form v-else @submit.prevent="send">
      <p v-if="notOut.length" class="quiet">
        {{ t('term.message.notOut', { names: notOut.map((d) => d.title).join(', ') }) }}
      </p>
      <v-text-field v-model="to" type="email" :label="t('handout.messageTo')" maxlength="254" autocomplete="off" />
      <v-text-field v-model="subject" :label="t('handout.messageAbout')" maxlength="160" />
      <v-textarea v-model="text" :label="t('handout.messageBody')" rows="6" maxlength="4000" />
      <v-btn type="submit" :loading="busy" :disabled="!to || !subject.trim() || !text.trim()">{{
        t('handout.messageSend')
      }}</v-btn>
      <p v-if="problem" class="care" role="alert">{{ t(`errors.${problem}`) }}</p>
      <span role="status">{{ said }}</span>
    </form>
  </section>
</template>

<style scoped>
section {
  margin-top: 22px;
}
h2 {
  margin: 0 0 8px;
  font-size: 16px;
}
form {
  display: grid;
  gap: 10px;
}
.v-btn {
  justify-self: start;
}
</style>
