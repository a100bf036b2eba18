<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { CallError } from '@esfuerzo/contract'
import MailSent from './MailSent.vue'
import OpenPage from './OpenPage.vue'
import { useTrying } from './useTrying.ts'

/** A form that is answered by a message: the fields, or where to look for the message. */
const props = defineProps<{
  /** Of its words: `signUp`, `forgotten`. */
  words: 'signUp' | 'forgotten'
  email: string
  /** Requests the message. @returns whether it is in the demo's outbox */
  ask: () => Promise<boolean>
}>()
const { t } = useI18n()
const sent = ref(false)
const demo = ref(false)
const own: Partial<Record<CallError['code'], string>> = { invalid: t(`${props.words}.invalid`) }
const { busy, problem, attempt } = useTrying(own)

async function onSubmit() {
  sent.value = await attempt(async () => void (demo.value = await props.ask()))
}
</script>

<template>
  <OpenPage :title="t(`${words}.title`)" :lead="sent ? undefined : t(`${words}.lead`)" @submit="onSubmit">
    <MailSent v-if="sent" :demo="demo" :text="t(`${words}.sent`, { email })" />
    <template v-else>
      <slot />
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
      <v-btn class="main" type="submit" :loading="busy" block>{{ t(`${words}.go`) }}</v-btn>
      <p class="links">
        <router-link :to="{ name: 'sign-in' }">{{ t('signUp.back') }}</router-link>
      </p>
    </template>
  </OpenPage>
</template>
