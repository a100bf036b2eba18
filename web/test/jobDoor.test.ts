import { expose } from 'comlink'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import { newSession, ProblemError, setDetails, type Session } from '@esfuerzo/core'
import { library } from '../src/repertoire/library.ts'
import { useJob } from '../src/workers/useJob.ts'
import { jobDoor, type Thread } from '../src/workers/jobDoor.ts'

const session = newSession('Springs', [[0, 1]], 20, library.version)

/** A worker in the same thread, over a real message channel; it answers when told to. */
function stage() {
  const threads: {
    ended: boolean
    calls: number
    finish: (outcome: unknown) => void
    report: (share: number) => void
  }[] = []
  const make = (): Thread => {
    const { port1, port2 } = new MessageChannel()
    const thread = { ended: false, calls: 0, finish: (_: unknown) => {}, report: (_: number) => {} }
    threads.push(thread)
    expose(
      {
        run: (_name: string, _workout: Session, _asked: unknown, report: (share: number) => void) => {
          thread.calls++
          thread.report = report
          return new Promise((resolve) => (thread.finish = resolve))
        },
      },
      port2,
    )
    port1.start()
    return Object.assign(port1, {
      terminate: () => {
        thread.ended = true
        port1.close()
        port2.close()
      },
    })
  }
  return { threads, make }
}
const soon = (holds: () => boolean) => vi.waitFor(() => expect(holds()).toBe(true))
const doors: { close: () => void }[] = []
const doorOf = (make: () => Thread) => {
  const door = jobDoor(make)
  doors.push(door)
  return door
}
afterEach(() => doors.splice(0).forEach((door) => door.close()))

describe('the job queue of the workers', () => {
  it('runs in an idle worker, reports progress, and keeps it for the next job', async () => {
    const { threads, make } = stage()
    const door = doorOf(make)
    door.warm()
    expect(threads).toHaveLength(1)
    const seen: number[] = []
    const answer = door.run('arrange', session, { block: 'b2' }, { onProgress: (share) => seen.push(share) })
    await soon(() => threads[0]!.calls === 1)
    // A spare one was started meanwhile.
    expect(threads).toHaveLength(2)
    threads[0]!.report(0.5)
    await soon(() => seen.length === 1)
    threads[0]!.finish({ answer: { order: ['s1'] } })
    expect(await answer).toEqual({ order: ['s1'] })
    expect(seen).toEqual([0.5])
    void door.run('arrange', session, { block: 'b2' }).catch(() => {})
    await soon(() => threads[0]!.calls === 2)
    // The other one is still idle: not every job starts a new one.
    expect(threads.map((t) => t.ended)).toEqual([false, false])
    void door.run('fit', session, { fill: false }).catch(() => {})
    await soon(() => threads[1]!.calls === 1)
    expect(threads).toHaveLength(3)
  })

  it('ends the worker at once when cancelled, and the next job starts in the spare', async () => {
    const { threads, make } = stage()
    const door = doorOf(make)
    const abort = new AbortController()
    const answer = door.run('fit', session, { fill: false }, { signal: abort.signal })
    await soon(() => threads[0]!.calls === 1)
    abort.abort()
    await expect(answer).rejects.toThrow(/abort/i)
    expect(threads[0]!.ended).toBe(true)
    void door.run('fit', session, { fill: false }).catch(() => {})
    await soon(() => threads[1]!.calls === 1)
    await expect(door.run('fit', session, { fill: false }, { signal: abort.signal })).rejects.toThrow(/abort/i)
  })

  it('returns problems as problems, and reports when a worker does not start', async () => {
    const { threads, make } = stage()
    const door = doorOf(make)
    const answer = door.run('arrange', session, { block: 'b9' })
    await soon(() => threads[0]!.calls === 1)
    threads[0]!.finish({ problems: [{ code: 'not-found', path: ['b9'], received: 'b9' }] })
    await expect(answer).rejects.toThrow(ProblemError)

    const broken = doorOf(() => {
      const thread = make() as Thread & { onerror?: (event: { message: string }) => void }
      setTimeout(() => thread.onerror?.({ message: 'no such file' }), 1)
      return thread
    })
    await expect(broken.run('fit', session, { fill: false })).rejects.toThrow('no such file')
  })
})

describe('a job that follows the session', () => {
  const follow = () => {
    const { threads, make } = stage()
    const door = doorOf(make)
    const workout = shallowRef(session)
    const scope = effectScope()
    const work = scope.run(() => useJob(door, 'arrange', workout, () => ({ block: 'b2' })))!
    return { threads, workout, work, scope }
  }

  it('never uses a result for an older document for a newer one', async () => {
    const { threads, workout, work, scope } = follow()
    await soon(() => threads[0]!.calls === 1)
    workout.value = setDetails(session, { title: 'Gusts' })
    // It happens just then, before anybody has noticed.
    threads[0]!.finish({ answer: { order: ['old'] } })
    await soon(() => threads.some((t, i) => i > 0 && t.calls === 1))
    expect(work.answer.value).toBeUndefined()
    expect(work.running.value).toBe(true)
    threads.find((t, i) => i > 0 && t.calls === 1)!.finish({ answer: { order: ['new'] } })
    await soon(() => work.current.value)
    expect(work.answer.value).toEqual({ order: ['new'] })
    // A later edit leaves it on screen, but it can no longer be applied.
    workout.value = setDetails(session, { title: 'Squalls' })
    await nextTick()
    expect([work.current.value, work.running.value]).toEqual([false, true])
    scope.stop()
  })

  it('stops when it is cancelled, and reports what went wrong', async () => {
    const { threads, work, scope } = follow()
    await soon(() => threads[0]!.calls === 1)
    work.cancel()
    expect([work.running.value, threads[0]!.ended]).toEqual([false, true])
    work.run()
    await soon(() => threads[1]!.calls === 1)
    threads[1]!.finish({ problems: [{ code: 'not-found', path: ['b2'], received: 'b2' }] })
    await soon(() => work.problem.value !== '')
    expect(work.running.value).toBe(false)
    scope.stop()
  })
})

describe('the jobs themselves', () => {
  it('return what the core does, group by group', async () => {
    const { jobs } = await import('../src/workers/jobs.ts')
    const shares: number[] = []
    const finish = jobs.finish(session, {}, library, (share) => shares.push(share))
    expect(finish.map((f) => f.group)).toEqual(session.groups.map((g) => g.id))
    expect(shares.at(-1)).toBe(1)
    expect(jobs.chance(session, { block: 'b2' }, library, () => {})).toEqual([])
    expect(jobs.fit(session, { fill: false }, library, () => {}).kind).toBe('fits')
  })
})
