<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Move } from '@esfuerzo/core'
import { filterMoves, type MoveFilter } from '@esfuerzo/core/choose'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import MoveDrag from './MoveDrag.vue'
import { library } from '../../repertoire/library.ts'
import { standardFigure } from '../../repertoire/standardFigure.ts'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'
import { useOffers } from '../tools/useOffers.ts'

const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const typed = ref('')
const at = ref(0)
const field = useTemplateRef<{ focus: () => void }>('field')
const list = useTemplateRef('list')

/** The selected chips. */
const asked: Record<string, MoveFilter> = {
  quiet: { quiet: true },
  upper: { region: 'upper' },
  lower: { region: 'lower' },
  core: { region: 'core' },
  noKit: { kit: 'none' },
}
const chips = ['home', 'quiet', 'upper', 'lower', 'core', 'stretch', 'noKit']
const filters = ref<string[]>(['home'])
const wanted = computed(() => {
  const filter: MoveFilter = { typed: typed.value }
  for (const chip of filters.value) Object.assign(filter, asked[chip])
  return filter
})
const isStretch = (m: Move) => m.family === 'stretch' || m.family === 'breathe'
const matching = (filter: MoveFilter) =>
  filterMoves(filter, library).filter((m) => !filters.value.includes('stretch') || isStretch(m))
const anywhere = computed(() => matching(wanted.value))
/** What works in this session's home; deselect the chip to see the rest. */
const fitting = computed(() =>
  filters.value.includes('home') ? matching({ ...wanted.value, home: session.document.home }) : anywhere.value,
)
/** Suggestions for this place with their reasons, before anything is typed. */
const looking = ref(false)
const worked = useOffers(looking)
const nothingAsked = computed(() => !typed.value && filters.value.every((f) => f === 'home'))
const offers = computed(() => (nothingAsked.value ? worked.value : new Map<string, string>()))
const found = computed(() => {
  const fits = new Map(fitting.value.map((m) => [m.id, m]))
  const first = [...offers.value.keys()].flatMap((id) => fits.get(id) ?? [])
  return [...first, ...fitting.value.filter((m) => !offers.value.has(m.id))]
})
const hidden = computed(() => anywhere.value.length - found.value.length)

// Only visible rows are rendered.
const virtual = useVirtualizer(
  computed(() => ({
    count: found.value.length,
    getScrollElement: () => list.value,
    estimateSize: () => 62,
    overscan: 4,
    initialRect: { width: 280, height: 560 },
  })),
)

const active = computed(() => (found.value[at.value] ? `move-${found.value[at.value]!.id}` : undefined))

const about = (move: Move) =>
  offers.value.get(move.id) ??
  [
    library.muscles.get(move.muscles.main[0] ?? move.stretches?.[0] ?? '')?.name ?? t(`family.${move.family}`),
    ...(move.sides === 'each' ? [t('shelf.eachSide')] : []),
    ...(move.versions.length > 1 ? [t('shelf.versions', { n: move.versions.length })] : []),
  ].join(' · ')

