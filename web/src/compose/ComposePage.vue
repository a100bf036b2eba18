<script setup lang="ts">
import { mdiHistory, mdiPlay } from '@mdi/js'
import { hasStations, type Session } from '@esfuerzo/core'
import { computed, defineAsyncComponent, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import DocumentPage from '../documents/DocumentPage.vue'
import { differenceLines } from '../documents/differenceLines.ts'
import { i18n } from '../words/i18n.ts'
import LanesPanel from './lanes/LanesPanel.vue'
import MessageBar from './MessageBar.vue'
import { playFrom } from './playFrom.ts'
import RunningOrder from './order/RunningOrder.vue'
import ShortcutSheet from './cursor/ShortcutSheet.vue'
import { useSession } from './session/useSession.ts'
import { useMessages } from './useMessages.ts'
import { useCursor } from './cursor/useCursor.ts'
import { useEdits } from './edits/useEdits.ts'
import ComposePanel from './panel/ComposePanel.vue'
import { tabNames, type PanelTab } from './panel/tabs.ts'
import { usePanel } from './panel/usePanel.ts'
import { useLanes } from './lanes/useLanes.ts'
import { useTool } from './tools/useTool.ts'
import { coreDoor } from '../workers/coreDoor.ts'
import { useOtherTab } from './session/useOtherTab.ts'
import { useShortcuts } from './cursor/useShortcuts.ts'

// Loaded on demand.
const DetailsDialog = defineAsyncComponent(() => import('./details/DetailsDialog.vue'))
const PasteText = defineAsyncComponent(() => import('./edits/PasteText.vue'))
const HistoryDialog = defineAsyncComponent(() => import('./session/HistoryDialog.vue'))

const props = defineProps<{ id: string }>()
const { t } = useI18n()
const router = useRouter()
const route = useRoute()
const session = useSession()
const messages = useMessages()
const cursor = useCursor()
const edits = useEdits()
const panel = usePanel()
const timed = useLanes()
/** If a link leads into the panel, that tab is open. */
const wantedTab = tabNames.find((name) => name === route.query.panel)
const tab = ref<PanelTab>(wantedTab ?? 'moves')
/** On a narrow page the panel lies below and opens on demand. */
const panelOpen = ref(wantedTab !== undefined)
const details = ref(false)
const past = ref(false)
const keys = ref(false)
const order = useTemplateRef('order')
const panelView = useTemplateRef('panelView')

watch(
  () => props.id,
  async (id) => {
    await session.open(id)
    // A session created from results opens with what those results say.
    const { next, class: ofClass } = route.query
    if (typeof next === 'string' && session.id === id)
      panel.show({ kind: 'next', from: next, ...(typeof ofClass === 'string' && { ofClass }) })
    // Of a new session the warm-up's row is chosen: it waits for the first exercise.
    if (session.id === id && cursor.selection) {
      await nextTick()
      order.value?.focus()
    }
  },
  { immediate: true },
)

/** Opens a tab of the panel. With a key press, the focus follows. */
async function show(name: PanelTab, goIn = true) {
  panel.close()
  panelOpen.value = true
  tab.value = name
  await nextTick()
  if (goIn) panelView.value?.focus()
}
// A spare worker is ready, so the first question is answered as fast as the next.
onMounted(() => coreDoor.warm())
const { tool, openArrange } = useTool()
watch(tool, (now) => {
  if (now) panelOpen.value = true
})
const { elsewhere } = useOtherTab(() => props.id)
useShortcuts({
  find: () => void show('moves'),
  help: () => (keys.value = true),
  leave: () => {
    panel.close()
    order.value?.focus()
  },
  fit: () => panel.show({ kind: 'fit' }),
  arrange: () => openArrange(),
  play: () => void onPlay(),
  text: () => void show('text'),
})

/** The session is empty: offer a draft. */
const isEmpty = computed(() =>
  session.document.sections.every((s) => s.blocks.every((b) => hasStations(b) && b.stations.length === 0)),
)
const aim = computed(() => {
  const { aim: a, home, minutes } = session.document
  return [
    ...a.builds.map((b) => t(`builds.${b}`)),
    ...(a.target ? [`“${a.target}”`] : []),
    `${t('compose.atHome')}: ${t(`space.${home.space}`)}${home.quiet ? `, ${t('compose.quiet')}` : ''}`,
    t('compose.minutes', { n: minutes }),
  ].join(' · ')
})
const linesOf = (from: Session, to: Session) => differenceLines(from, to, i18n.global.t)
async function onHandOut() {
  if (await session.flush()) await router.push({ name: 'handout', params: { id: props.id } })
}
/** Runs the session as a family would, from the first step of the current row. */
async function onPlay() {
  const row = cursor.selectedRow
  const group = cursor.scope === 'all' ? session.document.groups[0]!.id : cursor.scope[0]!
  const blocks = timed.lanes.find((l) => l.group.id === group)?.blocks ?? []
  if (!blocks.some(({ timed }) => timed.steps.some((s) => s.kind === 'work'))) {
    messages.say({ text: 'nothingToPlay' })
    return
  }
  await router.push({ name: 'try', params: { id: props.id }, query: { lane: group, from: playFrom(row, blocks) } })
}
</script>

<template>
  <DocumentPage
    :id="id"
    class="composer"
    :class="{ wide: tab === 'text' && !tool }"
    :store="session"
    :cannot-open="t('compose.cannotOpen')"
    :differences="linesOf"
    :no-difference="t('conflict.nothing')"
  >
    <template #title>
      <button type="button" class="title" :title="t('compose.details')" @click="details = true">
        {{ session.document.title }}
      </button>
    </template>
    <template #actions>
      <v-btn v-if="tab !== 'text'" class="roomy" :title="`${t('compose.whiteboard')} (W)`" @click="show('text')">{{
        t('compose.whiteboard')
      }}</v-btn>
      <v-btn :icon="mdiHistory" :aria-label="t('history.title')" :title="t('history.title')" @click="past = true" />
      <v-btn :prepend-icon="mdiPlay" :title="`${t('compose.tryIt')} (P)`" @click="onPlay">{{
        t('compose.tryIt')
      }}</v-btn>
      <v-btn class="main" @click="onHandOut">{{ t('compose.handOut') }}</v-btn>
    </template>
    <p class="aim quiet">
      <span class="aim-text">{{ aim }}</span>
      <button type="button" class="link" @click="details = true">{{ t('compose.details') }}</button>
    </p>
    <p v-if="elsewhere" class="elsewhere" role="alert">{{ t('compose.otherTab') }}</p>
    <LanesPanel />
    <p v-if="isEmpty" class="card begin">
      {{ t('draft.empty') }}
      <v-btn :to="{ name: 'draft', query: { session: id } }">{{ t('draft.title') }}</v-btn>
    </p>
    <RunningOrder ref="order" class="order" @edit="show('edit')" @pick="show('edit', false)" />
    <p class="quiet hint">
      {{ t('compose.hint') }} <button type="button" class="link" @click="keys = true">{{ t('keys.title') }}</button>
    </p>
    <template #panel>
      <p class="out-of-sight" aria-live="polite">{{ messages.said }}</p>
      <ComposePanel ref="panelView" v-model="tab" v-model:open="panelOpen" @play="onPlay" />
      <DetailsDialog v-if="details" v-model="details" />
      <ShortcutSheet v-model="keys" />
      <PasteText v-if="edits.toLookAt !== undefined" />
      <HistoryDialog v-if="past" v-model="past" />
      <MessageBar />
    </template>
  </DocumentPage>
</template>

<style scoped>
.composer {
  --panel: 300px;
}
.composer.wide {
  --panel: 500px;
}
.title {
  border: 0;
  padding: 2px 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.begin {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 10px 14px;
  margin: 0 0 10px;
}
.aim,
.hint {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}
.aim {
  margin: 2px 0 10px;
  font-size: 14px;
}
.elsewhere {
  margin: 0 0 10px;
  padding: 8px 12px;
  border-left: 4px solid var(--care);
  background: var(--care-soft);
}
.order {
  margin-top: 10px;
}
.hint {
  font-size: 14px;
}
</style>
