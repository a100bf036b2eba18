/**
 * The value below which a share of a list lies (nearest rank).
 *
 * @param {readonly number[]} list at least one number
 * @param {number} share 0.5 for the median
 * @returns {number}
 * @example at([3, 1, 2], 0.5) // 2
 */
export const at = (list, share) =>
  /** @type {number} */ ([...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))])
