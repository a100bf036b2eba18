import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import type { AxeResults, RunOptions } from 'axe-core'

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** The axe object in a page into which it was injected. */
declare const axe: { run: (within: string | Document, options: RunOptions) => Promise<AxeResults> } | undefined

/**
 * What axe finds on a page that has finished animating: a half-faded element has half its contrast. Axe is injected only once per page,
 * because parsing it takes longer than most checks.
 *
 * @returns a line for each broken rule, with the elements that break it
 */
export async function axeFinds(page: Page, rules?: string[], within?: string): Promise<string[]> {
  if (await page.evaluate(() => typeof axe === 'undefined')) await page.evaluate(source)
  return page.evaluate(
    async ({ rules, within }) => {
      const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
      // A fade starts in the frame after the element was inserted.
      await frame().then(frame)
      const ending = document
        .getAnimations()
        .filter((a) => a.playState === 'running' && Number.isFinite(a.effect?.getComputedTiming().endTime))
      await Promise.allSettled(ending.map((a) => a.finished))
      const options = { resultTypes: ['violations' as const], ...(rules && { runOnly: rules }) }
      const { violations } = await axe!.run(within ?? document, options)
      return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`)
    },
    { rules, within },
  )
}
