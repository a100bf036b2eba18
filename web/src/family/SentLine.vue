<script setup lang="ts">
import { computed } from 'vue'
import { type Lane } from '@esfuerzo/core/publication'
import { asksPulse } from '@esfuerzo/core/run'
import { useSentences } from '../shared/sentences.ts'

/** One line: what is sent, to whom, and until when it is kept. */
const props = defineProps<{
  lanes: readonly { lane: Lane; alias?: string | undefined }[]
  /** A date; without it, until the teacher deletes it. */
  keptUntil?: string | undefined
  /** Whether the session asks for the minutes moved this week. */
  moved?: boolean | undefined
}>()
const { t, locale } = useSentences()
const aliases = computed(() => [...new Set(props.lanes.flatMap(({ alias }) => alias ?? []))])
const what = computed(() => {
  const pulse = props.lanes.some(({ lane }) => asksPulse(lane))
  return t(pulse ? 'sent.withPulse' : 'sent.what')
})
const who = computed(() =>
  aliases.value.length ? t('sent.as', { alias: aliases.value.join(', ') }) : t('sent.noName'),
)
const until = computed(() =>
  props.keptUntil
    ? t('sent.until', {
        date: new Date(`${props.keptUntil}T12:00:00Z`).toLocaleDateString(locale.value, {
          day: 'numeric',
          month: 'long',
          year: 'numeric',
        }),
      })
    : t('sent.untilDeleted'),
)
</script>

<template>
  <p class="quiet">{{ what }} <template v-if="moved">{{ t('sent.moved') }}</template> {{ who }} {{ until }}</p>
</template>
