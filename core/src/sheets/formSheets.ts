import { amrapSheet } from '../forms/amrap/sheet.ts'
import { chanceSheet } from '../forms/chance/sheet.ts'
import { gameSheet } from '../forms/game/sheet.ts'
import { intervalsSheet } from '../forms/intervals/sheet.ts'
import { ladderSheet } from '../forms/ladder/sheet.ts'
import { levelsSheet } from '../forms/levels/sheet.ts'
import { measureSheet } from '../forms/measure/sheet.ts'
import { quizSheet } from '../forms/quiz/sheet.ts'
import { relaySheet } from '../forms/relay/sheet.ts'
import { roundsSheet } from '../forms/rounds/sheet.ts'
import { targetSheet } from '../forms/target/sheet.ts'
import type { Play, PlayOf } from '../publication/playSchema.ts'
import type { FormSheet } from './formSheet.ts'

/** The sheet file of each played form. */
const formSheets: { [F in Play['form']]: FormSheet<PlayOf<F>> } = {
  amrap: amrapSheet,
  chance: chanceSheet,
  game: gameSheet,
  intervals: intervalsSheet,
  ladder: ladderSheet,
  levels: levelsSheet,
  measure: measureSheet,
  quiz: quizSheet,
  relay: relaySheet,
  rounds: roundsSheet,
  target: targetSheet,
}

/** A form's own lines on paper; none if its steps say everything. */
export const sheetOf = (play: Play | undefined): FormSheet<Play> =>
  play ? (formSheets[play.form] as unknown as FormSheet<Play>) : {}
