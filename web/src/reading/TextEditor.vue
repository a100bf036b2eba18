<script setup lang="ts">
import { EditorView } from '@codemirror/view'
import { onBeforeUnmount, onMounted, shallowRef, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { lineTops, markAsks, replaceText, textEditor, type Mark } from './textEditor.ts'

/** A text while it is typed, with the result of each line next to it. */
const text = defineModel<string>({ required: true })
const props = defineProps<{
  label: string
  /** What asks. */
  marks: readonly Mark[]
}>()
const emit = defineEmits<{ caret: [line: number, focused: boolean] }>()
const { t } = useI18n()
const host = useTemplateRef<HTMLElement>('host')
const view = shallowRef<EditorView>()
/** The positions of the lines. */
const tops = shallowRef<{ top: number; height: number }[]>([])

/** The editor's own words. */
const phrases = () =>
  Object.fromEntries(
    (
      [
        'Find',
        'Replace',
        'next',
        'previous',
        'all',
        'match case',
        'regexp',
        'by word',
        'replace',
        'replace all',
        'close',
      ] as const
    ).map((phrase) => [phrase, t(`editor.${phrase.replaceAll(' ', '')}`)]),
  )
onMounted(() => {
  view.value = textEditor(host.value!, text.value, props.label, phrases(), {
    typed: (now) => (text.value = now),
    caret: (line, focused) => emit('caret', line, focused),
    measured: () => view.value?.requestMeasure({ key: 'lines', read: lineTops, write: (now) => (tops.value = now) }),
  })
  view.value.requestMeasure({ key: 'lines', read: lineTops, write: (now) => (tops.value = now) })
})
onBeforeUnmount(() => view.value?.destroy())
watch(text, (now) => view.value && replaceText(view.value, now))
watch(
  () => [view.value, props.marks] as const,
  ([editor, marks]) => editor && markAsks(editor, marks),
)

defineExpose({
  focus: () => view.value?.focus(),
  /** Keeps the caret in view while somebody types. */
  showCaret() {
    const editor = view.value
    if (editor?.hasFocus) editor.dispatch({ effects: EditorView.scrollIntoView(editor.state.selection.main.head) })
  },
  /** Goes to the question. */
  select({ line, column, length }: Mark) {
    const editor = view.value
    if (!editor || line > editor.state.doc.lines) return
    const { from, to } = editor.state.doc.line(line)
    const anchor = Math.min(to, from + column - 1)
    editor.dispatch({ selection: { anchor, head: Math.min(to, anchor + length) }, scrollIntoView: true })
    editor.focus()
  },
})
</script>

<template>
  <div class="text-editor">
    <div ref="host" class="host" />
    <div class="became"><slot :tops="tops" /></div>
  </div>
</template>

<style scoped>
.text-editor {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1fr) var(--became, 168px);
  min-height: 100%;
  background: var(--floor);
}
.became {
  position: relative;
  border-left: 1px solid var(--hair);
  background: var(--card);
}
.host :deep(.cm-editor) {
  min-height: 100%;
  background: none;
  color: var(--ink);
}
.host :deep(.cm-editor.cm-focused) {
  outline: none;
}
.host :deep(.cm-scroller) {
  font: 15px/1.5 var(--text);
  overflow: visible;
}
.host :deep(.cm-content) {
  padding: 10px 0;
  caret-color: var(--ink);
}
.host :deep(.cm-line) {
  padding: 2px 10px 2px 12px;
}
.host :deep(.cm-asks) {
  background: var(--care-soft);
  border-bottom: 2px solid var(--care);
}
.host :deep(.cm-panels) {
  background: var(--card);
  color: var(--ink);
  border-color: var(--line);
}
.host :deep(.cm-panels :is(input, button)) {
  font: 14px var(--text);
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--floor);
  color: inherit;
}
.host :deep(.cm-tooltip) {
  z-index: 9;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
}
.host :deep(.cm-tooltip-autocomplete > ul) {
  font: 15px/1.2 var(--text);
  max-height: 260px;
}
.host :deep(.cm-tooltip-autocomplete > ul > li) {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  padding: 2px 12px 2px 8px;
}
.host :deep(.cm-tooltip-autocomplete > ul > li[aria-selected]) {
  background: var(--action-soft);
  color: var(--ink);
}
.host :deep(.cm-completionMatchedText) {
  text-decoration: none;
  font-weight: 700;
}
</style>
