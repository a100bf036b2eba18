<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useAccount } from './account.ts'
import MailedForm from './MailedForm.vue'
import { vFocusFirst } from '../shared/focusFirst.ts'

const { t } = useI18n()
const account = useAccount()
const email = ref('')
</script>

<template>
  <MailedForm words="forgotten" :email="email" :ask="() => account.forgotPassword(email)">
    <v-text-field v-model="email" :label="t('signIn.email')" type="email" autocomplete="email" v-focus-first required />
  </MailedForm>
</template>
