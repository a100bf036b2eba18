import type { Library } from '../library/library.ts'
import { stationsOf } from '../session/forms.ts'
import type { Question } from '../forms/quiz/schema.ts'
import type { Session } from '../session/schema.ts'

/** A quiz at the end has time for three questions (ours). */
const wanted = 3

const fits = (text: string) => text.length > 0 && text.length <= 120

/** A question with its right answer among the wrong ones, at a position derived from the question itself. */
function question(ask: string, answer: string, others: readonly string[], why: string): Question | undefined {
  const wrong = [...new Set(others)].filter((o) => o !== answer && fits(o)).slice(0, 2)
  if (!fits(ask) || !fits(answer) || wrong.length === 0 || why.length > 120) return undefined
  const right = ask.length % (wrong.length + 1)
  return { ask, answers: [...wrong.slice(0, right), answer, ...wrong.slice(right)], right, why }
}

/** The quiz texts, in the language the teacher writes in. */
export interface QuizWords {
  meaning: (word: string) => string
  /** @param muscle its anatomical name */
  worked: (muscle: string) => string
  /** @param move its name */
  helps: (move: string) => string
  /** Meanings that are wrong for any word. */
  otherMeanings: readonly string[]
}

/**
 * Up to three questions from the session itself: its vocabulary, its muscle, a cue of one of its exercises.
 *
 * @example a session with the word "land" asks what it means
 */
export function proposeQuiz(session: Session, library: Library, ask: QuizWords): Question[] {
  const { words, muscle: muscleId } = session.aim
  const said = words.filter((w) => w.meaning)
  const fromWords = said.map(({ word, meaning }) =>
    question(ask.meaning(word), meaning, [...said.map((w) => w.meaning), ...ask.otherMeanings], ''),
  )
  const muscle = muscleId ? library.muscles.get(muscleId) : undefined
  const others = [...library.muscles.values()].filter((m) => m.id !== muscleId && m.region !== muscle?.region)
  const fromMuscle =
    muscle &&
    question(
      ask.worked(muscle.anatomical),
      muscle.name,
      others.map((m) => m.name),
      muscle.line,
    )
  const moves = [
    ...new Set(
      session.sections
        .flatMap((s) => s.blocks)
        .flatMap((b) => stationsOf(b))
        .map((s) => s.cells.all.move),
    ),
  ]
    .flatMap((id) => library.moves.get(id) ?? [])
    .filter((m) => m.cues.length && m.faults.length)
  const fromCues = moves.map((m) =>
    question(
      ask.helps(m.name),
      m.cues[0]!,
      [m.faults[0]!.see, ...moves.filter((o) => o !== m).map((o) => o.faults[0]!.see)],
      '',
    ),
  )
  return [fromWords[0], fromMuscle, fromCues[0], ...fromWords.slice(1), ...fromCues.slice(1)]
    .filter((q) => q !== undefined)
    .slice(0, wanted)
}
