import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterAll, afterEach, vi } from 'vitest'

// Waits have no limit of their own, because a busy machine is not a failure. The test's timeout is the limit.
const waitFor = vi.waitFor.bind(vi)
vi.waitFor = (callback) => waitFor(callback, { timeout: 100_000, interval: 20 })

// A page left mounted keeps requesting frames, even in the next file's window.
disableAutoUnmount()
enableAutoUnmount(afterEach)

// Files share modules: an autosave still pending at the end of one must not affect the next.
const pending = ((globalThis as { pending?: Set<ReturnType<typeof setTimeout>> }).pending ??= watchTimers())
function watchTimers() {
  const timers = new Set<ReturnType<typeof setTimeout>>()
  const real = globalThis.setTimeout
  globalThis.setTimeout = ((...args: Parameters<typeof setTimeout>) => {
    const timer = real(...args)
    timers.add(timer)
    return timer
  }) as typeof setTimeout
  return timers
}
afterAll(() => {
  for (const timer of pending) clearTimeout(timer)
  pending.clear()
})

// Browser features that jsdom lacks: pages only need them to exist.
class Observer {
  observe() {}
  unobserve() {}
  disconnect() {}
}
vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }))
vi.stubGlobal('ResizeObserver', Observer)
vi.stubGlobal('IntersectionObserver', Observer)
vi.stubGlobal('visualViewport', new EventTarget())
Element.prototype.scrollIntoView = () => {}
// jsdom has no layout; lists that show only visible entries need a height.
Object.defineProperties(HTMLElement.prototype, {
  clientHeight: { configurable: true, get: () => 600 },
  clientWidth: { configurable: true, get: () => 300 },
})
HTMLElement.prototype.scrollTo = () => {}