function toggle(chip: string) {
  filters.value = filters.value.includes(chip) ? filters.value.filter((f) => f !== chip) : [...filters.value, chip]
  at.value = 0
}
function onKeydown(event: KeyboardEvent) {
  const last = found.value.length - 1
  const chosen = found.value[at.value]
  if (event.key === 'ArrowDown') at.value = Math.min(last, at.value + 1)
  else if (event.key === 'ArrowUp') at.value = Math.max(0, at.value - 1)
  else if (event.key === 'Enter' && chosen) {
    edits.addMove(chosen.id)
    typed.value = ''
    at.value = 0
  } else return
  event.preventDefault()
  if (found.value.length) virtual.value.scrollToIndex(at.value)
}
const inSight = computed(() =>
  virtual.value.getVirtualItems().flatMap(({ index, start }) => {
    const move = found.value[index]
    return move ? [{ index, start, move }] : []
  }),
)
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="shelf" @focusin="looking = true" @focusout="looking = false" @pointerenter="looking = true">
    <div class="find">
      <input
        ref="field"
        v-model="typed"
        :placeholder="t('shelf.find')"
        :aria-label="t('shelf.find')"
        role="combobox"
        aria-autocomplete="list"
        aria-controls="moves"
        :aria-expanded="found.length > 0"
        :aria-activedescendant="active"
        autocomplete="off"
        maxlength="80"
        @input="at = 0"
        @keydown="onKeydown"
      />
      <kbd class="quiet" aria-hidden="true">/</kbd>
    </div>
    <div class="chips" role="group" :aria-label="t('shelf.filters')">
      <button
        v-for="chip in chips"
        :key="chip"
        type="button"
        :class="{ on: filters.includes(chip) }"
        :aria-pressed="filters.includes(chip)"
        @click="toggle(chip)"
      >
        {{ t(`shelf.chip.${chip}`) }}
      </button>
    </div>
    <p class="out-of-sight" aria-live="polite">{{ t('shelf.count', { n: found.length }) }}</p>
    <p v-if="hidden" class="quiet hidden-moves">
      {{ t('shelf.hidden', { n: hidden }, hidden) }}
      <button type="button" class="link" @click="toggle('home')">{{ t('shelf.showHidden') }}</button>
    </p>
    <p v-if="!found.length" class="quiet none">{{ t('shelf.none') }}</p>
    <ul v-else id="moves" ref="list" role="listbox" tabindex="-1" :aria-label="t('shelf.label')">
      <li role="presentation" class="spacer" :style="{ height: `${virtual.getTotalSize()}px` }" />
      <li
        v-for="{ index: i, start, move } in inSight"
        :id="`move-${move.id}`"
        :key="move.id"
        role="option"
        :aria-selected="i === at"
        :aria-setsize="found.length"
        :aria-posinset="i + 1"
        :class="{ on: i === at && typed }"
        :style="{ transform: `translateY(${start}px)` }"
        :aria-label="t('shelf.add', { name: move.name })"
        @click="edits.addMove(move.id)"
        @keydown.enter="edits.addMove(move.id)"
      >
        <MoveDrag :move="move.id">
          <MoveFigure v-if="standardFigure(move, library)" :figure="standardFigure(move, library)!" :size="44" />
          <span class="about">{{ move.name }}<small class="quiet">{{ about(move) }}</small></span>
          <v-icon :icon="mdiPlus" size="18" />
        </MoveDrag>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.shelf {
  display: flex;
  flex-direction: column;
  min-height: 0;
  flex: 1;
}
kbd {
  font: inherit;
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 0 6px;
}
.find {
  position: relative;
}
.find input {
  width: 100%;
  height: 42px;
  padding: 0 40px 0 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
.find input::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.find kbd {
  position: absolute;
  right: 10px;
  top: 9px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 10px 0;
}
.chips button {
  border: 1px solid var(--line);
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: 13px/1.2 var(--text);
  padding: 5px 8px;
  cursor: pointer;
}
.chips .on {
  background: var(--action-soft);
  border-color: var(--action);
}
ul {
  margin: 0 -14px;
  padding: 0 14px;
  overflow-y: auto;
  flex: 1;
  min-height: 120px;
  position: relative;
}
.hidden-moves {
  margin: 0 0 8px;
  font-size: 14px;
}
.link {
  border: 0;
  padding: 0;
  background: none;
  font: inherit;
  font-weight: 700;
  color: var(--action);
  cursor: pointer;
}
li:not(.spacer) {
  position: absolute;
  top: 0;
  left: 14px;
  right: 14px;
  height: 62px;
  overflow: hidden;
}
.spacer {
  border: 0 !important;
}
li {
  border-top: 1px solid var(--hair);
  cursor: pointer;
  font-size: 14px;
}
li:hover,
li.on {
  background: var(--action-soft);
}
small {
  display: block;
  font-size: 13px;
}
.none {
  margin: 12px 0;
}
</style>
