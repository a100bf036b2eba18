<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useAccount } from './account.ts'
import MailedForm from './MailedForm.vue'
import { vFocusFirst } from '../shared/focusFirst.ts'

const { t } = useI18n()
const account = useAccount()
const name = ref('')
const email = ref('')
</script>

<template>
  <MailedForm words="signUp" :email="email" :ask="() => account.signUp(name, email)">
    <v-text-field v-model="name" :label="t('signUp.name')" autocomplete="name" maxlength="80" v-focus-first required />
    <v-text-field v-model="email" :label="t('signIn.email')" type="email" autocomplete="email" required />
  </MailedForm>
</template>
