import { publicationSchema } from '@esfuerzo/core/publication'
import { endpoints, type EndpointName } from '@esfuerzo/contract'
import { z } from 'zod'

/** Opens everything a teacher and her families have. */
export interface Opened {
  /** How many requests were answered as the contract says. */
  well: number
  /** What could not be opened, in words. */
  wrong: string[]
}

/**
 * Opens everything of a teacher's through the pages' routes, and checks each answer against the contract: sessions with their revisions,
 * publications with snapshots, links and print, results, own exercises, saved parts, classes with pupils and books, terms, the log, the
 * export.
 */
export async function openAll(url: string, cookie: string): Promise<Opened> {
  const opened: Opened = { well: 0, wrong: [] }
  /** @returns the response's body if it matches the contract */
  async function get<N extends EndpointName>(
    name: N,
    path: Record<string, string> = {},
    query = '',
  ): Promise<z.infer<(typeof endpoints)[N]['answer']> | undefined> {
    const { path: pattern, answer } = endpoints[name]
    const address = pattern.replaceAll(/:(\w+)/g, (_, key: string) => path[key]!) + query
    const response = await fetch(url + address, {
      headers: { cookie, origin: url },
      signal: AbortSignal.timeout(30_000),
    })
    const body: unknown = response.headers.get('content-type')?.includes('json')
      ? await response.json()
      : await response.arrayBuffer()
    const read = answer.safeParse(body)
    if (response.ok && read.success) {
      opened.well++
      return read.data as never
    }
    const why = response.ok ? z.prettifyError(read.error!) : JSON.stringify(body)
    opened.wrong.push(`${address} was answered ${response.status}: ${why.slice(0, 300)}`)
    return undefined
  }

  for (const name of [
    'me',
    'readSettings',
    'listOwnMoves',
    'usedMoves',
    'listShelf',
    'listBin',
    'listEvents',
    'exportAll',
  ] as const)
    await get(name)
  for (const { id } of (await get('listSessions'))?.workouts ?? []) {
    await get('readSession', { id })
    await get('lastSent', { id })
    await get('readCameBack', { id })
    await get('sheet', { id, kind: 'session' }, '?language=en&paper=a4')
    for (const { id: version } of (await get('listRevisions', { id }))?.versions ?? [])
      await get('readRevision', { id, version })
    for (const { token, sha256, endsAt, endedAt } of (await get('listPublications', { id }))?.publications ?? []) {
      const snapshot = await get('snapshot', { sha256 })
      const read = publicationSchema.safeParse(snapshot)
      if (!read.success) opened.wrong.push(`snapshot ${sha256}: ${z.prettifyError(read.error).slice(0, 300)}`)
      if (!endedAt && Date.parse(endsAt) > Date.now()) {
        await get('resolveLink', { token })
        await get('familySheet', { token, kind: 'session' }, '?language=es&paper=a4')
      }
    }
  }
  for (let before = ''; ;) {
    const page = await get('listRuns', {}, before && `?before=${encodeURIComponent(before)}`)
    if (!page?.next) break
    before = page.next
  }
  for (const { id } of (await get('listClasses'))?.classes ?? []) {
    await get('readClass', { id })
    await get('readPace', { id })
    const sent = await get('listSentSessions', { id })
    await get('readTests', { id })
    for (const { id: publication } of sent?.sessions ?? []) await get('readBook', { id, publication })
  }
  for (const { id } of (await get('listTerms'))?.terms ?? []) {
    await get('readTerm', { id })
    await get('readDone', { id })
  }
  return opened
}
