<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { languages, isChance, type Language, type Session } from '@esfuerzo/core'
import { papers, teacherSheetKinds, type Paper } from '@esfuerzo/contract'
import LaneChoice from './LaneChoice.vue'
import ChoiceField from '../shared/fields/ChoiceField.vue'

/** Sheets to print: which kind, for whom, in which language, on which paper. */
const props = defineProps<{ id: string; session: Session }>()
const { t } = useI18n()
const lanes = ref(props.session.groups.map((g) => g.id))
const language = ref<Language>('en')
const paper = ref<Paper>('a4')
/** A sheet for a form the session does not have would be empty. */
const kinds = computed(() => {
  const chances = props.session.sections.flatMap((s) => s.blocks).filter(isChance)
  return teacherSheetKinds.filter((kind) =>
    kind === 'coin'
      ? chances.some((b) => b.device !== 'cards')
      : kind === 'cards'
        ? chances.some((b) => b.device === 'cards')
        : true,
  )
})
const addressOf = (kind: string) =>
  `/api/workouts/${props.id}/sheets/${kind}?${new URLSearchParams({
    lanes: lanes.value.join(','),
    language: language.value,
    paper: paper.value,
  })}`
</script>

<template>
  <section class="card" aria-labelledby="hand-paper">
    <h2 id="hand-paper">{{ t('handout.paper') }}</h2>
    <p>{{ t('handout.paperLead') }}</p>
    <LaneChoice v-model="lanes" :groups="session.groups" />
    <div class="pair">
      <ChoiceField
        v-model="language"
        :options="languages"
        named="handout.language"
        :label="t('handout.languageLabel')"
      />
      <ChoiceField v-model="paper" :options="papers" named="handout.paperSize" :label="t('handout.paperLabel')" />
    </div>
    <ul>
      <li v-for="kind in kinds" :key="kind">
        <a v-if="lanes.length" :href="addressOf(kind)" target="_blank" rel="noopener">{{
          t(`handout.sheet.${kind}`)
        }}</a>
        <span v-else class="quiet">{{ t(`handout.sheet.${kind}`) }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.pair {
  margin-bottom: 10px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
ul {
  margin: 8px 0 0;
  columns: 2;
}
li {
  padding: 6px 0;
}
</style>
