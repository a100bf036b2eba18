/** Number of things tossed over the line. */
export const tossed = 5

/**
 * Reps of a card: its number; an ace is one, a picture ten. Ours.
 *
 * @param card 1 to 13
 * @example repsOfCard(12) // 10
 */
export const repsOfCard = (card: number): number => Math.min(10, card)

/** What the cards of a suit ask for. */
export const cardValues: readonly number[] = Array.from({ length: 13 }, (_, i) => repsOfCard(i + 1))

/** The numbers a toss asks for on one side. */
export const tossValues: readonly number[] = Array.from({ length: tossed + 1 }, (_, n) => n)
