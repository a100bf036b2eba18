<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useAccount } from './account.ts'
import MailSent from './MailSent.vue'
import OpenPage from './OpenPage.vue'
import { useTrying } from './useTrying.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'

const { t } = useI18n()
const account = useAccount()
const email = ref('')
const sent = ref(false)
const demo = ref(false)
const { busy, problem, attempt } = useTrying({ invalid: t('forgotten.invalid') })

async function onSubmit() {
  sent.value = await attempt(async () => void (demo.value = await account.forgotPassword(email.value)))
}
</script>

<template>
  <OpenPage :title="t('forgotten.title')" :lead="sent ? undefined : t('forgotten.lead')" @submit="onSubmit">
    <MailSent v-if="sent" :demo="demo" :text="t('forgotten.sent', { email })" />
    <template v-else>
      <v-text-field
        v-model="email"
        :label="t('signIn.email')"
        type="email"
        autocomplete="email"
        v-focus-first
        required
      />
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
      <v-btn class="main" type="submit" :loading="busy" block>{{ t('forgotten.go') }}</v-btn>
      <p class="links">
        <router-link :to="{ name: 'sign-in' }">{{ t('signUp.back') }}</router-link>
      </p>
    </template>
  </OpenPage>
</template>
