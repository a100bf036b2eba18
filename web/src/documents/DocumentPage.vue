<script setup lang="ts" generic="T extends { title: string }">
import { mdiRedo, mdiUndo } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { defineAsyncComponent, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave, useRouter } from 'vue-router'
import { usePageTitle } from '../shared/pageTitle.ts'
import SaveMark from './SaveMark.vue'
import type { RevisionedStore } from './useRevisioned.ts'

// Loaded on demand: neither is needed to show the page.
const ConflictDialog = defineAsyncComponent(() => import('./ConflictDialog.vue'))
const OfferedDrafts = defineAsyncComponent(() => import('./OfferedDrafts.vue'))

/**
 * The page of an automatically saved document: its name, the state of saving, undo and redo, and resolving a conflict. Slots: `title`
 * instead of the name, `actions` after redo, `panel` beside the document.
 */
const props = defineProps<{
  store: RevisionedStore<T>
  id: string
  /** Shown if it can't be opened. */
  cannotOpen: string
  /** What differs between two of its states, a line each; for a conflict. */
  differences: (from: T, to: T) => string[]
  /** Shown if there is no difference. */
  noDifference: string
}>()
const { t } = useI18n()
const router = useRouter()
const conflict = ref(false)
usePageTitle(() => (props.store.loading ? undefined : props.store.document.title))

useEventListener('beforeunload', () => void props.store.flush())
onBeforeRouteLeave(() => props.store.leave())

async function onKeepBoth() {
  conflict.value = false
  const copy = await props.store.keepBoth()
  await router.push({ params: { id: copy } })
}
</script>

<template>
  <main v-if="store.loadError" class="state">
    <h1>{{ cannotOpen }}</h1>
    <p>{{ t(`errors.${store.loadError}`) }}</p>
    <v-btn class="main" @click="store.open(id)">{{ t('tryAgain') }}</v-btn>
  </main>
  <main v-else-if="store.loading" class="state">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
  <div v-else class="document">
    <main>
      <header>
        <h1>
          <slot name="title">{{ store.document.title }}</slot>
        </h1>
        <SaveMark
          :state="store.saveState"
          :detail="store.saveDetail"
          @keep-both="onKeepBoth"
          @compare="conflict = true"
          @save="store.flush()"
        />
        <span class="grow" />
        <v-btn
          :icon="mdiUndo"
          :disabled="!store.canUndo"
          :aria-label="t('undo')"
          :title="`${t('undo')} (Ctrl Z)`"
          @click="store.undo()"
        />
        <v-btn
          :icon="mdiRedo"
          :disabled="!store.canRedo"
          :aria-label="t('redo')"
          :title="`${t('redo')} (Ctrl Shift Z)`"
          @click="store.redo()"
        />
        <slot name="actions" />
      </header>
      <slot />
    </main>
    <slot name="panel" />
    <OfferedDrafts
      v-if="store.offered.length"
      :offered="store.offered"
      :copy="store.copyOffered"
      :drop="store.dropOffered"
    />
    <ConflictDialog
      v-if="conflict"
      v-model="conflict"
      :store="store"
      :differences="differences"
      :no-difference="noDifference"
      @keep-both="onKeepBoth"
    />
  </div>
</template>

<style scoped>
.state {
  padding: 48px;
}
.document {
  display: grid;
  /* How wide its panel is, each page says. */
  grid-template-columns: minmax(0, 1fr) var(--panel, 0px);
  min-height: 100vh;
}
.document > main {
  padding: 14px 18px;
  min-width: 0;
}
header {
  display: flex;
  align-items: center;
  gap: 10px;
}
h1 {
  min-width: 0;
  font-size: 23px;
  line-height: 1.15;
}
header :deep(.v-btn--icon) {
  width: 40px;
}
header :deep(.v-btn:not(.v-btn--icon)) {
  padding: 0 13px;
}
.document > :slotted(aside) {
  position: sticky;
  top: 0;
  height: 100vh;
  padding: 14px 14px 0;
  border-left: 1px solid var(--line);
  background: var(--card);
  min-width: 0;
}
/* Where there is little room, what another place offers too gives way. */
@media (max-width: 1100px) {
  header :deep(.v-btn.roomy) {
    display: none;
  }
}
@media (max-width: 640px) {
  /* The name has a line of its own, the buttons the next. */
  header > .grow {
    flex-basis: 100%;
    height: 0;
  }
  header :deep(.v-btn.main) {
    margin-left: auto;
  }
}
@media (max-width: 900px) {
  .document {
    grid-template-columns: minmax(0, 1fr);
  }
  .document > main {
    padding: 10px 12px;
  }
  header {
    flex-wrap: wrap;
  }
  .document > :slotted(aside) {
    border-left: 0;
    border-top: 1px solid var(--line);
    height: auto;
  }
}
</style>
