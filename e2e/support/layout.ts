import type { Page } from '@playwright/test'

/**
 * What is wrong with a page's layout: a page wider than its window, text cut off without a way to read it, things that overlap, and things
 * to press that are smaller than 24 px (WCAG 2.2, 2.5.8), except links in a text.
 */
export const layoutFaults = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const boxOf = (e: Element) => e.getBoundingClientRect()
    /** The part of a box that lists which scroll do not hide. */
    const shownOf = (e: Element) => {
      let { left, right, top, bottom } = boxOf(e)
      for (let at = e.parentElement; at && at !== document.body; at = at.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(at)
        const frame = boxOf(at)
        if (overflowX !== 'visible') [left, right] = [Math.max(left, frame.left), Math.min(right, frame.right)]
        if (overflowY !== 'visible') [top, bottom] = [Math.max(top, frame.top), Math.min(bottom, frame.bottom)]
      }
      return { left, right, top, bottom }
    }
    const seen = (e: Element) => {
      const { width, height } = boxOf(e)
      const { visibility, opacity } = getComputedStyle(e)
      return (
        width > 1 && height > 1 && visibility !== 'hidden' && opacity !== '0' && !e.closest('svg, .out-of-sight, .skip')
      )
    }
    const named = (e: Element) => `${e.tagName.toLowerCase()} “${(e.textContent ?? '').trim().slice(0, 40)}”`
    const hides = (overflow: string) => overflow === 'hidden' || overflow === 'clip'
    const all = [...document.querySelectorAll('body *')].filter(seen)

    const wide =
      document.documentElement.scrollWidth > innerWidth + 1
        ? [`wider than the window: ${document.documentElement.scrollWidth}`]
        : []
    const cut = all.filter((e) => {
      const { overflowX, overflowY, textOverflow } = getComputedStyle(e)
      if (!e.textContent?.trim() || (textOverflow === 'ellipsis' && e.hasAttribute('title'))) return false
      return (
        (hides(overflowX) && e.scrollWidth > e.clientWidth + 2) ||
        (hides(overflowY) && e.scrollHeight > e.clientHeight + 3)
      )
    })
    // Only the innermost elements with text or something to press; a sticky head covers what is scrolled below it.
    const inner = all.filter((e) => {
      if (!e.closest('main, nav, aside') || e.closest('.v-field, .v-selection-control')) return false
      if (e.matches('a, button')) return true
      return [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim())
    })
    const lies = (e: Element): boolean =>
      ['sticky', 'fixed'].includes(getComputedStyle(e).position) || (!!e.parentElement && lies(e.parentElement))
    const still = inner.filter((e) => !lies(e)).map((e) => ({ e, box: shownOf(e) }))
    const over = still.flatMap(({ e: a, box: p }, i) =>
      still.slice(i + 1).flatMap(({ e: b, box: q }) => {
        const width = Math.min(p.right, q.right) - Math.max(p.left, q.left)
        const height = Math.min(p.bottom, q.bottom) - Math.max(p.top, q.top)
        if (width <= 3 || height <= 3 || a.contains(b) || b.contains(a)) return []
        return [`over each other: ${named(a)} and ${named(b)}`]
      }),
    )
    const small = all.filter((e) => {
      if (!e.matches('a[href], button, select, [role="button"]') || getComputedStyle(e).display === 'inline')
        return false
      const { width, height } = boxOf(e)
      return width < 24 || height < 23.5
    })
    return [
      ...wide,
      ...cut.map((e) => `cut off: ${named(e)}`),
      ...over.slice(0, 5),
      ...small.map((e) => `too small: ${named(e)} ${Math.round(boxOf(e).width)} × ${Math.round(boxOf(e).height)}`),
    ]
  })

/** Makes every word on the page so much longer, as another language would (0.4: by two fifths). */
export const lengthenWords = (page: Page, by: number): Promise<void> =>
  page.evaluate((more) => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const node = walker.currentNode
      if (node.parentElement?.closest('svg, script, style')) continue
      node.textContent = (node.textContent ?? '').replaceAll(
        /\p{L}{2,}/gu,
        (word) => word + 'o'.repeat(Math.ceil(word.length * more)),
      )
    }
  }, by)
