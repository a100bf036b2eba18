import {
  isChance,
  sessionView,
  timeline,
  type BlockOf,
  type LaneView,
  type Library,
  type Session,
} from '@esfuerzo/core'
import { clickTrack, endOf, trackCues } from '@esfuerzo/core/cues'
import { draftFor, withExplaining, type Draft, type DraftAsk, type Intent } from '@esfuerzo/core/draft'
import { nextTime, type LaneNext } from '@esfuerzo/core/nextTime'
import {
  offered,
  suggested,
  suggestProblem,
  type SuggestContext,
  type SuggestFor,
  type Suggestion,
} from '@esfuerzo/core/suggest'
import { termSession, termStep, type TermSession } from '@esfuerzo/core/term'
import {
  arrange,
  chanceOutlook,
  finishOf,
  fit,
  quantile,
  simulate,
  spreadOf,
  type ArrangeAnswer,
  type Finish,
  type FitAnswer,
  type LineOutlook,
  type Spread,
} from '@esfuerzo/core/tools'

/** When a group's children finish, simulated. */
export interface GroupFinish {
  group: string
  finish: Finish
}

/** A group's outlook for a block of chance. */
export interface GroupChance {
  group: string
  /** For the block alone, with children of different pace. */
  finish: Finish
  draws: Spread
  /** The typical child's seconds, exact: only the draws vary. */
  seconds: { early: number; median: number; late: number }
  lines: LineOutlook[]
}

/** A draft with its lanes, with and without a talk about new exercises, so that the page computes nothing. */
export type TimedDraft = Draft & { lanes: LaneView[]; explained?: LaneView[] }

/** The jobs of a worker with their arguments and results, by name. */
export interface Jobs {
  fit: { asked: { fill: boolean }; answer: FitAnswer }
  arrange: { asked: { block: string }; answer: ArrangeAnswer }
  finish: { asked: Record<never, never>; answer: GroupFinish[] }
  chance: { asked: { block: string }; answer: GroupChance[] }
  /** What each lane does next time, from the results. */
  next: { asked: { cameBack: Parameters<typeof nextTime>[2]; weeks: number }; answer: LaneNext[] }
  /** The best exercises for several places together, each with reasons. */
  suggest: { asked: { place: SuggestFor; count: number; context: SuggestContext }; answer: Suggestion[] }
  /** The first suggestions for a place, before anything is typed. */
  offer: { asked: { place: SuggestFor; most: number; context: SuggestContext }; answer: Suggestion[] }
  /** A session with an intent for some conditions; the session argument is not used. */
  draft: { asked: { intent: Intent; ask: DraftAsk; besides: string[]; quick: boolean }; answer: TimedDraft | undefined }
  /** The properties of a session that a term needs. */
  termSession: { asked: { id: string; grades?: number[] }; answer: TermSession }
  /** A session's next step, when it repeats in a term. */
  termStep: { asked: { coming: number; cameBack: Parameters<typeof termStep>[3] }; answer: Session }
  /** A lane's bells as the bytes of a WAV file. */
  clickTrack: { asked: { group: string }; answer: Uint8Array<ArrayBuffer> }
}
export type JobName = keyof Jobs

type Report = (share: number) => void
type Work<N extends JobName> = (
  session: Session,
  asked: Jobs[N]['asked'],
  library: Library,
  report: Report,
) => Jobs[N]['answer']

/** One progress report from several groups' reports. */
const inPart =
  (report: Report, n: number, most: number): Report =>
  (share) =>
    report((n + share) / most)

/** How each job is done: pure computation on a session, in a worker. */
export const jobs: { [N in JobName]: Work<N> } = {
  clickTrack: (session, { group }, library, report) => {
    const steps = timeline(session, group, library)
    // A little silence after the last bell, so that it is heard to its end.
    return clickTrack(trackCues(steps), endOf(steps) + 2, report)
  },
  termStep: (session, { coming, cameBack }, library) => termStep(session, library, coming, cameBack),
  termSession: (session, { id, grades }, library) => termSession(id, session, library, grades),
  next: (session, { cameBack, weeks }, library) => nextTime(session, library, cameBack, weeks),
  suggest: (session, { place, count, context }, library) =>
    suggested(suggestProblem(session, place, count, context, library)),
  offer: (session, { place, most, context }, library) =>
    offered(suggestProblem(session, place, 1, context, library), most),
  draft: (_, { intent, ask, besides, quick }, library) => {
    const draft = draftFor(intent, ask, library, { besides, quick })
    return (
      draft && {
        ...draft,
        lanes: sessionView(draft.session, library),
        ...(draft.explain && { explained: sessionView(withExplaining(draft), library) }),
      }
    )
  },
  fit: (session, { fill }, library, onProgress) => fit(session, library, { fill, onProgress }),
  arrange: (session, { block }, library) => arrange(session, block, library),
  finish: (session, _, library, report) =>
    session.groups.map((group, n) => {
      const onProgress = inPart(report, n, session.groups.length)
      return {
        group: group.id,
        finish: finishOf(simulate(session, group, library, { onProgress }), session.minutes * 60),
      }
    }),
  chance: (session, { block: id }, library, report) => {
    const section = session.sections.find((s) => s.blocks.some((b) => b.id === id))
    const block = section?.blocks.find((b): b is BlockOf<'chance'> => b.id === id && isChance(b))
    if (!section || !block) return []
    const alone: Session = { ...session, sections: [{ ...section, blocks: [block] }] }
    return session.groups.map((group, n) => {
      const { seconds, draws, lines } = chanceOutlook(block, group, session, library)
      const onProgress = inPart(report, n, session.groups.length)
      return {
        group: group.id,
        finish: finishOf(simulate(alone, group, library, { onProgress }), session.minutes * 60),
        draws: spreadOf(draws),
        seconds: { early: quantile(seconds, 0.1), median: quantile(seconds, 0.5), late: quantile(seconds, 0.9) },
        lines,
      }
    })
  },
}
