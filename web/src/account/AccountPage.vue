<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { cleanText } from '@esfuerzo/core'
import { useAccount } from '../signin/account.ts'
import { useTrying } from '../signin/useTrying.ts'
import { vFocusFirst } from '../shared/focusFirst.ts'
import EventsCard from './EventsCard.vue'
import { forgetTeacher } from './forgetTeacher.ts'
import SignOutDialog from './SignOutDialog.vue'
import { clearWork } from './unsentWork.ts'
import { useSignOut } from './useSignOut.ts'

const { t } = useI18n()
const account = useAccount()
const router = useRouter()
const name = ref(account.teacher?.name ?? '')
const current = ref('')
const next = ref('')
const password = ref('')
const changed = ref(false)
const renamed = ref(false)
const deleting = ref(false)
const wrong = { 'wrong-sign-in': t('account.wrong') }
const naming = useTrying({ invalid: t('account.nameWanted') })
const changing = useTrying(wrong)
const leaving = useTrying()
const ending = useTrying(wrong)

async function onRename() {
  renamed.value = await naming.attempt(() => account.rename(cleanText(name.value, 'line').trim()))
}
async function onChange() {
  changed.value = false
  if (next.value.length < 10) {
    changing.problem.value = t('account.short')
    return
  }
  changed.value = await changing.attempt(() => account.changePassword(current.value, next.value))
  if (changed.value) current.value = next.value = ''
}
const out = useSignOut(() => account.signOutEverywhere())
const onEverywhere = () => leaving.attempt(() => out.ask())
async function onDelete() {
  if (!(await ending.attempt(() => account.deleteAccount(password.value)))) return
  // Nothing of a deleted account is left on this device, whoever uses it.
  await clearWork()
  forgetTeacher()
  await router.push({ name: 'sign-in' })
}
</script>

<template>
  <main class="account">
    <SignOutDialog :out="out" />
    <h1>{{ t('account.title') }}</h1>
    <p class="quiet">{{ t('account.who', { name: account.teacher?.name, email: account.teacher?.email }) }}</p>
    <div class="columns">
      <form class="card" @submit.prevent="onRename">
        <h2>{{ t('account.name') }}</h2>
        <v-text-field v-model="name" :label="t('signUp.name')" autocomplete="name" maxlength="80" />
        <p v-if="naming.problem.value" role="alert" class="care">{{ naming.problem.value }}</p>
        <p v-if="renamed" role="status">{{ t('account.renamed') }}</p>
        <div>
          <v-btn type="submit" :loading="naming.busy.value">{{ t('account.rename') }}</v-btn>
        </div>
      </form>
      <form class="card" @submit.prevent="onChange">
        <h2>{{ t('account.password') }}</h2>
        <input
          type="text"
          name="username"
          autocomplete="username"
          class="out-of-sight"
          tabindex="-1"
          aria-hidden="true"
          :value="account.teacher?.email"
          readonly
        />
        <v-text-field
          v-model="current"
          :label="t('account.current')"
          type="password"
          autocomplete="current-password"
          required
        />
        <v-text-field v-model="next" :label="t('account.next')" type="password" autocomplete="new-password" required />
        <p v-if="changing.problem.value" role="alert" class="care">{{ changing.problem.value }}</p>
        <p v-if="changed" role="alert">{{ t('account.changed') }}</p>
        <div>
          <v-btn class="main" type="submit" :loading="changing.busy.value">{{ t('account.change') }}</v-btn>
        </div>
      </form>
      <section class="card">
        <h2>{{ t('account.everywhere') }}</h2>
        <p>{{ t('account.everywhereLead') }}</p>
        <p v-if="leaving.problem.value" role="alert" class="care">{{ leaving.problem.value }}</p>
        <div>
          <v-btn :loading="leaving.busy.value" @click="onEverywhere">{{ t('account.everywhere') }}</v-btn>
        </div>
      </section>
      <section class="card">
        <h2>{{ t('account.export') }}</h2>
        <p>{{ t('account.exportLead') }}</p>
        <div>
          <v-btn href="/api/export" download>{{ t('account.exportGo') }}</v-btn>
        </div>
      </section>
      <EventsCard class="wide" />
      <section class="card">
        <h2>{{ t('account.delete') }}</h2>
        <p>{{ t('account.deleteLead') }}</p>
        <div v-if="!deleting">
          <v-btn class="danger" @click="deleting = true">{{ t('account.deleteBegin') }}</v-btn>
        </div>
        <form v-else @submit.prevent="onDelete">
          <v-text-field
            v-model="password"
            :label="t('signIn.password')"
            type="password"
            autocomplete="current-password"
            v-focus-first
            required
          />
          <p v-if="ending.problem.value" role="alert" class="care">{{ ending.problem.value }}</p>
          <div class="row">
            <v-btn @click="deleting = false">{{ t('cancel') }}</v-btn>
            <v-btn class="danger" type="submit" :loading="ending.busy.value">{{ t('account.deleteGo') }}</v-btn>
          </div>
        </form>
      </section>
    </div>
  </main>
</template>

<style scoped>
.account {
  padding: 20px 24px 40px;
  max-width: 1000px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(380px, 100%), 1fr));
  gap: 18px;
  align-items: start;
}
.card,
.card form {
  display: grid;
  gap: 14px;
}
.card {
  padding: 16px;
}
.wide {
  grid-column: 1 / -1;
}
.row {
  display: flex;
  gap: 10px;
}
</style>
