<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue'
import { CallError, familyClient } from '@esfuerzo/contract/family'
import { useSentences } from '../shared/sentences.ts'
import { forgetPupil, keepPupil, pupilId, type KeptPupil } from './pupils.ts'

/** Who runs: children of this device, and one whose code is entered now. */
const props = defineProps<{ token: string; pupils: readonly KeptPupil[]; codes: boolean }>()
const emit = defineEmits<{ pupils: [pupils: KeptPupil[]] }>()
/** The child that runs; undefined for one without a code. */
const chosen = defineModel<KeptPupil>()
const { t } = useSentences()
const client = familyClient((input, init) => fetch(input, init))

const giving = ref(false)
const code = ref('')
const problem = ref<'wrong' | 'away' | 'often'>()
const busy = ref(false)
const box = useTemplateRef<HTMLInputElement>('box')
async function onGive() {
  giving.value = true
  await nextTick()
  box.value?.focus()
}
const problemOf = (error: unknown) =>
  error instanceof CallError && error.code === 'not-found'
    ? 'wrong'
    : error instanceof CallError && error.code === 'too-many-tries'
      ? 'often'
      : 'away'
async function onCode() {
  busy.value = true
  problem.value = undefined
  try {
    const found = await client.giveCode(props.token, code.value)
    const pupil = props.pupils.find((p) => pupilId(p) === pupilId(found)) ?? found
    const here = { ...pupil, ...found }
    await keepPupil(here)
    emit('pupils', [...props.pupils.filter((p) => pupilId(p) !== pupilId(here)), here])
    chosen.value = here
    giving.value = false
    code.value = ''
  } catch (error) {
    problem.value = problemOf(error)
  } finally {
    busy.value = false
  }
}
async function onForget(pupil: KeptPupil) {
  await forgetPupil(pupil)
  emit(
    'pupils',
    props.pupils.filter((p) => p !== pupil),
  )
  chosen.value = undefined
}
const isChosen = (pupil: KeptPupil) => chosen.value !== undefined && pupilId(chosen.value) === pupilId(pupil)
</script>

<template>
  <section aria-labelledby="who">
    <h2 id="who">{{ t('who.title') }}</h2>
    <div class="row">
      <button
        v-for="pupil in pupils"
        :key="pupilId(pupil)"
        type="button"
        :aria-pressed="isChosen(pupil)"
        @click="chosen = isChosen(pupil) ? undefined : pupil"
      >
        {{ pupil.alias }}
      </button>
      <button v-if="codes && !giving" type="button" @click="onGive">
        {{ t(pupils.length ? 'who.another' : 'who.give') }}
      </button>
    </div>
    <form v-if="giving" class="row" @submit.prevent="onCode">
      <label>
        <span class="quiet">{{ t('who.code') }}</span>
        <input
          ref="box"
          v-model="code"
          class="num"
          maxlength="8"
          autocomplete="off"
          autocapitalize="characters"
          spellcheck="false"
          :aria-invalid="problem === 'wrong'"
          aria-describedby="code-problem"
        />
      </label>
      <button type="submit" class="main" :disabled="busy || !code.trim()">{{ t('who.thatIsMe') }}</button>
      <button type="button" @click="giving = false">{{ t('who.without') }}</button>
    </form>
    <p id="code-problem" class="problem" role="status">{{ problem ? t(`who.${problem}`) : '' }}</p>
    <p v-if="chosen" class="quiet">
      {{ t('who.isYou', { alias: chosen.alias }) }}
      <button type="button" class="small" @click="onForget(chosen)">{{ t('who.forget') }}</button>
    </p>
    <p v-else-if="!giving" class="quiet">{{ t('who.none') }}</p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  margin-bottom: 10px;
}
label {
  display: grid;
  font-size: 15px;
}
input {
  width: 170px;
  height: 56px;
  padding: 0 14px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  font: 700 26px var(--display);
  letter-spacing: 0.18em;
  text-transform: uppercase;
}
.problem:empty {
  display: none;
}
.problem {
  color: var(--care);
}
.small {
  min-height: 0;
  padding: 4px 8px;
  border: 0;
  background: none;
  color: var(--action);
  font: inherit;
  text-decoration: underline;
}
</style>
