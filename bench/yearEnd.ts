// What a year-end cleanup takes: 100 classes whose retention has run out, with 200 000 values and 5000 runs; and how long others wait
// meanwhile.
import { cleanUp } from '../server/src/cleanup/cleanUp.ts'
import { openDatabase } from '../server/src/base/database.ts'
import { prepareDatabase } from '../server/src/prepareDatabase.ts'
import { indexLibrary } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { testCluster } from '../scripts/testCluster.mjs'

const sizes = { classes: 100, pupils: 25, values: 200_000, runs: 5000 }
const cluster = await testCluster('year-end')
try {
  await cluster.create('esfuerzo')
  const databaseUrl = cluster.url()
  await prepareDatabase({ databaseUrl, demo: false, secret: 's'.repeat(40) }, indexLibrary(libraryData))
  const db = openDatabase(databaseUrl)
  const filler = openDatabase(databaseUrl, undefined, 'unbound')
  await filler.raw(`
    insert into teachers (id, email, name, password_hash, zone)
      select gen_random_uuid(), 't' || g || '@island.example', 'T', '', 'Atlantic/Azores' from generate_series(1, 20) g;
    insert into classes (id, teacher_id, name, grades, year_ends, keep_months, ruled_from)
      select gen_random_uuid(), (select id from teachers order by email offset g % 20 limit 1), 'C' || g, '{2}', '2026-07-31', 0, '2025-09-01'
      from generate_series(1, ${sizes.classes}) g;
    insert into pupils (id, teacher_id, class_id, alias, alias_key, slip)
      select gen_random_uuid(), c.teacher_id, c.id, 'Tern ' || g, 'tern' || g, 1 from classes c, generate_series(1, ${sizes.pupils}) g;
    insert into workouts (id, teacher_id, title, minutes, document) select gen_random_uuid(), id, 'W', 20, '{}' from teachers;
    insert into snapshots (sha256, body) values ('a', '{}');
    insert into publications (id, teacher_id, workout_id, sha256, token_hash, title, ends_at, class_id)
      select gen_random_uuid(), c.teacher_id, w.id, 'a', c.id::text, 'P', now(), c.id from classes c join workouts w on w.teacher_id = c.teacher_id;
    insert into runs (publication_id, id, pupil_id, group_id, started_at, finished_at, zone, document, has_rows, received_at)
      select p.id, gen_random_uuid(), u.id, 'g1', '2026-05-01', '2026-05-01', 'UTC', '{}', true, '2026-05-01'
      from pupils u join publications p on p.class_id = u.class_id, generate_series(1, ${sizes.runs / sizes.classes / sizes.pupils}) g;
    insert into results (teacher_id, class_id, pupil_id, source, publication_id, run_id, name, unit, value, at, by)
      select p.teacher_id, p.class_id, r.pupil_id, 'run', p.id, r.id, 'Squat', 'reps', g, r.finished_at, 'home'
      from runs r join publications p on p.id = r.publication_id, generate_series(1, 20) g;
    insert into results (teacher_id, class_id, pupil_id, source, publication_id, name, unit, value, at, by)
      select u.teacher_id, u.class_id, u.id, 'typed', p.id, 'Squat', 'reps', g, '2026-05-01', 'teacher'
      from pupils u join publications p on p.class_id = u.class_id, generate_series(1, ${(sizes.values - sizes.runs * 20) / sizes.classes / sizes.pupils}) g;
    analyze`)
  await filler.destroy()
  const count = async (table: string) => Number((await db(table).count({ n: '*' }))[0]!.n)
  const before = { values: await count('results'), runs: await count('runs') }

  let longest = { ms: 0, sql: '' }
  const began = new Map<string, number>()
  db.on('query', ({ __knexQueryUid: id }: { __knexQueryUid: string }) => began.set(id, performance.now()))
  db.on('query-response', (_: unknown, { __knexQueryUid: id, sql }: { __knexQueryUid: string; sql: string }) => {
    const ms = performance.now() - (began.get(id) ?? performance.now())
    if (ms > longest.ms) longest = { ms, sql: sql.slice(0, 90) }
  })

  // Others read a class's book all the while, over connections of their own.
  const others = openDatabase(databaseUrl)
  const classes: { id: string }[] = await others('classes').select('id')
  const waits: number[] = []
  let over = false
  const reader = async (from: number) => {
    for (let i = from; !over; i++) {
      const start = performance.now()
      await others('results as r')
        .join('pupils as u', 'u.id', 'r.pupil_id')
        .where({ 'u.class_id': classes[i % classes.length]!.id })
        .limit(100)
        .select('r.value')
      waits.push(performance.now() - start)
      await new Promise((resolve) => setTimeout(resolve, 5))
    }
  }
  const readers = [reader(0), reader(50)]
  await new Promise((resolve) => setTimeout(resolve, 1000))
  const p99 = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.99)]!
  const idle = p99(waits)
  waits.length = 0
  const start = performance.now()
  const done = await cleanUp(db, { note: async () => {} }, '2026-09-01')
  const took = performance.now() - start
  over = true
  await Promise.all(readers)
  const after = { values: await count('results'), runs: await count('runs') }
  console.log(
    `a year's end of ${sizes.classes} classes: ${before.values - after.values} values and ${before.runs - after.runs} runs in ${(took / 1000).toFixed(1)} s; ` +
      `longest statement ${Math.round(longest.ms)} ms; others' p99 ${p99(waits).toFixed(1)} ms (idle ${idle.toFixed(1)}), ${done!.failed.length} failed`,
  )
  console.log(`  the longest: ${longest.sql}`)
  await Promise.all([db.destroy(), others.destroy()])
} finally {
  await cluster.stop('immediate')
}
