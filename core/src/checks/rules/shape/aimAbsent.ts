import { workMet } from '../../../pulse/workMet.ts'
import { limit } from '../../limits.ts'
import type { Builds } from '../../../terms/builds.ts'
import { perLane, type Found, type Rule } from '../../rule.ts'
import type { CheckedLane, CheckedStep } from '../../view.ts'

const strong = ['squat', 'lunge', 'hinge', 'push', 'pull', 'brace', 'curl', 'extend', 'twist', 'jump']
const sum = (lane: CheckedLane, counts: (step: CheckedStep) => boolean) =>
  lane.steps.filter((s) => s.kind === 'work' && s.doing && counts(s)).reduce((n, s) => n + s.seconds.typical, 0)

/** The minimum an aim asks for, and how much there is. */
const asks: Partial<Record<Builds, (lane: CheckedLane) => { have: number; least: number }>> = {
  endurance: (lane) => ({
    have: sum(lane, (s) => workMet(s.doing!) >= limit('moderateMet', lane.band)),
    least: limit('aimEndurance', lane.band),
  }),
  strength: (lane) => ({
    have: sum(lane, (s) => strong.includes(s.doing!.move.family)),
    least: limit('aimStrength', lane.band),
  }),
  flexibility: (lane) => ({
    have: new Set(lane.steps.filter((s) => s.doing?.move.stretches).map((s) => s.doing!.move.id)).size,
    least: limit('aimStretches', lane.band),
  }),
  balance: (lane) => ({
    have: sum(lane, (s) => s.doing!.move.family === 'balance'),
    least: limit('aimBalance', lane.band),
  }),
}

/** The session hardly contains what its aim says. */
export const aimAbsent: Rule = {
  id: 'aim-absent',
  level: 'note',
  family: 'shape',
  find: (view) => {
    // Without a main part, nothing is missing yet.
    if (!view.session.sections.some((s) => ['main', 'skill'].includes(s.role))) return []
    return view.session.aim.builds.flatMap((aim): Found[] =>
      perLane(view, (lane) => {
        const asked = asks[aim]?.(lane)
        return asked && asked.have < asked.least
          ? { facts: { aim, have: Math.round(asked.have), least: asked.least } }
          : undefined
      }),
    )
  },
}
