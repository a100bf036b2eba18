import { computed, onBeforeUnmount, ref } from 'vue'
import { audioClock } from '../audioClock.ts'

/**
 * The clock of a test: it runs until it is stopped or a number of seconds is over.
 *
 * @param most seconds after which it stops automatically; undefined if only the child ends it
 * @param onEnd called with the seconds when it stops
 */
export function useTestClock({ most, onEnd }: { most: () => number | undefined; onEnd: (seconds: number) => void }) {
  const since = ref<number>()
  const passed = ref(0)
  let timer: ReturnType<typeof setInterval> | undefined
  function look() {
    const end = most()
    passed.value = audioClock.now() - since.value!
    if (end === undefined || passed.value < end) return
    passed.value = end
    stop()
  }
  function start() {
    clearInterval(timer)
    passed.value = 0
    since.value = audioClock.now()
    timer = setInterval(look, 100)
  }
  function stop() {
    clearInterval(timer)
    if (since.value === undefined) return
    since.value = undefined
    onEnd(passed.value)
  }
  onBeforeUnmount(() => clearInterval(timer))
  return { passed, running: computed(() => since.value !== undefined), start, stop }
}
