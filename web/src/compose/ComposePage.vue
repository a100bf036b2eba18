<script setup lang="ts">
import { mdiHistory, mdiPlay, mdiRedo, mdiUndo } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave, useRouter } from 'vue-router'
import KeptParts from './panel/KeptParts.vue'
import LanesPanel from './lanes/LanesPanel.vue'
import MessageBar from './MessageBar.vue'
import MoveShelf from './panel/MoveShelf.vue'
import { playFrom } from './playFrom.ts'
import RowEditor from './panel/RowEditor.vue'
import RunningOrder from './order/RunningOrder.vue'
import SaveMark from './session/SaveMark.vue'
import ShortcutSheet from './cursor/ShortcutSheet.vue'
import { useSession } from './session/useSession.ts'
import { useMessages } from './useMessages.ts'
import { useCursor } from './cursor/useCursor.ts'
import { usePanel } from './panel/usePanel.ts'
import { useLanes } from './lanes/useLanes.ts'
import TextPanel from './panel/TextPanel.vue'
import OpenTool from './tools/OpenTool.vue'
import { useTool } from './tools/useTool.ts'
import { coreDoor } from '../workers/coreDoor.ts'
import { useOtherTab } from './session/useOtherTab.ts'
import { useShortcuts } from './cursor/useShortcuts.ts'

// What is not on screen at first comes when it is wanted.
const ConflictDialog = defineAsyncComponent(() => import('./session/ConflictDialog.vue'))
const DetailsDialog = defineAsyncComponent(() => import('./details/DetailsDialog.vue'))
const HistoryDialog = defineAsyncComponent(() => import('./session/HistoryDialog.vue'))
const RunsPanel = defineAsyncComponent(() => import('../runs/RunsPanel.vue'))

const props = defineProps<{ id: string }>()
const { t } = useI18n()
const router = useRouter()
const session = useSession()
const messages = useMessages()
const cursor = useCursor()
const panel = usePanel()
const timed = useLanes()
const tabs = ['moves', 'edit', 'text', 'shelf', 'runs'] as const
const tab = ref<(typeof tabs)[number]>('moves')
/** Where the page is narrow the panel lies below and is opened when it is wanted. */
const panelOpen = ref(false)
const details = ref(false)
const past = ref(false)
const conflict = ref(false)
const keys = ref(false)
const shelf = useTemplateRef('shelf')
const editor = useTemplateRef('editor')
const order = useTemplateRef('order')
const whiteboard = useTemplateRef('whiteboard')

watch(
  () => props.id,
  (id) => void session.open(id),
  { immediate: true },
)

function show(name: (typeof tabs)[number], toggle = false) {
  panel.close()
  panelOpen.value = !(toggle && panelOpen.value && tab.value === name)
  tab.value = name
}
async function showEditor() {
  show('edit')
  await nextTick()
  editor.value?.focus()
}
async function showText() {
  show('text')
  await nextTick()
  whiteboard.value?.focus()
}
async function showShelf() {
  show('moves')
  await nextTick()
  shelf.value?.focus()
}
// The first question is answered as quickly as the next ones: a worker stands by.
onMounted(() => coreDoor.warm())
const { tool, openArrange } = useTool()
watch(tool, (open) => {
  if (open) panelOpen.value = true
})
const { elsewhere } = useOtherTab(() => props.id)
useShortcuts({
  find: () => void showShelf(),
  help: () => (keys.value = true),
  leave: () => {
    panel.close()
    order.value?.focus()
  },
  fit: () => panel.show({ kind: 'fit' }),
  arrange: () => openArrange(),
  play: () => void onPlay(),
  text: () => void showText(),
})
useEventListener('beforeunload', () => void session.flush())
onBeforeRouteLeave(() => session.leave())

const aim = computed(() => {
  const { aim: a, home, minutes } = session.workout
  return [
    ...a.builds.map((b) => t(`builds.${b}`)),
    ...(a.target ? [`“${a.target}”`] : []),
    `${t('compose.atHome')}: ${t(`space.${home.space}`)}${home.quiet ? `, ${t('compose.quiet')}` : ''}`,
    t('compose.minutes', { n: minutes }),
  ].join(' · ')
})
async function onKeepBoth() {
  const copy = await session.keepBoth()
  await session.open(props.id)
  await router.push({ name: 'compose', params: { id: copy } })
}
async function onHandOut() {
  if (await session.flush()) await router.push({ name: 'handout', params: { id: props.id } })
}
/** Runs the session as a family would, from the first step of the row the cursor is on. */
async function onPlay() {
  const row = cursor.selectedRow
  const group = cursor.scope === 'all' ? session.workout.groups[0]!.id : cursor.scope[0]!
  const blocks = timed.lanes.find((l) => l.group.id === group)?.blocks ?? []
  if (!blocks.some(({ timed }) => timed.steps.some((s) => s.kind === 'work'))) {
    messages.say({ text: 'nothingToPlay' })
    return
  }
  await router.push({ name: 'try', params: { id: props.id }, query: { lane: group, from: playFrom(row, blocks) } })
}
</script>

