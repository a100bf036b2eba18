<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { useAccount } from './account.ts'
import OpenPage from './OpenPage.vue'
import { useTrying } from './useTrying.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'

/** The target of a mailed sign-in link. It needs a button press, because mail scanners open links automatically. */
const props = defineProps<{ token: string }>()
const { t } = useI18n()
const account = useAccount()
const router = useRouter()
const { busy, problem, attempt } = useTrying({ ended: t('choose.ended'), invalid: t('choose.ended') })

async function onSubmit() {
  if (await attempt(() => account.signInByLink(props.token))) await router.push({ name: 'desk' })
}
</script>

<template>
  <OpenPage :title="t('signIn.byLink')" :lead="t('signIn.byLinkLead')" @submit="onSubmit">
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <v-btn class="main" type="submit" :loading="busy" v-focus-first block>{{ t('signIn.go') }}</v-btn>
    <p class="links">
      <router-link :to="{ name: 'sign-in' }">{{ t('signUp.back') }}</router-link>
    </p>
  </OpenPage>
</template>
