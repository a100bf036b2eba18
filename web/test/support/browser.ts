import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterAll, afterEach, vi } from 'vitest'

// What is waited for comes when it comes: a busy machine is no failure. The test's own time is the bound.
const waitFor = vi.waitFor.bind(vi)
vi.waitFor = (callback) => waitFor(callback, { timeout: 100_000, interval: 20 })

// A page that is left mounted goes on asking for frames, also of the next file's window.
disableAutoUnmount()
enableAutoUnmount(afterEach)

// Files share their modules: what one still waits for when it is over, an autosave, is none of the next one's.
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

// What a browser has and jsdom does not: pages only need it to be there.
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
// jsdom lays nothing out; lists that show only what is in sight need a height.
Object.defineProperties(HTMLElement.prototype, {
  clientHeight: { configurable: true, get: () => 600 },
  clientWidth: { configurable: true, get: () => 300 },
})
HTMLElement.prototype.scrollTo = () => {}
