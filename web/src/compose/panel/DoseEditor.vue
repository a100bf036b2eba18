<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Amount, type Dose, type Unit } from '@esfuerzo/core'
import NumberField from '../../shared/fields/NumberField.vue'
import ChoiceField from '../../shared/fields/ChoiceField.vue'

/** An amount: a number, a range, at least, or as many as possible, in one of the units of the exercise. */
defineProps<{ units: Unit[] }>()
const dose = defineModel<Dose>({ required: true })
const { t } = useI18n()

const kinds = ['number', 'range', 'atLeast', 'most'] as const
type Kind = (typeof kinds)[number]
const kindOf = (amount: Amount): Kind =>
  typeof amount === 'number' ? 'number' : 'from' in amount ? 'range' : 'atLeast' in amount ? 'atLeast' : 'most'
const kind = computed(() => kindOf(dose.value.amount))
/** The number that stays when the kind changes. */
const number = computed(() => {
  const { amount } = dose.value
  return typeof amount === 'number' ? amount : Object.values(amount)[0]!
})
const to = computed(() =>
  typeof dose.value.amount === 'object' && 'to' in dose.value.amount ? dose.value.amount.to : undefined,
)
const amountOf: Record<Kind, (n: number) => Amount> = {
  number: (n) => n,
  range: (n) => ({ from: n, to: n + 5 }),
  atLeast: (n) => ({ atLeast: n }),
  most: (n) => ({ most: n }),
}
const setKind = (next: Kind) => (dose.value = { ...dose.value, amount: amountOf[next](number.value) })
function setNumber(n: number) {
  // A range stays valid: the other end moves along.
  const amount = to.value === undefined ? amountOf[kind.value](n) : { from: n, to: Math.max(to.value, n + 1) }
  dose.value = { ...dose.value, amount }
}
const setTo = (n: number) =>
  (dose.value = { ...dose.value, amount: { from: Math.max(1, Math.min(number.value, n - 1)), to: n } })
</script>

<template>
  <div class="dose">
    <ChoiceField
      :model-value="kind"
      :options="kinds"
      named="amount.kind"
      :label="t('station.dose')"
      class="wide"
      @update:model-value="setKind"
    />
    <NumberField :model-value="number" :min="1" :label="t('station.amount')" @update:model-value="setNumber" />
    <NumberField
      v-if="to !== undefined"
      :model-value="to"
      :min="2"
      :label="t('station.to')"
      @update:model-value="setTo"
    />
    <ChoiceField
      :model-value="dose.unit"
      :options="units"
      named="unit.name"
      :label="t('station.unit')"
      @update:model-value="dose = { ...dose, unit: $event }"
    />
  </div>
</template>

<style scoped>
.dose {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.wide {
  grid-column: span 2;
}
</style>
