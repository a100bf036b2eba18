import { useEventListener } from '@vueuse/core'
import { isTyping } from '../../shared/isTyping.ts'
import { rowEdits, stepDose, stepVersion } from '../edits/rowEdits.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useCursor } from './useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'

export interface ShortcutActions {
  find: () => void
  help: () => void
  /** From the panel back to the running order. */
  leave: () => void
  /** Runs the session from the cursor's row. */
  play: () => void
  /** The session as a whiteboard text. */
  text: () => void
  /** Ways to the minutes. */
  fit: () => void
  /** A better order for the cursor's block. */
  arrange: () => void
}

/** The composer's keys that work anywhere; those of the current row and cell are in {@link onRowKey}. */
export function useShortcuts(actions: ShortcutActions): void {
  const session = useSession()
  const messages = useMessages()
  const edits = useEdits()
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    const command = event.ctrlKey || event.metaKey
    if (command && event.key.toLowerCase() === 'z' && !isTyping(event.target)) {
      event.preventDefault()
      if (event.shiftKey) session.redo()
      else session.undo()
      return
    }
    if (event.key === 'Escape' && event.target instanceof Element && event.target.closest('aside'))
      return act(event, actions.leave)
    if (isTyping(event.target) || command || event.altKey) return
    const keys: Record<string, (() => void) | undefined> = {
      '/': actions.find,
      '?': actions.help,
      p: actions.play,
      P: actions.play,
      w: actions.text,
      W: actions.text,
      m: actions.fit,
      M: actions.fit,
      a: actions.arrange,
      A: actions.arrange,
    }
    const action = keys[event.key]
    if (action) act(event, action)
  })

  // Copy, cut and paste through the system clipboard, so that they work between sessions and tabs.
  const ofOrder = (event: ClipboardEvent) => !isTyping(event.target) && !getSelection()?.toString()
  function copy(event: ClipboardEvent): boolean {
    const text = ofOrder(event) ? edits.copied() : undefined
    if (!text || !event.clipboardData) return false
    event.clipboardData.setData('text/plain', text)
    event.preventDefault()
    return true
  }
  useEventListener(document, 'copy', (event: ClipboardEvent) => {
    if (copy(event)) messages.say({ text: 'copiedPart' })
  })
  useEventListener(document, 'cut', (event: ClipboardEvent) => {
    if (copy(event)) edits.removeRows()
  })
  useEventListener(document, 'paste', (event: ClipboardEvent) => {
    if (!ofOrder(event)) return
    if (edits.paste(event.clipboardData?.getData('text/plain') ?? '')) event.preventDefault()
    else messages.say({ text: 'noPart' })
  })

  function act(event: KeyboardEvent, action: () => void): void {
    event.preventDefault()
    action()
  }
}

/** A key on the running order's cursor. Returns whether it was handled. */
export function onRowKey(event: KeyboardEvent, toPanel: () => void): boolean {
  const cursor = useCursor()
  const edits = useEdits()
  const { selection, selectedRow: row } = cursor
  if (!selection || !row || event.ctrlKey || event.metaKey) return false
  const taken = rowEdits(cursor.selectedRows)
  const edit = (typed?: string) => {
    if (row.kind !== 'empty') cursor.changeInPlace({ ...selection, ...(typed && { typed }) })
  }
  const keys: Record<string, (() => void) | undefined> = {
    'Alt+ArrowUp': () => edits.moveRows(-1),
    'Alt+ArrowDown': () => edits.moveRows(1),
    'Alt+ArrowLeft': () => edits.editCells((c) => stepVersion(c, -1), 'version'),
    'Alt+ArrowRight': () => edits.editCells((c) => stepVersion(c, 1), 'version'),
    'Shift+ArrowUp': () => cursor.extendRows(-1),
    'Shift+ArrowDown': () => cursor.extendRows(1),
    'Shift+ArrowLeft': () => cursor.extendCells(-1),
    'Shift+ArrowRight': () => cursor.extendCells(1),
    '+': () => edits.editCells((c) => stepDose(c, 1), 'dose'),
    '=': () => edits.editCells((c) => stepDose(c, 1), 'dose'),
    '-': () => edits.editCells((c) => stepDose(c, -1), 'dose'),
    g: () => cursor.nextOnly(),
    d: () => taken && edits.edit(taken.duplicate),
    f: () => cursor.toggleFold(row.section.id),
    s: () => edits.swap(),
    e: toPanel,
    Delete: () => edits.removeRows(),
    Backspace: () => edits.removeRows(),
    Enter: () => cursor.addBelow(row.id),
    F2: () => edit(),
  }
  const arrow = event.key.startsWith('Arrow')
  const name = `${event.altKey ? 'Alt+' : ''}${event.shiftKey && arrow ? 'Shift+' : ''}${
    event.key.length === 1 ? event.key.toLowerCase() : event.key
  }`
  // A digit starts typing a new amount, or new laps and rests, over the old one.
  const digit = /^\d$/.test(event.key) && !event.altKey && selection.cell >= 0
  const action = keys[name] ?? (digit ? () => edit(event.key) : undefined)
  if (!action) return false
  event.preventDefault()
  action()
  return true
}
