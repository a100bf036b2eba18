import { useElementVisibility, usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { stillAt, type Figure } from '@esfuerzo/core/figure'

/**
 * The current moment of a figure's cycle, as a share of it. Only visible figures move, and none if reduced motion is preferred.
 *
 * @param cycle seconds of one cycle; 0 stands still
 * @param element must be visible for it to move
 */
export function useFigure(
  figure: Readonly<Ref<Figure>>,
  cycle: Readonly<Ref<number>>,
  paused: Readonly<Ref<boolean>>,
  element: Readonly<Ref<SVGElement | null>>,
): { moment: Readonly<ShallowRef<number>>; moving: Readonly<Ref<boolean>> } {
  const seen = useElementVisibility(element)
  const motion = usePreferredReducedMotion()
  const moving = computed(() => cycle.value > 0 && !paused.value && seen.value && motion.value !== 'reduce')
  /** A figure that will move shows its start; one that never moves shows its standard pose. */
  const start = () => (cycle.value > 0 && motion.value !== 'reduce' ? 0 : stillAt(figure.value))
  const moment = shallowRef(start())
  let elapsed = 0

  const { pause, resume } = useRafFn(
    ({ delta }) => {
      elapsed += delta / 1000
      moment.value = elapsed / cycle.value
    },
    { immediate: false },
  )
  watch(moving, (on) => (on ? resume() : pause()), { immediate: true })
  watch(figure, () => {
    elapsed = 0
    moment.value = start()
  })
  watch(cycle, (seconds) => {
    if (seconds === 0) moment.value = start()
  })
  return { moment, moving }
}
