<script setup lang="ts">
import { mdiTrashCanOutline } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { rulePolicySchema, type Language, type RulePolicies, type RulePolicy } from '@esfuerzo/core'
import { rules, ruleText, type RuleId, type TermRuleId } from '@esfuerzo/core/checks'
import { termRules } from '@esfuerzo/core/term'
import ChoiceField from '../shared/fields/ChoiceField.vue'

/** The school's settings for single checks: another weight, or off. A weight of *fix* cannot be changed. */
const policies = defineModel<RulePolicies>({ required: true })
const { t, locale } = useI18n()
const language = computed(() => locale.value as Language)
type AnyRule = RuleId | TermRuleId
const open = [...rules.filter((rule) => rule.level !== 'stop'), ...termRules]
const levelOf = (id: AnyRule) => open.find((rule) => rule.id === id)!.level

const items = computed(() =>
  open
    .filter(({ id }) => !policies.value[id])
    .map(({ id }) => ({ value: id, title: ruleText(id, language.value).title }))
    .sort((a, b) => a.title.localeCompare(b.title, locale.value)),
)
/** The changed checks, by name; a rule that no longer exists is kept but not shown. */
const changed = computed(() =>
  open
    .filter(({ id }) => policies.value[id])
    .map(({ id }) => ({ id, policy: policies.value[id]!, ...ruleText(id, language.value) }))
    .sort((a, b) => a.title.localeCompare(b.title, locale.value)),
)
const set = (id: AnyRule, policy: RulePolicy) => (policies.value = { ...policies.value, [id]: policy })
function onPick(id: AnyRule | null) {
  if (id) set(id, 'off')
}
function onBack(id: AnyRule) {
  const { [id]: _, ...rest } = policies.value
  policies.value = rest
}
</script>

<template>
  <!-- A picked check moves into the list, and the field is cleared. -->
  <v-autocomplete
    :key="changed.length"
    :items="items"
    :label="t('settings.checkAdd')"
    :no-data-text="t('settings.noCheck')"
    @update:model-value="onPick"
  />
  <p v-if="!changed.length" class="quiet">{{ t('settings.checksPlain') }}</p>
  <ul v-else>
    <li v-for="{ id, policy, title, why } in changed" :key="id">
      <ChoiceField
        :model-value="policy"
        :options="rulePolicySchema.options"
        named="settings.checkLevel"
        :label="title"
        :hint="t('settings.checkWas', { level: t(`settings.checkLevel.${levelOf(id)}`), why })"
        persistent-hint
        @update:model-value="set(id, $event)"
      />
      <v-btn
        class="plain"
        :icon="mdiTrashCanOutline"
        :aria-label="t('settings.checkBack', { title })"
        @click="onBack(id)"
      />
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: 14px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
}
</style>
