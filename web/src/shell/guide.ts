import { marked } from 'marked'

/** A task of the guide. */
export interface GuideTask {
  title: string
  /** Names of the routes it is about. */
  views: string[]
  /** Its steps as HTML. It is trusted: the guide is a file of ours (docs/guide.md) and comes with the application. */
  html: string
}

/**
 * The tasks of the guide.
 *
 * @param text docs/guide.md: a `##` heading for each task, below it `<!-- views: desk, compose -->`
 * @example readGuide('## Draft\n<!-- views: draft -->\nPress **Go**.') // [{ title: 'Draft', views: ['draft'], html: '<p>Press <strong>Go</strong>.</p>\n' }]
 */
export function readGuide(text: string): GuideTask[] {
  return text
    .split(/^## /m)
    .slice(1)
    .map((section) => {
      const [title = '', ...lines] = section.split('\n')
      const body = lines.join('\n')
      const views = [...body.matchAll(/<!-- views: (.*?) -->/g)].flatMap(([, names = '']) => names.split(', '))
      return { title: title.trim(), views, html: marked.parse(body.replaceAll(/<!--.*?-->/g, ''), { async: false }) }
    })
}
