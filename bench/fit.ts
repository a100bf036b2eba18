// Fit of real circuits: 3 groups × 3 shared blocks and 6 × 4, ours and a MIP solver package on the same problem.
import { fitBuilder } from '../core/src/fit/buildFit.ts'
import { solveFit } from '../core/src/fit/solveFit.ts'
import { indexLibrary, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { fit } from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import highsLoader from 'highs'
import { fitLp } from '../core/test/support/fitInstances.ts'
import { times } from './times.ts'

const library = indexLibrary(libraryData)
const circuits = [
  '3 laps 30/20 {20/20} {25/20}, lap rest 45\nsquat\njumping jack\nplank',
  '4 laps 40/30 {30/30}, no last rest\npush-up\nhigh knees\ncurl-up',
  '6 laps 20/15\nlunge\nmountain climber',
  '3 laps 30/30 {25/25}\nhip bridge\nskater step\ncrab walk',
]

/** Each is over time by a different amount. */
function overFull(groups: string, blocks: number, n: number): Session {
  // The first groups have values of their own.
  const names = groups.split(', ')
  const own = (line: string) => names.reduce((now, name) => now.replace(/\{(.*?)\}/, `[${name}: $1]`), line)
  const text = ['# Long', `groups ${groups}; minutes 60`, '## Warm-up', 'march on the spot 180 s', '## Main part']
  const { workout: session, problems } = parse([...text, ...circuits.slice(0, blocks).map(own)].join('\n'), library)
  if (problems.length) throw new Error(JSON.stringify(problems[0]))
  const longest = Math.max(...Object.values(fit({ ...session, minutes: 1 }, library).before))
  return { ...session, minutes: Math.floor(longest / 60) - 1 - (n % 6), finishTogether: n % 2 === 1 }
}

const highs = await highsLoader()
for (const [groups, blocks, goal] of [
  ['K-1, 2-3, 4-6', 3, 150],
  ['K, 1, 2, 3, 4, 5', 4, 1500],
] as const) {
  const sessions = Array.from({ length: 12 }, (_, n) => overFull(groups, blocks, n))
  const size = `${sessions[0]!.groups.length} groups × ${blocks} shared blocks`
  const { median, slow } = times(sessions.length, (n) => fit(sessions[n]!, library))
  console.log(`fit, ${size}: median ${median.toFixed(0)} ms, 95 %: ${slow.toFixed(0)} ms  (goal ≤ ${goal})`)
  const ratios = sessions.slice(0, 6).map((session) => {
    const { problem } = fitBuilder(
      session,
      library,
    )({
      least: 0,
      most: session.minutes * 60,
      mostCost: 12,
      direction: 'shorter',
      even: session.finishTogether,
      barred: new Set(),
    })
    const ours = times(3, () => solveFit(problem), 1).median
    const start = performance.now()
    const answer = highs.solve(fitLp(problem), { mip_rel_gap: 0 })
    const theirs = performance.now() - start
    const cost = solveFit(problem)?.cost
    if (cost !== (answer.Status === 'Optimal' ? Math.round(answer.ObjectiveValue) : undefined))
      throw new Error('another optimum')
    return ours / theirs
  })
  ratios.sort((a, b) => a - b)
  console.log(`solve ÷ MIP solver, ${size}: median ${ratios[3]!.toFixed(3)} (1 : ${(1 / ratios[3]!).toFixed(0)})`)
}
