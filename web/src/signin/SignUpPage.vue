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
const name = ref('')
const email = ref('')
const sent = ref(false)
const demo = ref(false)
const { busy, problem, attempt } = useTrying({ invalid: t('signUp.invalid') })

async function onSubmit() {
  sent.value = await attempt(async () => void (demo.value = await account.signUp(name.value, email.value)))
}
</script>

<template>
  <OpenPage :title="t('signUp.title')" :lead="sent ? undefined : t('signUp.lead')" @submit="onSubmit">
    <MailSent v-if="sent" :demo="demo" :text="t('signUp.sent', { email })" />
    <template v-else>
      <v-text-field
        v-model="name"
        :label="t('signUp.name')"
        autocomplete="name"
        maxlength="80"
        v-focus-first
        required
      />
      <v-text-field v-model="email" :label="t('signIn.email')" type="email" autocomplete="email" required />
      <p v-if="problem" class="care" role="alert">{{ problem }}</p>
      <v-btn class="main" type="submit" :loading="busy" block>{{ t('signUp.go') }}</v-btn>
      <p class="links">
        <router-link :to="{ name: 'sign-in' }">{{ t('signUp.back') }}</router-link>
      </p>
    </template>
  </OpenPage>
</template>
