import { useCursor } from '../../src/compose/cursor/useCursor.ts'
import { useEdits } from '../../src/compose/edits/useEdits.ts'
import { useLanes } from '../../src/compose/lanes/useLanes.ts'
import { usePanel } from '../../src/compose/panel/usePanel.ts'
import { useSession } from '../../src/compose/session/useSession.ts'
import type { Selection } from '../../src/compose/cursor/useSelection.ts'
import type { Tool } from '../../src/compose/tools/tool.ts'
import { useMessages, type Message } from '../../src/compose/useMessages.ts'

/** A store without what Pinia adds to it. */
type Own<S> = { -readonly [K in Exclude<keyof S, `$${string}` | `_${string}`>]: S[K] }
type Stores = Own<ReturnType<typeof useSession>> &
  Own<ReturnType<typeof useCursor>> &
  Own<ReturnType<typeof useEdits>> &
  Own<ReturnType<typeof useLanes>> &
  Own<ReturnType<typeof usePanel>> &
  Own<ReturnType<typeof useMessages>>
/** All stores of the composer as one: what a test reads and calls, wherever it is defined. */
export type Composer = Stores

/** The composer of the active Pinia. */
export function useComposer(): Composer {
  const messages = useMessages()
  const cursor = useCursor()
  const panel = usePanel()
  const stores: object[] = [useSession(), cursor, useEdits(), useLanes(), panel, messages]
  const set: Record<string, (value: never) => void> = {
    selection: (value: Selection | undefined) => cursor.select(value),
    tool: (value: Tool | undefined) => (value ? panel.show(value) : panel.close()),
    message: (value: Message | undefined) => (value ? messages.say(value) : messages.clear()),
    editing: cursor.changeInPlace,
    adding: cursor.addBelow,
  }
  return new Proxy({} as Composer, {
    get: (_, key) => Reflect.get(stores.find((store) => key in store) ?? {}, key) as unknown,
    set: (_, key, value: never) => {
      set[String(key)]!(value)
      return true
    },
  })
}
