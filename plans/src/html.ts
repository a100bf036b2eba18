import { Parser } from 'htmlparser2'
import type { PlanBlock } from '@esfuerzo/core/oldPlans'
import { BlockReader } from './blockReader.ts'

/**
 * The pieces of an HTML page.
 *
 * @example blocksOfHtml('<h2>Warm-up</h2><p>Jog 60 s') // [{ kind: 'heading', level: 2, text: 'Warm-up' }, { kind: 'line', text: 'Jog 60 s' }]
 */
export function blocksOfHtml(html: string): PlanBlock[] {
  const reader = new BlockReader()
  let pre = 0
  const parser = new Parser(
    {
      onopentag: (name, attributes) => {
        if (name === 'pre') pre++
        reader.open(name, attributes)
      },
      // A line break in the source is a blank, except in preformatted text.
      ontext: (text) => reader.write(pre ? text : text.replace(/\s+/g, ' ')),
      onclosetag: (name) => {
        if (name === 'pre') pre--
        reader.close(name)
      },
    },
    { decodeEntities: true },
  )
  parser.write(html)
  parser.end()
  reader.end()
  return reader.blocks
}
