<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useElementBounding } from '@vueuse/core'
import { computed, onMounted, reactive, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { families, spaceSchema, type Family, type Space } from '@esfuerzo/core'
import { filterMoves } from '@esfuerzo/core/choose'
import { gradeItems } from '../settings/gradeItems.ts'
import { useSettings } from '../settings/store.ts'
import { library } from '../repertoire/library.ts'
import BodyMap from './BodyMap.vue'
import MoveCard from './MoveCard.vue'
import MovesFile from './MovesFile.vue'
import { useRepertoire } from '../repertoire/store.ts'
import ChoiceField from '../shared/fields/ChoiceField.vue'

/** The list of exercises: filter by muscle, family, equipment, space, noise and grade, and by what was not used lately. */
const { t } = useI18n()
const repertoire = useRepertoire()
const settings = useSettings()
onMounted(() => {
  void settings.load()
  void repertoire.load()
})

interface Wanted {
  typed: string
  muscle?: string
  family?: Family | null
  kit?: string | null
  space?: Space | null
  grade?: number | null
  quiet: boolean
  notLately: boolean
  own: boolean
}
const nothing: Wanted = { typed: '', quiet: false, notLately: false, own: false }
const wanted = reactive<Wanted>({ ...nothing })
const narrowed = computed(() =>
  Object.values(wanted).some((v) => v !== undefined && v !== null && v !== '' && v !== false),
)
const clear = () =>
  Object.assign(wanted, { muscle: undefined, family: null, kit: null, space: null, grade: null }, nothing)

const found = computed(() =>
  filterMoves(
    {
      typed: wanted.typed,
      muscle: wanted.muscle,
      family: wanted.family ?? undefined,
      kit: wanted.kit ?? undefined,
      space: wanted.space ?? undefined,
      grade: wanted.grade ?? undefined,
      quiet: wanted.quiet,
      notAmong: wanted.notLately ? new Set(repertoire.lately.keys()) : undefined,
    },
    library,
  ).filter((m) => !wanted.own || repertoire.own.some((o) => o.move.id === m.id)),
)

const kitItems = computed(() => [
  { value: 'none', title: t('moves.noKit') },
  ...[...library.kit.values()].map((k) => ({ value: k.id, title: k.name })),
])
const grades = computed(() => gradeItems(settings.gradeNames, t))

const gone = computed({
  get: () => repertoire.removed !== undefined,
  set: (on) => {
    if (!on) repertoire.removed = undefined
  },
})

// Only visible entries are in the page.
const list = useTemplateRef('list')
const { width, top } = useElementBounding(list)
const columns = computed(() => Math.max(1, Math.floor((width.value + 10) / 250)))
const rowHeight = 106
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: Math.ceil(found.value.length / columns.value),
    estimateSize: () => rowHeight,
    overscan: 3,
    scrollMargin: top.value + window.scrollY,
    initialRect: { width: 1280, height: 800 },
  })),
)
const inRow = (row: number) => found.value.slice(row * columns.value, (row + 1) * columns.value)
</script>

<template>
  <main class="moves">
    <header>
      <h1>{{ t('moves.title') }}</h1>
      <span class="grow" />
      <MovesFile />
      <v-btn class="main" :to="{ name: 'new-move' }">{{ t('moves.new') }}</v-btn>
    </header>
    <p v-if="repertoire.error" class="care" role="alert">
      {{ t('moves.onlyOurs') }} {{ t(`errors.${repertoire.error}`) }}
      <v-btn @click="repertoire.load()">{{ t('tryAgain') }}</v-btn>
    </p>
    <div class="sides">
      <section class="filters" :aria-label="t('moves.filters')">
        <v-text-field
          v-model="wanted.typed"
          :label="t('shelf.find')"
          maxlength="80"
          clearable
          autocomplete="off"
          @click:clear="wanted.typed = ''"
        />
        <BodyMap v-model="wanted.muscle" />
        <div class="selects">
          <ChoiceField
            v-model="wanted.family"
            :options="families"
            named="family"
            clearable
            :label="t('moves.family')"
          />
          <v-select v-model="wanted.grade" :items="grades" clearable :label="t('moves.grade')" />
          <v-select v-model="wanted.kit" :items="kitItems" clearable :label="t('moves.kit')" />
          <ChoiceField
            v-model="wanted.space"
            :options="spaceSchema.options"
            named="space"
            clearable
            :label="t('details.space')"
          />
        </div>
        <v-switch v-model="wanted.quiet" :label="t('moves.quiet')" />
        <v-switch v-model="wanted.notLately" :label="t('moves.notLately')" />
        <v-switch v-if="repertoire.own.length" v-model="wanted.own" :label="t('moves.onlyOwn')" />
      </section>
      <section class="found" :aria-label="t('shelf.label')">
        <p class="quiet count" aria-live="polite">
          {{ t('moves.count', { n: found.length }, found.length) }}
          <button v-if="narrowed" type="button" class="link" @click="clear">{{ t('moves.clear') }}</button>
        </p>
        <p v-if="!found.length" class="card empty">{{ t('moves.none') }}</p>
        <div ref="list" class="list" :style="{ height: `${virtual.getTotalSize()}px` }">
          <div
            v-for="row in virtual.getVirtualItems()"
            :key="row.index"
            class="line"
            :style="{
              transform: `translateY(${row.start - virtual.options.scrollMargin}px)`,
              gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
              height: `${rowHeight}px`,
            }"
          >
            <MoveCard v-for="move in inRow(row.index)" :key="move.id" :move="move" />
          </div>
        </div>
      </section>
    </div>
    <v-snackbar v-model="gone">
      {{ t('moves.removed', { name: repertoire.removed?.move.name }) }}
      <template #actions>
        <v-btn @click="repertoire.putBack()">{{ t('undo') }}</v-btn>
        <v-btn @click="gone = false">{{ t('close') }}</v-btn>
      </template>
    </v-snackbar>
  </main>
</template>

<style scoped>
.moves {
  padding: 20px 24px 40px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-bottom: 12px;
}
.sides {
  display: grid;
  grid-template-columns: 316px minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.filters {
  position: sticky;
  top: 12px;
  display: grid;
  gap: 8px;
}
.selects {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
}
.count {
  margin: 0 0 8px;
}
.link {
  border: 0;
  background: none;
  padding: 0;
  margin-left: 8px;
  font: inherit;
  font-weight: 700;
  color: var(--action);
  cursor: pointer;
}
.list {
  position: relative;
}
.line {
  position: absolute;
  top: 0;
  left: 0;
  right: 0;
  display: grid;
  gap: 10px;
  padding-bottom: 10px;
}
.empty {
  padding: 16px;
}
@media (max-width: 800px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
  .filters {
    position: static;
  }
}
</style>