<template>
  <main v-if="session.loadError" class="state">
    <h1>{{ t('compose.cannotOpen') }}</h1>
    <p>{{ t(`errors.${session.loadError}`) }}</p>
    <v-btn class="main" @click="session.open(id)">{{ t('tryAgain') }}</v-btn>
  </main>
  <main v-else-if="session.loading" class="state">
    <p class="quiet">{{ t('loading') }}</p>
  </main>
  <div v-else class="composer" :class="{ wide: tab === 'text' && !tool }">
    <main>
      <header>
        <h1>
          <button type="button" class="title" :title="t('compose.details')" @click="details = true">
            {{ session.workout.title }}
          </button>
        </h1>
        <SaveMark @keep-both="onKeepBoth" @compare="conflict = true" />
        <span class="grow" />
        <v-btn
          :icon="mdiUndo"
          :disabled="!session.canUndo"
          :aria-label="t('undo')"
          :title="`${t('undo')} (Ctrl Z)`"
          @click="session.undo()"
        />
        <v-btn
          :icon="mdiRedo"
          :disabled="!session.canRedo"
          :aria-label="t('redo')"
          :title="`${t('redo')} (Ctrl Shift Z)`"
          @click="session.redo()"
        />
        <v-btn v-if="tab !== 'text'" :title="`${t('compose.whiteboard')} (W)`" @click="showText">{{
          t('compose.whiteboard')
        }}</v-btn>
        <v-btn :icon="mdiHistory" :aria-label="t('history.title')" :title="t('history.title')" @click="past = true" />
        <v-btn :prepend-icon="mdiPlay" :title="`${t('compose.tryIt')} (P)`" @click="onPlay">{{
          t('compose.tryIt')
        }}</v-btn>
        <v-btn class="main" @click="onHandOut">{{ t('compose.handOut') }}</v-btn>
      </header>
      <p class="aim quiet">
        <span class="aim-text">{{ aim }}</span>
        <button type="button" class="link" @click="details = true">{{ t('compose.details') }}</button>
      </p>
      <p v-if="elsewhere" class="elsewhere" role="alert">{{ t('compose.otherTab') }}</p>
      <LanesPanel />
      <RunningOrder ref="order" class="order" @edit="showEditor" @pick="show('edit')" />
      <p class="quiet hint">
        {{ t('compose.hint') }} <button type="button" class="link" @click="keys = true">{{ t('keys.title') }}</button>
      </p>
    </main>
    <p class="out-of-sight" aria-live="polite">{{ messages.said }}</p>
    <aside :aria-label="t('compose.panel')" :class="{ open: panelOpen }">
      <div v-if="tool" class="panel">
        <OpenTool :tool="tool" />
      </div>
      <div v-if="!tool" class="tabs" role="tablist" :aria-label="t('compose.panel')">
        <button
          v-for="name in tabs"
          :id="`tab-${name}`"
          :key="name"
          type="button"
          role="tab"
          :aria-selected="tab === name"
          :aria-controls="`panel-${name}`"
          @click="show(name, true)"
        >
          {{ t(`compose.tab.${name}`) }}
        </button>
      </div>
      <div v-if="!tool" :id="`panel-${tab}`" class="panel" role="tabpanel" tabindex="0" :aria-labelledby="`tab-${tab}`">
        <MoveShelf v-if="tab === 'moves'" ref="shelf" />
        <RowEditor v-else-if="tab === 'edit'" ref="editor" @play="onPlay" />
        <TextPanel v-else-if="tab === 'text'" ref="whiteboard" />
        <KeptParts v-else-if="tab === 'shelf'" />
        <RunsPanel v-else :workout-id="id" />
      </div>
    </aside>
    <DetailsDialog v-if="details" v-model="details" />
    <ShortcutSheet v-model="keys" />
    <HistoryDialog v-if="past" v-model="past" />
    <ConflictDialog v-if="conflict" v-model="conflict" @keep-both="onKeepBoth" />
    <MessageBar />
  </div>
</template>

<style scoped>
.state {
  padding: 48px;
}
.composer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  min-height: 100vh;
}
.composer.wide {
  grid-template-columns: minmax(0, 1fr) 430px;
}
main {
  padding: 14px 18px;
}
header {
  display: flex;
  align-items: center;
  gap: 10px;
  flex-wrap: wrap;
}
h1 {
  font-size: 23px;
}
header :deep(.v-btn--icon) {
  width: 40px;
}
header :deep(.v-btn:not(.v-btn--icon)) {
  padding: 0 13px;
}
.title,
.link {
  border: 0;
  padding: 2px 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.link {
  color: var(--action);
  font-weight: 700;
  white-space: nowrap;
}
.grow {
  flex: 1;
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
aside {
  position: sticky;
  top: 0;
  height: 100vh;
  background: var(--card);
  border-left: 1px solid var(--line);
  padding: 14px 14px 0;
  display: flex;
  flex-direction: column;
}
.tabs {
  display: flex;
  gap: 13px;
  white-space: nowrap;
  border-bottom: 1px solid var(--line);
  margin-bottom: 12px;
}
.tabs button {
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  padding: 4px 0 8px;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
.tabs [aria-selected='true'] {
  color: var(--ink);
  font-weight: 700;
  border-color: var(--action);
}
.panel {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  margin: 0 -14px;
  padding: 4px 14px 0;
}
@media (max-width: 900px) {
  .composer,
  .composer.wide {
    grid-template-columns: minmax(0, 1fr);
  }
  main {
    padding: 10px 12px;
  }
  aside {
    top: auto;
    bottom: 0;
    z-index: 8;
    height: auto;
    border-left: 0;
    border-top: 1px solid var(--line);
    box-shadow: var(--shadow);
    padding-top: 8px;
  }
  .panel {
    display: none;
    max-height: 46vh;
  }
  .open .panel {
    display: flex;
  }
}
</style>
