import { ProblemError } from '@esfuerzo/core'
import { Parser } from 'htmlparser2'
import type { PlanBlock } from '@esfuerzo/core/oldPlans'
import { BlockReader } from './blockReader.ts'
import { planBounds, refused } from './bounds.ts'
import { withoutEntities } from './xml.ts'

/** Elements of OpenDocument by HTML's names for them (OASIS OpenDocument 1.3, parts 3.5 and 3.9). */
const asHtml: Record<string, string> = {
  'text:p': 'p',
  'text:list': 'ul',
  'text:list-item': 'li',
  'text:section': 'section',
  'table:table': 'table',
  'table:table-row': 'tr',
  'table:table-cell': 'td',
  // Elements that are invisible on the page.
  'office:annotation': 'template',
  'text:note-citation': 'template',
  'text:tracked-changes': 'template',
  'office:forms': 'template',
}

/**
 * The pieces of an OpenDocument text, packed or flat.
 *
 * @param xml `content.xml`
 * @throws {ProblemError} `file-broken`, `file-too-big`
 */
export function blocksOfOdt(xml: Uint8Array, name: string): PlanBlock[] {
  const reader = new BlockReader()
  const quotes = new Set<string>()
  /** How many times the open cell is repeated across. */
  const repeats: number[] = []
  let body = false
  let style = ''
  const open: string[] = []
  const parser = new Parser(
    {
      // oxlint-disable-next-line complexity -- a line an element that means something
      onopentag(tag, a) {
        open.push(tag)
        if (tag === 'office:body') body = true
        if (tag === 'style:style') style = a['style:name'] ?? ''
        if (tag === 'style:style' && /quotation/i.test(a['style:parent-style-name'] ?? '')) quotes.add(style)
        if (!body) return
        if (tag === 'text:h') return reader.open(`h${Math.min(6, Number(a['text:outline-level']) || 1)}`, {})
        const styleName = a['text:style-name'] ?? ''
        if (tag === 'text:p' && /^title$/i.test(styleName)) return reader.open('h1', {})
        if (tag === 'text:p' && (/quot/i.test(styleName) || quotes.has(styleName))) reader.open('blockquote', {})
        if (tag === 'text:s') return reader.write(' '.repeat(Math.min(20, Number(a['text:c']) || 1)))
        if (tag === 'text:tab') return reader.write('\t')
        if (tag === 'text:line-break') return reader.open('br', {})
        if (tag === 'draw:image') return reader.open('img', { src: a['xlink:href'] ?? '' })
        if (tag === 'table:table-cell')
          repeats.push(Math.min(planBounds.columns, Number(a['table:number-columns-repeated']) || 1))
        const html = asHtml[tag]
        const [colspan = '1', rowspan = '1'] = [a['table:number-columns-spanned'], a['table:number-rows-spanned']]
        if (html) reader.open(html, { colspan, rowspan })
      },
      ontext(text) {
        const here = open.at(-1)
        if (body && here && /^text:(?:p|h|span|a|bookmark|soft-page-break|ruby-base)/.test(here))
          reader.write(text.replace(/\s+/g, ' '))
      },
      onclosetag(tag) {
        open.pop()
        if (!body) return
        if (tag === 'text:h') return reader.close('h1')
        const html = asHtml[tag]
        if (html) reader.close(html)
        if (tag === 'text:p') reader.closeParagraph()
        if (tag === 'table:table-cell')
          for (let n = repeats.pop() ?? 1; n > 1; n--) {
            reader.open('td', {})
            reader.close('td')
          }
      },
    },
    { xmlMode: true, decodeEntities: true },
  )
  try {
    parser.write(new TextDecoder().decode(withoutEntities(xml, name)))
    parser.end()
  } catch (cause) {
    throw cause instanceof ProblemError ? cause : refused('file-broken', name, { cause })
  }
  reader.end()
  return reader.blocks
}
