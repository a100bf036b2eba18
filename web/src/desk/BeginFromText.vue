<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { libraryFor, ProblemError, sessionProblems, type Session } from '@esfuerzo/core'
import type { ReadText } from '@esfuerzo/core/notation'
import { longestOriginal } from '@esfuerzo/contract'
import { longest } from '../reading/longest.ts'
import TextDialog from '../reading/TextDialog.vue'
import { library } from '../repertoire/library.ts'
import { client } from '../shared/client.ts'
import { problemText } from '../words/i18n.ts'
import { refusalOf } from '../words/refusal.ts'
import { begunGroups } from './begunGroups.ts'

/** A session created from a pasted text: shown beside how it was read, with its questions. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  /** A text that exists already: pasted onto the page, or read from a file. */
  pasted?: string
  /** The file's name. */
  file?: string | undefined
  /** The content of the file that is not in the text. */
  left?: readonly string[]
}>()
const emit = defineEmits<{ made: [session: { id: string; title: string }] }>()
const { t } = useI18n()
const router = useRouter()
const busy = ref(false)
const problem = ref('')

/** The text's minutes, otherwise the time it takes in steps of five, so that the finish line fits. */
function document({ workout: session, said }: ReadText): Session {
  if (said.minutes) return session
  const minutes = Math.min(120, Math.max(5, Math.ceil(longest(session) / 300) * 5))
  return { ...session, minutes }
}
async function onTake(read: ReadText, text: string) {
  busy.value = true
  problem.value = ''
  try {
    const made = document(read)
    const problems = sessionProblems(made, libraryFor(made, library))
    if (problems.length) throw new ProblemError(problems)
    const original = (props.file ? `${props.file}\n\n${text}` : text).slice(0, longestOriginal)
    const { id } = await client('createSession', { body: { document: made, original } })
    open.value = false
    emit('made', { id, title: made.title })
    await router.push({ name: 'compose', params: { id } })
  } catch (error) {
    const { sentence, problems } = refusalOf(error)
    problem.value = [sentence, ...problems.map(problemText)].filter(Boolean).join('\n')
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <TextDialog
    v-model="open"
    :title="file ?? t('reading.title')"
    :left="left"
    :take="t('reading.make')"
    :pasted="pasted"
    :groups="begunGroups"
    :busy="busy"
    :problem="problem"
    @take="onTake"
  />
</template>
