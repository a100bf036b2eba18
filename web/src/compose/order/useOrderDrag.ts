import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { draggable, dropTargetForElements, monitorForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { autoScrollWindowForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element'
import { attachClosestEdge, extractClosestEdge } from '@atlaskit/pragmatic-drag-and-drop-hitbox/closest-edge'
import { onBeforeUnmount, onMounted, shallowRef, watchEffect, type Ref, type ShallowRef } from 'vue'
import { dropEdit, type Dragged, type Edge } from '../edits/dropEdit.ts'
import type { Row } from './rows.ts'

const dragKey = 'esfuerzo-dragged'
const rowKey = 'esfuerzo-row'

/** What is dragged is read when the drag starts. */
type DraggedOf = () => Dragged

/** Makes an element draggable into the running order. */
export function useDraggable(element: Readonly<Ref<HTMLElement | null>>, dragged: DraggedOf): void {
  watchEffect((onCleanup) => {
    if (!element.value) return
    onCleanup(draggable({ element: element.value, getInitialData: () => ({ [dragKey]: dragged() }) }))
  })
}

/**
 * Makes a row a drop target, and reports at which edge something is held over it.
 *
 * @param row the current row
 */
export function useDropRow(element: Readonly<Ref<HTMLElement | null>>, row: () => Row): ShallowRef<Edge | undefined> {
  const edge = shallowRef<Edge>()
  watchEffect((onCleanup) => {
    if (!element.value) return
    const clear = () => (edge.value = undefined)
    onCleanup(
      dropTargetForElements({
        element: element.value,
        getData: ({ input, element: el }) =>
          attachClosestEdge({ [rowKey]: row() }, { input, element: el, allowedEdges: ['top', 'bottom'] }),
        onDrag: ({ self, source }) => {
          const at = extractClosestEdge(self.data) as Edge | null
          const dragged = source.data[dragKey] as Dragged | undefined
          edge.value = at && dragged && dropEdit(dragged, row(), at) ? at : undefined
        },
        onDragLeave: clear,
        onDrop: clear,
      }),
    )
  })
  return edge
}

/** Is notified of every drop in the running order. */
export function useDrops(onDrop: (dragged: Dragged, on: Row, edge: Edge) => void): Ref<Dragged | undefined> {
  const dragging = shallowRef<Dragged>()
  let stop = () => {}
  onMounted(() => {
    stop = combine(
      autoScrollWindowForElements(),
      monitorForElements({
        onDragStart: ({ source }) => (dragging.value = source.data[dragKey] as Dragged | undefined),
        onDrop: ({ source, location }) => {
          dragging.value = undefined
          const target = location.current.dropTargets[0]
          const dragged = source.data[dragKey] as Dragged | undefined
          const edge = target && (extractClosestEdge(target.data) as Edge | null)
          if (dragged && target && edge) onDrop(dragged, target.data[rowKey] as Row, edge)
        },
      }),
    )
  })
  onBeforeUnmount(() => stop())
  return dragging
}
