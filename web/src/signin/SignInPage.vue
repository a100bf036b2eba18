<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useAccount } from './account.ts'
import OpenPage from './OpenPage.vue'
import { useTrying } from './useTrying.ts'
import { ownDevice } from '../shared/device/ownDevice.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'

const { t } = useI18n()
const account = useAccount()
const route = useRoute()
const router = useRouter()
const email = ref('')
const password = ref('')
const isOwn = ref(ownDevice.read())
const { busy, problem, attempt } = useTrying()

async function onSubmit() {
  if (!(await attempt(() => account.signIn(email.value, password.value)))) return
  ownDevice.write(isOwn.value)
  const next = String(route.query.next ?? '/')
  // Only a path of ours, never another site's address.
  await router.push(/^\/(?!\/)/.test(next) ? next : '/')
}
</script>

<template>
  <OpenPage title="Esfuerzo" :lead="t('signIn.lead')" @submit="onSubmit">
    <v-text-field
      v-model="email"
      :label="t('signIn.email')"
      type="email"
      name="email"
      autocomplete="username"
      v-focus-first
      required
    />
    <v-text-field
      v-model="password"
      :label="t('signIn.password')"
      type="password"
      name="password"
      autocomplete="current-password"
      required
    />
    <div>
      <v-checkbox v-model="isOwn" :label="t('signIn.ownDevice')" aria-describedby="own-device" />
      <p id="own-device" class="quiet">{{ t('signIn.ownDeviceLead') }}</p>
    </div>
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <v-btn class="main" type="submit" :loading="busy" block>{{ t('signIn.go') }}</v-btn>
    <p class="links">
      <router-link :to="{ name: 'sign-up' }">{{ t('signUp.new') }}</router-link>
      <router-link :to="{ name: 'forgotten' }">{{ t('forgotten.title') }}</router-link>
    </p>
  </OpenPage>
</template>
