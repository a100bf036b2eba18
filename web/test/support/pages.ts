import { allDocumentKinds, readCarried, writtenCarried } from '@esfuerzo/core'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { vi } from 'vitest'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { VApp } from 'vuetify/components/VApp'
import { i18n } from '../../src/words/i18n.ts'
import { vuetify } from '../../src/shell/vuetify.ts'

/** The server's answer to a method and path, given the request's body. A number is an error's status and code. */
export type Answers = Record<string, (body: unknown) => unknown>

export class Refusal {
  readonly status: number
  readonly body: { code: string; problems?: unknown[] }
  constructor(status: number, body: Refusal['body']) {
    this.status = status
    this.body = body
  }
}

/** A server instead of the network. A request without an answer fails as if offline. @returns every call, in order */
export function serve(answers: Answers): { key: string; body: unknown }[] {
  const calls: { key: string; body: unknown }[] = []
  vi.stubGlobal('fetch', async (url: string, init: { method?: string; body?: string } = {}) => {
    const key = `${init.method ?? 'GET'} ${url.split('?')[0]}`
    const body: unknown = init.body === undefined ? undefined : JSON.parse(init.body)
    // Like the server: documents are read on their way in and written on their way out.
    const read = readCarried(allDocumentKinds, body)
    calls.push({ key, body: read })
    const answer = answers[key]?.(read)
    if (answer === undefined) throw new TypeError('network')
    return answer instanceof Refusal
      ? new Response(JSON.stringify(answer.body), { status: answer.status })
      : new Response(JSON.stringify(writtenCarried(allDocumentKinds, answer)), { status: 200 })
  })
  return calls
}

const page = { template: '<div />' }
/** Every teacher view that has a link. */
const routes = [
  ['/', 'desk'],
  ['/sign-in', 'sign-in'],
  ['/sign-up', 'sign-up'],
  ['/forgotten', 'forgotten'],
  ['/sessions/:id', 'compose'],
  ['/sessions/:id/handout', 'handout'],
  ['/moves', 'moves'],
  ['/moves/new', 'new-move'],
  ['/moves/:move', 'move'],
  ['/classes', 'classes'],
  ['/tests', 'tests'],
  ['/tests/:test', 'test'],
  ['/classes/:classId', 'class'],
  ['/account', 'account'],
  ['/draft', 'draft'],
  ['/terms', 'terms'],
  ['/term/:id', 'term'],
  ['/bin', 'bin'],
  ['/settings', 'settings'],
] as const

export interface Opened {
  view: VueWrapper
  router: Router
  /** Presses the button with that name, anywhere in the document: dialogs are outside their view. */
  press: (name: string | RegExp) => Promise<void>
  /** All words in the document. */
  words: () => string
}

/** A component as the teacher's pages render it. */
export async function open(component: Component, props: Record<string, unknown> = {}): Promise<Opened> {
  document.body.innerHTML = ''
  const router = createRouter({
    history: createMemoryHistory(),
    routes: routes.map(([path, name]) => ({ path, name, component: page })),
  })
  await router.push('/')
  const host = defineComponent({ render: () => h(VApp, () => h(component, props)) })
  const view = mount(host, { global: { plugins: [i18n, vuetify, router] }, attachTo: document.body })
  await flushPromises()
  const isNamed = (button: Element, name: string | RegExp) => {
    const said = button.getAttribute('aria-label') ?? button.textContent!.trim()
    return typeof name === 'string' ? said === name : name.test(said)
  }
  return {
    view,
    router,
    press: async (name) => {
      const buttons = [...document.querySelectorAll<HTMLElement>('button, a.v-btn')]
      const button = buttons.find((b) => isNamed(b, name))
      if (!button) throw new Error(`no button ${name} among ${buttons.map((b) => b.textContent!.trim()).join(' | ')}`)
      button.click()
      await flushPromises()
    },
    words: () => document.body.textContent!.replace(/\s+/g, ' '),
  }
}
