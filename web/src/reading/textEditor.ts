import { autocompletion, completionKeymap, type Completion, type CompletionContext } from '@codemirror/autocomplete'
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands'
import { search, searchKeymap } from '@codemirror/search'
import { Annotation, EditorState, StateEffect, StateField, Transaction, type Extension } from '@codemirror/state'
import { Decoration, EditorView, keymap, type DecorationSet } from '@codemirror/view'
import { h, render } from 'vue'
import { searchMoves } from '@esfuerzo/core/choose'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'

/** A piece of the text with an open question: line and column from 1. */
export interface Mark {
  line: number
  column: number
  length: number
}

const setMarks = StateEffect.define<readonly Mark[]>()
const asks = Decoration.mark({ class: 'cm-asks' })
/** A piece with a question is underlined, and moves with text typed before it. */
const marks = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(before, transaction) {
    let now = before.map(transaction.changes)
    for (const effect of transaction.effects) if (effect.is(setMarks)) now = decorated(transaction.state, effect.value)
    return now
  },
  provide: (field) => EditorView.decorations.from(field),
})

function decorated({ doc }: EditorState, list: readonly Mark[]): DecorationSet {
  const ranges = list.flatMap(({ line, column, length }) => {
    if (line > doc.lines) return []
    const { from, to } = doc.line(line)
    const start = Math.min(to, from + column - 1)
    const end = Math.min(to, start + length)
    return end > start ? [asks.range(start, end)] : []
  })
  return Decoration.set(ranges, true)
}
/** Underlines what asks. */
export const markAsks = (view: EditorView, list: readonly Mark[]): void =>
  view.dispatch({ effects: setMarks.of(list), annotations: Transaction.addToHistory.of(false) })

/** Where a name may start: the last words of a line before the caret. */
const words = /\p{L}[\p{L}\p{M}' -]*$/u
/** So few letters could be anything. */
const fewest = 3

function suggest(context: CompletionContext) {
  const found = context.matchBefore(words)
  if (!found || found.text.trim().length < (context.explicit ? 1 : fewest)) return null
  const options = searchMoves(library.moves.values(), found.text)
    .slice(0, 6)
    .map(({ id, name }): Completion => ({ label: name, type: id }))
  return options.length ? { from: found.from, options, filter: false } : null
}

/** The figure of a suggested exercise, as a still picture. */
function figureOf({ type }: Completion): Node | null {
  const move = library.moves.get(type ?? '')
  const figure = move && library.figures.get(move.figure)
  if (!figure) return null
  const span = document.createElement('span')
  render(h(MoveFigure, { figure, size: 28 }), span)
  return span
}

/** A change from outside is not typing: the text's own undo does not revert it, and it is not reported. */
const fromElsewhere = Annotation.define<boolean>()

/** What the editor tells. */
export interface EditorListener {
  typed: (text: string) => void
  /** The caret's line, from 1, and whether somebody is typing. */
  caret: (line: number, focused: boolean) => void
  /** Lines stand elsewhere now. */
  measured: () => void
}

/**
 * An editor for texts as teachers write them: own undo, search, exercises suggested while typing. `Enter` makes a new line unless a
 * suggestion is selected, `Tab` leaves.
 *
 * @param phrases translations of its own words
 */
export function textEditor(
  parent: HTMLElement,
  text: string,
  label: string,
  phrases: Record<string, string>,
  listener: EditorListener,
): EditorView {
  const extensions: Extension[] = [
    history(),
    marks,
    EditorView.lineWrapping,
    search({ top: true }),
    EditorState.phrases.of(phrases),
    autocompletion({
      override: [suggest],
      selectOnOpen: false,
      icons: false,
      addToOptions: [{ render: figureOf, position: 20 }],
    }),
    keymap.of([...completionKeymap, ...searchKeymap, ...historyKeymap, ...defaultKeymap]),
    EditorView.contentAttributes.of({ 'aria-label': label, spellcheck: 'false', autocapitalize: 'off' }),
    EditorView.updateListener.of((update) => {
      if (update.docChanged && !update.transactions.some((t) => t.annotation(fromElsewhere)))
        listener.typed(update.state.doc.toString())
      if (update.selectionSet || update.focusChanged || update.docChanged)
        listener.caret(update.state.doc.lineAt(update.state.selection.main.head).number, update.view.hasFocus)
      if (update.geometryChanged || update.docChanged) listener.measured()
    }),
  ]
  const view = new EditorView({ parent, state: EditorState.create({ doc: text, extensions }) })
  // Escape first closes its suggestions and search.
  view.dom.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && event.defaultPrevented) event.stopPropagation()
  })
  return view
}

/** Replaces the editor's text; equal parts stay, and with them the caret. */
export function replaceText(view: EditorView, text: string): void {
  const before = view.state.doc.toString()
  if (text === before) return
  let from = 0
  while (from < text.length && from < before.length && text[from] === before[from]) from++
  let end = 0
  while (
    end < text.length - from &&
    end < before.length - from &&
    text[text.length - 1 - end] === before[before.length - 1 - end]
  )
    end++
  view.dispatch({
    changes: { from, to: before.length - end, insert: text.slice(from, text.length - end) },
    annotations: [Transaction.addToHistory.of(false), fromElsewhere.of(true)],
  })
}

/** Where each line starts and ends, in CSS pixels from the top of the editor. */
export function lineTops(view: EditorView): { top: number; height: number }[] {
  const above = view.documentTop - view.dom.getBoundingClientRect().top
  return Array.from({ length: view.state.doc.lines }, (_, i) => {
    const { top, height } = view.lineBlockAt(view.state.doc.line(i + 1).from)
    return { top: top + above, height }
  })
}
