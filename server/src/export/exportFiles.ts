import { fileTitle } from '@esfuerzo/core/cues'
import type { Knex } from 'knex'
import Papa from 'papaparse'
import { movesFile } from '@esfuerzo/core'
import { type Run } from '@esfuerzo/core/run'
import { allOriginals } from '../originals/store.ts'
import { allClasses, bookCsv } from '../pupils/pupilFile.ts'
import { readTeacher } from '../accounts/store.ts'
import { readSettings } from '../settings/store.ts'
import { listEvents } from '../events/store.ts'
import { listOwnMoves } from '../moves/store.ts'
import { listShelf } from '../shelf/store.ts'
import { allPublications, allRuns, allTerms, allVersions, allWorkouts } from './store.ts'

const readme = `Everything you have with Esfuerzo, as open files.

account.json          who you are
settings.json         your school
sessions/*.json       your sessions, those in the bin too; "Open a file" on the Desk reads them
texts/*.txt           the texts sessions were begun from, as they came
history/*/*.json      the states each session was in
terms/*.json          your terms, those in the bin too
moves.json            your own moves; "Open a file" on the Moves page reads them
shelf/*.json          pieces you kept; copy their text and paste it into a running order
links.json            what was sent home, and when
events.json           what was done with your account, the last hundred
classes.json          your classes, their pupils by alias, your notes; codes are in no file
results/book.csv      what your pupils did, by class and alias, one value a line
results/runs.json     what came back, as it came
results/runs.csv      the same as a table, one result a line
`

const json = (data: unknown) => `${JSON.stringify(data, null, 1)}\n`

/** A name for a file: letters and digits of the title, then the id's beginning, so that none stands twice. */
const fileName = (title: string, id: string) => `${fileTitle(title)}-${id.slice(0, 8)}`

/** Runs as a table: a line a result, or one line where a run has none. */
function runsTable(runs: readonly { title: string; run: Run }[]): string {
  const rows = runs.flatMap(({ title, run }) => {
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
      felt: run.felt?.value ?? '',
      felt_scale: run.felt?.scale ?? '',
      pulses: (run.pulses ?? []).map((p) => `${p.when} ${p.beats} in ${p.seconds} s`).join('; '),
      again: run.survey?.again ?? '',
      space: run.survey?.space ?? '',
    }
    const results = run.results.length ? run.results : [undefined]
    return results.map((r) => ({
      ...head,
      block: r?.block ?? '',
      station: r?.station ?? '',
      lap: r?.lap ?? '',
      value: r?.value ?? '',
      unit: r?.unit ?? '',
      rung: r?.rung ?? '',
      trial: r?.trial ?? '',
      clean: r?.clean ?? '',
      load_kg: r?.load?.kg ?? '',
    }))
  })
  // RFC 4180 line ends; a title that looks like a formula stays text in a spreadsheet.
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })
}

/** All of a teacher's data as files by name; undefined where there is no such teacher. */
export async function exportFiles(db: Knex, teacherId: string): Promise<Record<string, string> | undefined> {
  const teacher = await readTeacher(db, teacherId)
  if (!teacher) return undefined
  const [settings, workouts, versions, shelf, publications, runs, terms, moves, originals, classes, book, events] =
    await Promise.all([
      readSettings(db, teacherId),
      allWorkouts(db, teacherId),
      allVersions(db, teacherId),
      listShelf(db, teacherId),
      allPublications(db, teacherId),
      allRuns(db, teacherId),
      allTerms(db, teacherId),
      listOwnMoves(db, teacherId),
      allOriginals(db, teacherId),
      allClasses(db, teacherId),
      bookCsv(db, teacherId),
      listEvents(db, teacherId),
    ])
  const names = new Map(workouts.map((w) => [w.id, fileName(w.title, w.id)]))
  return {
    'README.txt': readme,
    'account.json': json(teacher),
    'settings.json': json(settings),
    'moves.json': json(movesFile(moves)),
    ...Object.fromEntries(workouts.map((w) => [`sessions/${names.get(w.id)}.json`, json(w.document)])),
    ...Object.fromEntries(originals.map((o) => [`texts/${names.get(o.workoutId)}.txt`, o.text])),
    ...Object.fromEntries(
      versions.map((v) => [
        `history/${names.get(v.workoutId)}/${v.savedAt.replaceAll(':', '-')}${v.name ? `-${fileName(v.name, v.id)}` : ''}.json`,
        json(v.document),
      ]),
    ),
    ...Object.fromEntries(shelf.map((p) => [`shelf/${fileName(p.name, p.id)}.json`, json(p.part)])),
    ...Object.fromEntries(terms.map((term) => [`terms/${fileName(term.title, term.id)}.json`, json(term.document)])),
    'links.json': json(publications),
    'events.json': json(events),
    'classes.json': json(classes),
    'results/book.csv': book,
    'results/runs.json': json(runs),
    'results/runs.csv': runsTable(runs),
  }
}
