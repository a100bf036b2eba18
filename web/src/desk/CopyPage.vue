<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { type Session } from '@esfuerzo/core'
import { callCode } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { library } from '../repertoire/library.ts'
import { i18n } from '../words/i18n.ts'
import LaneKey from '../shared/lanes/LaneKey.vue'
import { rowsOf } from '../compose/order/rows.ts'

/** A session a colleague sent: to look at and add. */
const props = defineProps<{ token: string }>()
const { t } = useI18n()
const router = useRouter()
const copy = shallowRef<{ from: string; document: Session }>()
const problem = ref('')

async function tried(work: () => Promise<unknown>) {
  problem.value = ''
  try {
    await work()
  } catch (error) {
    problem.value = t(`errors.${callCode(error)}`)
  }
}
const load = () => tried(async () => (copy.value = await client('readCopy', { params: { token: props.token } })))
onMounted(load)
const onTake = () =>
  tried(async () => {
    const { id } = await client('createSession', { body: { document: copy.value!.document } })
    await router.push({ name: 'compose', params: { id } })
  })
const rows = (document: Session) => rowsOf(document, library, i18n.global.t).filter((r) => r.kind !== 'empty')
</script>

<template>
  <main class="copy">
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <p v-else-if="!copy" class="quiet">{{ t('loading') }}</p>
    <template v-if="copy">
      <h1>{{ copy.document.title }}</h1>
      <p class="quiet">
        {{ t('copy.from', { name: copy.from }) }} · {{ t('desk.minutes', { n: copy.document.minutes }) }}
      </p>
      <p class="lanes"><LaneKey v-for="g in copy.document.groups" :key="g.id" :letter="g.letter" :name="g.name" /></p>
      <ol class="card">
        <li v-for="row in rows(copy.document)" :key="row.id" :class="row.kind">
          {{
            row.kind === 'station'
              ? row.name
              : row.kind === 'section'
                ? row.section.title || t(`role.${row.section.role}`)
                : row.block.title
          }}
          <span class="quiet">{{ row.spans.map((s) => [s.text, s.dose].filter(Boolean).join(' ')).join(' | ') }}</span>
        </li>
      </ol>
      <div>
        <v-btn class="main" @click="onTake">{{ t('copy.take') }}</v-btn>
      </div>
    </template>
  </main>
</template>

<style scoped>
.copy {
  padding: 20px 24px 40px;
  max-width: 860px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.lanes {
  display: flex;
  gap: 16px;
}
ol {
  padding: 8px 16px;
}
li {
  padding: 4px 0;
}
li.section {
  font-weight: 700;
  border-top: 1px solid var(--hair);
}
li.section .quiet {
  font-weight: 400;
}
</style>
