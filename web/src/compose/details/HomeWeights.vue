<script setup lang="ts">
import { mdiPlus, mdiTrashCanOutline } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  bookKg,
  fromKg,
  gradesFor,
  homeKg,
  nextStep,
  papers,
  sheets,
  toKg,
  toLitres,
  volumeUnits,
  weightUnits,
  type Book,
  type Held,
  type HomeThing,
  type VolumeUnit,
  type WeightUnit,
} from '@esfuerzo/core'
import { useSettings } from '../../settings/store.ts'
import NumberField from '../../shared/fields/NumberField.vue'
import ChoiceField from '../../shared/fields/ChoiceField.vue'
import AppDialog from '../../shared/dialog/AppDialog.vue'

/** A weight made of bottles, books and packets: its kilograms, suitable grades, and the next step up. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [kg: number] }>()
const { t, n } = useI18n()
const settings = useSettings()

// The last weight is kept on this device.
const held = useLocalStorage<Held>('esfuerzo.weights.held', 'bag')
const unit = useLocalStorage<WeightUnit>('esfuerzo.weights.unit', 'kg')
const volume = useLocalStorage<VolumeUnit>('esfuerzo.weights.volume', 'l')
const schoolBook: Book = { sheet: 'A4', pages: 120, paper: 'school', cover: 'soft' }
const things = useLocalStorage<HomeThing[]>('esfuerzo.weights.things', [{ kind: 'book', ...schoolBook }])

const kg = computed(() => homeKg(things.value))
const grades = computed(() => gradesFor(kg.value, held.value).map((g) => settings.gradeNames[g]!))
const spare = computed(() => things.value.filter((thing) => homeKg([thing]) > 0))
const step = computed(() => nextStep(things.value, spare.value))
const text = (amount: number) => `${n(Math.round(fromKg(amount, unit.value) * 100) / 100)} ${unit.value}`
const set = (i: number, change: Partial<HomeThing>) =>
  (things.value = things.value.map((thing, k) => (k === i ? ({ ...thing, ...change } as HomeThing) : thing)))
const add = (thing: HomeThing) => (things.value = [...things.value, thing])
const remove = (i: number) => (things.value = things.value.filter((_, k) => k !== i))
/** In the unit it is typed in, to a hundredth. */
const shown = (thing: HomeThing) =>
  Math.round(
    100 *
      (thing.kind === 'bottle'
        ? thing.litres / toLitres(1, volume.value)
        : thing.kind === 'weighed'
          ? fromKg(thing.kg, unit.value)
          : bookKg(thing)),
  ) / 100
function onTake() {
  emit('take', kg.value)
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" :title="t('weights.title')" :width="780">
    <div class="weights">
      <div class="pair">
        <ChoiceField v-model="held" :options="['hand', 'bag']" named="weights.held" :label="t('weights.how')" />
        <v-select v-model="unit" :items="weightUnits" :label="t('weights.unit')" />
        <v-select v-model="volume" :items="volumeUnits" :label="t('weights.volume')" />
      </div>
      <div v-for="(thing, i) in things" :key="i" class="thing">
        <b>{{ t(`weights.kind.${thing.kind}`) }}</b>
        <template v-if="thing.kind === 'book'">
          <v-select
            :model-value="thing.sheet"
            :items="Object.keys(sheets)"
            :label="t('weights.sheet')"
            @update:model-value="set(i, { sheet: $event })"
          />
          <NumberField
            :model-value="thing.pages"
            :min="2"
            :max="2000"
            :label="t('weights.pages')"
            @update:model-value="set(i, { pages: $event })"
          />
          <ChoiceField
            :model-value="thing.paper"
            :options="Object.keys(papers)"
            named="weights.paper"
            :label="t('weights.paperLabel')"
            @update:model-value="set(i, { paper: $event })"
          />
          <ChoiceField
            :model-value="thing.cover"
            :options="['soft', 'hard']"
            named="weights.cover"
            :label="t('weights.coverLabel')"
            @update:model-value="set(i, { cover: $event })"
          />
        </template>
        <NumberField
          v-else-if="thing.kind === 'bottle'"
          :model-value="shown(thing)"
          :min="0"
          :max="10"
          :step="0.25"
          decimals
          :label="t('weights.water')"
          :suffix="volume"
          @update:model-value="set(i, { litres: toLitres($event, volume) })"
        />
        <NumberField
          v-else
          :model-value="shown(thing)"
          :min="0"
          :max="20"
          :step="0.1"
          decimals
          :label="t('weights.label')"
          :suffix="unit"
          @update:model-value="set(i, { kg: toKg($event, unit) })"
        />
        <span class="quiet">{{ text(homeKg([thing])) }}</span>
        <v-btn
          class="plain"
          :icon="mdiTrashCanOutline"
          :aria-label="t('weights.remove', { n: i + 1 })"
          @click="remove(i)"
        />
      </div>
      <div class="adds">
        <v-btn :prepend-icon="mdiPlus" @click="add({ kind: 'book', ...schoolBook })">{{
          t('weights.kind.book')
        }}</v-btn>
        <v-btn :prepend-icon="mdiPlus" @click="add({ kind: 'bottle', litres: 0.5 })">{{
          t('weights.kind.bottle')
        }}</v-btn>
        <v-btn :prepend-icon="mdiPlus" @click="add({ kind: 'weighed', kg: 0.5 })">{{
          t('weights.kind.weighed')
        }}</v-btn>
      </div>
      <div class="sum" aria-live="polite">
        <p><b>{{ text(kg) }}</b> {{ t(held === 'hand' ? 'weights.inHand' : 'weights.inBag') }}</p>
        <p>
          {{
            grades.length
              ? t('weights.grades', { list: grades.join(', ') })
              : t(kg > 0 ? 'weights.tooHeavy' : 'weights.nothing')
          }}
        </p>
        <p v-if="step" class="quiet">
          {{
            t('weights.next', {
              what: t(`weights.kind.${step.add.kind}`).toLowerCase(),
              to: text(step.kg),
              more: Math.round(step.more * 100),
            })
          }}
        </p>
        <p class="quiet">{{ t('weights.care') }}</p>
      </div>
    </div>
    <template #actions>
      <v-btn @click="open = false">{{ t('cancel') }}</v-btn>
      <v-btn class="main" :disabled="kg <= 0 || kg > 20" @click="onTake">{{ t('weights.take') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
.weights {
  display: grid;
  gap: 12px;
}
.pair {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr;
  gap: 10px;
}
.thing {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.thing b {
  flex: 0 0 64px;
}
.thing > :deep(.v-input) {
  flex: 1 1 90px;
}
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.sum {
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
.sum p {
  margin: 2px 0;
}
</style>
