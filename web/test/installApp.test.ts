import { flushPromises } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { installApp } from '../src/family/installApp.ts'

/** A service worker as a browser has it. */
class Worker extends EventTarget {
  state = 'installing'
  postMessage = vi.fn()
  installed() {
    this.state = 'installed'
    this.dispatchEvent(new Event('statechange'))
  }
}
class Registration extends EventTarget {
  waiting: Worker | null = null
  installing: Worker | null = null
}

async function installed(controller: object | null = {}) {
  const page = { template: '<div />' }
  const names = ['front', 'run'].map((name) => ({ path: `/${name}`, name, component: page }))
  const router = createRouter({ history: createMemoryHistory(), routes: names })
  const registration = new Registration()
  const register = vi.fn(async () => registration)
  const container = { controller, register } as unknown as ServiceWorkerContainer
  installApp(router, container, true)
  await flushPromises()
  const update = () => {
    const next = new Worker()
    registration.installing = next
    registration.dispatchEvent(new Event('updatefound'))
    next.installed()
    return next
  }
  return { router, update, register }
}

describe('a newer version of the family’s pages', () => {
  it('waits while a session runs, and takes over on the page after it', async () => {
    const { router, update } = await installed()
    await router.push('/run')
    const next = update()
    expect(next.postMessage).not.toHaveBeenCalled()
    await router.push('/front')
    expect(next.postMessage).toHaveBeenCalledWith({ type: 'SKIP_WAITING' })
  })

  it('takes over at once if none runs', async () => {
    const { router, update } = await installed()
    await router.push('/front')
    expect(update().postMessage).toHaveBeenCalledTimes(1)
  })

  it('is not newer on the first visit', async () => {
    const { router, update, register } = await installed(null)
    await router.push('/front')
    expect(update().postMessage).not.toHaveBeenCalled()
    expect(register).toHaveBeenCalledWith('/go/sw.js', { scope: '/go/' })
  })

  it('is not checked for in a preview', () => {
    const router = createRouter({ history: createMemoryHistory(), routes: [] })
    const register = vi.fn()
    installApp(router, { register } as unknown as ServiceWorkerContainer, false)
    expect(register).not.toHaveBeenCalled()
  })
})
