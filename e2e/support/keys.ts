import { expect, type Locator, type Page } from '@playwright/test'

/** A keyboard and nothing else. */
export function keysOf(page: Page) {
  const { keyboard } = page
  const press = async (...keys: string[]) => {
    for (const key of keys) await keyboard.press(key)
  }
  /** Presses a key until an element has the focus; it must be reachable. */
  const until = async (locator: Locator, key = 'Tab', most = 80) => {
    for (let i = 0; i < most; i++) {
      if (await locator.first().evaluate((e) => e === document.activeElement || e.contains(document.activeElement)))
        return
      await keyboard.press(key)
    }
    await expect(locator, `reached by ${key}`).toBeFocused()
  }
  return { type: (text: string) => keyboard.type(text), press, until }
}
