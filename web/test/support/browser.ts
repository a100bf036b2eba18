import { vi } from 'vitest'

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
