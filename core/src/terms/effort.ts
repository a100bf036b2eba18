/**
 * From so many of its own resting METs on work is moderate for a child, and from so many vigorous. Sources: Trost et al. 2011, Med Sci
 * Sports Exerc 43:1360; Butte et al. 2018, Med Sci Sports Exerc 50:246 (youth compendium); both from memory, the round numbers ours.
 */
export const moderateMet = 4
export const vigorousMet = 6
