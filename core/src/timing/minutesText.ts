/**
 * Seconds as minutes and seconds, as a clock shows them.
 *
 * @example minutesText(1280) // '21:20'
 * @example minutesText(5) // '0:05'
 */
export function minutesText(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/**
 * Reads seconds as a person types them: seconds, or minutes and seconds.
 *
 * @returns undefined if the text is neither
 * @example parseSeconds('90') // 90
 * @example parseSeconds('1:30') // 90
 */
export function parseSeconds(typed: string): number | undefined {
  const match = /^\s*(?:(\d{1,3}):([0-5]?\d)|(\d{1,5}))\s*(?:s|sec|″|")?\s*$/.exec(typed)
  if (!match) return undefined
  return match[3] === undefined ? Number(match[1]) * 60 + Number(match[2]) : Number(match[3])
}
