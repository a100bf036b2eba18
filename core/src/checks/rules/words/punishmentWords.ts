import { wordRule } from '../../wordRule.ts'

/** Exercise by the name of a punishment. */
export const punishmentWords = wordRule(
  'punishment-words',
  'look',
  'words',
  /\b(?:suicides?|punish(?:ment|ed|es)?|as a penalty|penalty (?:laps?|reps?|burpees?|push-?ups?)|torture|boot ?camp hell|hell week|castigo|castigad[oa]s?|penitencia)\b/i,
)
