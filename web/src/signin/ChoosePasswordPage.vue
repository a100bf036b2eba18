<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { useAccount } from './account.ts'
import OpenPage from './OpenPage.vue'
import { useTrying } from './useTrying.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'

const props = defineProps<{ token: string }>()
const { t } = useI18n()
const account = useAccount()
const router = useRouter()
const password = ref('')
const { busy, problem, attempt } = useTrying({ ended: t('choose.ended'), invalid: t('choose.ended') })

async function onSubmit() {
  if (password.value.length < 10) {
    problem.value = t('account.short')
    return
  }
  if (await attempt(() => account.choosePassword(props.token, password.value))) await router.push({ name: 'desk' })
}
</script>

<template>
  <OpenPage :title="t('choose.title')" :lead="t('choose.lead')" @submit="onSubmit">
    <v-text-field
      v-model="password"
      :label="t('account.next')"
      type="password"
      autocomplete="new-password"
      maxlength="200"
      v-focus-first
      required
    />
    <p v-if="problem" class="care" role="alert">{{ problem }}</p>
    <v-btn class="main" type="submit" :loading="busy" block>{{ t('choose.go') }}</v-btn>
    <p class="links">
      <router-link :to="{ name: 'forgotten' }">{{ t('choose.again') }}</router-link>
    </p>
  </OpenPage>
</template>
