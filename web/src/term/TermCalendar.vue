<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type CallAnswer } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'

/** A term in a calendar: as a file, or at an address that the calendar polls. */
const props = defineProps<{ id: string }>()
const { t } = useI18n()
type Link = CallAnswer<'readTermLink'>['link']
/** Undefined until the server has said whether there is one. */
const link = ref<Link>()
const problem = ref('')
const sure = ref(false)
const copied = ref(false)
const address = computed(() => (link.value ? `${location.origin}/api/go/${link.value.token}/calendar` : ''))

async function tried(work: () => Promise<void>) {
  problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
const params = computed(() => ({ id: props.id }))
let asked = 0
/** Takes the server's answer about the link; answers to earlier questions are ignored. */
const take = (ask: () => Promise<Link>) =>
  tried(async () => {
    const mine = ++asked
    const said = await ask()
    if (mine === asked) link.value = said
  })
const load = () => take(async () => (await client('readTermLink', { params: params.value })).link)
const make = () => take(async () => (await client('makeTermLink', { params: params.value })).link)
const end = () =>
  take(async () => {
    await client('endTermLink', { params: params.value })
    sure.value = false
    return null
  })
// A term that became a copy has its own address, or none.
watch(
  () => props.id,
  () => {
    link.value = undefined
    sure.value = false
    void load()
  },
  { immediate: true },
)
// A new address has not been copied yet.
watch(address, () => (copied.value = false))
const copy = () =>
  tried(async () => {
    await navigator.clipboard.writeText(address.value)
    copied.value = true
  })
</script>

<template>
  <section :aria-label="t('term.calendar.title')">
    <p class="quiet">{{ t('term.calendar.lead') }}</p>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <v-btn :href="`/api/terms/${id}/calendar`" download="term.ics">{{ t('term.calendar.file') }}</v-btn>
    <template v-if="link">
      <v-textarea
        class="address"
        readonly
        :model-value="address"
        :label="t('term.calendar.address')"
        rows="1"
        auto-grow
        @focus="($event.target as HTMLTextAreaElement).select()"
      />
      <div class="do">
        <v-btn @click="copy">{{ t(copied ? 'handout.copied' : 'handout.copy') }}</v-btn>
        <v-btn v-if="!sure" @click="sure = true">{{ t('term.calendar.end') }}</v-btn>
        <template v-else>
          <v-btn class="main" @click="end">{{ t('term.calendar.endNow') }}</v-btn>
          <v-btn @click="sure = false">{{ t('cancel') }}</v-btn>
        </template>
      </div>
      <p v-if="sure" class="quiet">{{ t('term.calendar.endHow') }}</p>
    </template>
    <v-btn v-else-if="link === null" @click="make">{{ t('term.calendar.make') }}</v-btn>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
  align-content: start;
  justify-items: start;
}
.address {
  width: 100%;
}
</style>
