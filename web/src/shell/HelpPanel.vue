<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { onKeyStroke } from '@vueuse/core'
import { computed, h, onMounted, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import guide from '../../../docs/guide.md?raw'
import { useFocusBack } from '../shared/dialog/useFocusBack.ts'
import { readGuide } from './guide.ts'

/** The guide beside a view: its own tasks open, the others to be opened. */
const props = defineProps<{ view: string }>()
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const tasks = readGuide(guide)
const own = computed(() => tasks.filter((task) => task.views.includes(props.view)))
const others = computed(() => tasks.filter((task) => !own.value.includes(task)))
/** The steps are HTML of our own guide, never anybody's words. */
const TaskSteps = ({ html }: { html: string }) => h('div', { innerHTML: html })
const heading = useTemplateRef<HTMLElement>('heading')
useFocusBack(
  () => true,
  () => heading.value?.closest('aside'),
)
onMounted(() => heading.value?.focus())
// A dialog above it closes first.
onKeyStroke(
  'Escape',
  (event) => event.defaultPrevented || document.querySelector('.v-overlay--active') || emit('close'),
)
</script>

<template>
  <aside class="help" :aria-label="t('help.title')">
    <header>
      <h2 ref="heading" tabindex="-1">{{ t('help.title') }}</h2>
      <v-btn :icon="mdiClose" class="plain" :aria-label="t('close')" @click="emit('close')" />
    </header>
    <section v-for="task in own" :key="task.title">
      <h3>{{ task.title }}</h3>
      <TaskSteps :html="task.html" />
    </section>
    <h3 v-if="others.length" class="more">{{ t('help.more') }}</h3>
    <details v-for="task in others" :key="task.title">
      <summary>{{ task.title }}</summary>
      <TaskSteps :html="task.html" />
    </details>
  </aside>
</template>

<style scoped>
.help {
  position: sticky;
  top: 0;
  height: 100vh;
  overflow-y: auto;
  padding: 14px 18px 24px;
  background: var(--card);
  border-left: 1px solid var(--line);
  font-size: 14px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2:focus {
  outline: none;
}
h3 {
  margin: 14px 0 6px;
}
.more {
  margin-top: 22px;
  color: var(--quiet);
}
details {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
summary {
  cursor: pointer;
}
.help :deep(ol) {
  margin: 0 0 8px;
  padding-left: 20px;
  list-style: decimal;
}
.help :deep(li) {
  margin-bottom: 6px;
}
/* Where the page needs its width, help lies over its lower corner: the buttons on top stay free. */
@media (max-width: 1599px) {
  .help {
    position: fixed;
    inset: auto 16px 16px auto;
    z-index: 1100;
    width: 340px;
    height: auto;
    max-height: 64vh;
    border: 1px solid var(--line);
    border-radius: var(--corner);
    box-shadow: 0 6px 24px rgb(0 0 0 / 18%);
  }
}
@media (max-width: 640px) {
  .help {
    inset: auto 0 60px;
    width: auto;
    max-height: 60vh;
    border-radius: 0;
  }
}
@media print {
  .help {
    display: none;
  }
}
</style>
