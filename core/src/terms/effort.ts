/**
 * Where moderate and vigorous work begin for a child, in the child's own resting METs. Sources: Trost et al. 2011, Med Sci Sports Exerc
 * 43:1360; Butte et al. 2018, Med Sci Sports Exerc 50:246 (youth compendium); both from memory, the round numbers ours.
 */
export const moderateMet = 4
export const vigorousMet = 6
