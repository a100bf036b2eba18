<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ReadText } from '@esfuerzo/core/notation'
import TextDialog from '../../reading/TextDialog.vue'
import { useSession } from '../session/useSession.ts'
import { useEdits } from './useEdits.ts'

/** Shows a pasted text with open questions before it goes into the running order. */
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const open = computed({
  get: () => edits.toLookAt !== undefined,
  set: (on) => {
    if (!on) edits.toLookAt = undefined
  },
})
function onTake(read: ReadText) {
  if (edits.insertRead(read)) open.value = false
}
</script>

<template>
  <TextDialog
    v-model="open"
    :title="t('reading.paste')"
    :take="t('reading.putIn')"
    :pasted="edits.toLookAt"
    :groups="session.document.groups"
    keep-groups
    @take="onTake"
  />
</template>
