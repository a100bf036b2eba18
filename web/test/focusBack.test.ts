import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { VApp } from 'vuetify/components/VApp'
import { i18n } from '../src/words/i18n.ts'
import { vuetify } from '../src/shell/vuetify.ts'
import AppDialog from '../src/shared/dialog/AppDialog.vue'
import { focusInto, focusNearest, focusTrail } from '../src/shared/dialog/focusBack.ts'

const find = (selector: string) => document.querySelector<HTMLElement>(selector)!
const focusedId = () => document.activeElement?.id
beforeEach(() => {
  document.body.innerHTML = ''
})

describe('what gets the focus inside', () => {
  const first = (html: string) => {
    document.body.innerHTML = `<div id="all">${html}</div>`
    return focusInto(find('#all')) ? focusedId() : 'nothing'
  }
  it('is the first field, without what nobody types into', () => {
    expect(
      first(
        '<button id="a"></button><input id="b" disabled><textarea id="c" aria-hidden="true"></textarea><select id="d"></select>',
      ),
    ).toBe('d')
  })

  it('is the main action if there is no field, or the first that can be pressed', () => {
    const actions = (off: string) =>
      `<a href="#x" id="link">x</a><div class="v-card-actions"><button id="away"></button><button id="do" class="main" ${off}></button></div>`
    expect(first(actions(''))).toBe('do')
    expect(first(actions('disabled'))).toBe('away')
    expect(first('<p>Nothing</p>')).toBe('nothing')
  })
})

describe('the focus goes back', () => {
  it('to what opened it, or the nearest that still exists', () => {
    document.body.innerHTML =
      '<main><button id="far"></button><ul id="list"><li id="one"><button id="x"></button></li><li><button id="y"></button></li></ul></main>'
    const trail = focusTrail(find('#x'))
    expect(focusNearest(trail)).toBe(true)
    expect(focusedId()).toBe('x')
    find('#one').remove()
    focusNearest(trail)
    expect(focusedId()).toBe('y')
    find('#list').remove()
    focusNearest(trail)
    expect(focusedId()).toBe('far')
  })

  it('to the button of the menu that what opened it was in', () => {
    document.body.innerHTML =
      '<button id="menu" aria-owns="items"></button><div id="items"><button id="item"></button></div>'
    const trail = focusTrail(find('#item'))
    find('#items').remove()
    focusNearest(trail)
    expect(focusedId()).toBe('menu')
  })
})

describe('a dialog', () => {
  function opened(content: string) {
    const open = ref(false)
    const host = defineComponent({
      render: () =>
        h(VApp, () => [
          h('button', { id: 'opener', onClick: () => (open.value = true) }),
          h('button', { id: 'other' }),
          h(
            AppDialog,
            { modelValue: open.value, title: 'Goals', 'onUpdate:modelValue': (now: boolean) => (open.value = now) },
            { default: () => h('div', { innerHTML: content }), actions: () => h('button', { id: 'done' }, 'Done') },
          ),
        ]),
    })
    mount(host, { global: { plugins: [i18n, vuetify] }, attachTo: document.body })
    const press = async () => {
      find('#opener').focus()
      find('#opener').click()
      await flushPromises()
    }
    return { open, press }
  }

  it('is named, focuses its first field, closes by Esc and gives the focus back', async () => {
    const { open, press } = opened('<input id="field">')
    await press()
    expect(find('[role=dialog]').getAttribute('aria-label')).toBe('Goals')
    expect(focusedId()).toBe('field')
    find('#field').dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
    await flushPromises()
    expect(open.value).toBe(false)
    expect(focusedId()).toBe('opener')
  })

  it('focuses its action if it has no field, and leaves the focus to whoever moved it on', async () => {
    const { open, press } = opened('<p>Read this</p>')
    await press()
    expect(focusedId()).toBe('done')
    open.value = false
    find('#other').focus()
    await flushPromises()
    expect(focusedId()).toBe('other')
  })
})
