import { setImmediate } from 'node:timers/promises'
import { fileTitle } from '@esfuerzo/core/cues'
import type { Knex } from 'knex'
import { movesFile } from '@esfuerzo/core'
import type { Teacher } from '@esfuerzo/contract'
import { allOriginals } from '../originals/store.ts'
import { allClasses, bookColumns, bookLines } from '../pupils/pupilFile.ts'
import { readSettings } from '../settings/store.ts'
import { listEvents } from '../events/store.ts'
import { listOwnMoves } from '../moves/store.ts'
import { listShelf } from '../shelf/store.ts'
import { csvPieces } from '../tables/csv.ts'
import { allPublications, allRuns, allStates, allTerms, allSessions, sessionTitles, type CameIn } from './store.ts'
import type { ZippedFile } from './zipFiles.ts'

const readme = `All your Esfuerzo data, as open files.

account.json          your account
settings.json         your school's settings
sessions/*.json       your sessions, including deleted ones; "Import files" on the Desk reads them
texts/*.txt           the texts you pasted to create sessions
history/*/*.json      earlier versions of each session
terms/*.json          your terms, including deleted ones
moves.json            your own exercises; "Import exercises" on the Exercises page reads them
shelf/*.json          your saved parts; copy their text and paste it into a running order
links.json            what you sent home, and when
events.json           the last hundred actions in your account
classes.json          your classes, their pupils by alias, and your notes; no file has the codes
results/book.csv      your pupils' results, by class and alias, one value per line
results/runs.json     all results, exactly as they arrived
results/runs.csv      the same results as a table, one value per line
`

const json = (data: unknown) => `${JSON.stringify(data, null, 1)}\n`

/** A file name: letters and digits of the title, then the start of the id, so that no two are equal. */
const fileName = (title: string, id: string) => `${fileTitle(title)}-${id.slice(0, 8)}`

/** A run as a row of a table. */
const columns = [
  ...['session', 'run', 'group', 'started', 'finished', 'zone', 'steps_done', 'steps_skipped', 'steps_easier'],
  ...['felt', 'felt_scale', 'pulses', 'again', 'space'],
  ...['block', 'station', 'lap', 'value', 'unit', 'rung', 'trial', 'clean', 'load_kg'],
]

/** A run's lines in a table: one for each result, or one without results. */
function linesOf({ title, run }: CameIn): object[] {
  const head = {
    session: title,
    run: run.id,
    group: run.group,
    started: run.startedAt,
    finished: run.finishedAt,
    zone: run.zone,
    steps_done: run.steps.done,
    steps_skipped: run.steps.skipped,
    steps_easier: run.steps.easier,
    felt: run.felt?.value,
    felt_scale: run.felt?.scale,
    pulses: (run.pulses ?? []).map((p) => `${p.when} ${p.beats} in ${p.seconds} s`).join('; '),
    again: run.survey?.again,
    space: run.survey?.space,
  }
  const results = run.results.length ? run.results : [undefined]
  return results.map((r) => ({ ...head, ...r, load_kg: r?.load?.kg }))
}

async function* runLines(db: Knex, teacherId: string): AsyncGenerator<object[]> {
  for await (const run of allRuns(db, teacherId)) yield linesOf(run)
}

/** A list as JSON, like {@link json} except for indentation, piece by piece. */
async function* jsonPieces(items: AsyncIterable<object>): AsyncGenerator<string> {
  let between = '[\n'
  for await (const item of items) {
    yield between + JSON.stringify(item, null, 1)
    between = ',\n'
    await setImmediate()
  }
  yield between === '[\n' ? '[]\n' : '\n]\n'
}

/** A file made of one piece. */
const file = (name: string, text: string): ZippedFile => ({ name, text: [text] })

/**
 * All of a teacher's data as files, each read when it is requested. It is not a consistent snapshot: what is created or deleted meanwhile
 * may be missing.
 */
export async function* exportFiles(db: Knex, teacher: Teacher): AsyncGenerator<ZippedFile> {
  const { id } = teacher
  yield file('README.txt', readme)
  yield file('account.json', json(teacher))
  yield file('settings.json', json(await readSettings(db, id)))
  yield file('moves.json', json(movesFile((await listOwnMoves(db, id)).moves)))
  const titles = await sessionTitles(db, id)
  const names = new Map(titles.map((w) => [w.id, fileName(w.title, w.id)]))
  for await (const w of allSessions(db, id, titles)) yield file(`sessions/${names.get(w.id)}.json`, json(w.document))
  // A session created meanwhile is not included.
  for await (const o of allOriginals(db, id))
    if (names.has(o.sessionId)) yield file(`texts/${names.get(o.sessionId)}.txt`, o.text)
  for (const w of titles)
    for await (const { id: state, name, savedAt, document } of allStates(db, id, w.id)) {
      const named = name ? `-${fileName(name, state)}` : ''
      yield file(
        `history/${names.get(w.id)}/${savedAt.toISOString().replaceAll(':', '-')}${named}.json`,
        json(document),
      )
    }
  for (const p of await listShelf(db, id)) yield file(`shelf/${fileName(p.name, p.id)}.json`, json(p.part))
  for await (const term of allTerms(db, id))
    yield file(`terms/${fileName(term.title, term.id)}.json`, json(term.document))
  yield file('links.json', json(await allPublications(db, id)))
  yield file('events.json', json(await listEvents(db, id)))
  yield file('classes.json', json(await allClasses(db, id)))
  yield { name: 'results/book.csv', text: csvPieces(bookColumns, bookLines(db, id)) }
  yield { name: 'results/runs.json', text: jsonPieces(allRuns(db, id)) }
  yield { name: 'results/runs.csv', text: csvPieces(columns, runLines(db, id)) }
}
