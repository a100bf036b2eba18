/** The player's sounds. */
export type Sound = 'work' | 'rest' | 'end' | 'half' | 'tick'

/** Each sound as partials: frequency in Hz, loudness 0 to 1, seconds until it has faded. */
const partials: Record<Sound, readonly [hz: number, loudness: number, seconds: number, after?: number][]> = {
  work: [
    [880, 0.5, 1.1],
    [880 * 2.76, 0.12, 0.5],
  ],
  rest: [
    [587, 0.5, 1.1],
    [587 * 2.76, 0.12, 0.5],
  ],
  end: [
    [587, 0.5, 1.1],
    [740, 0.4, 1.3, 0.18],
    [880, 0.4, 1.6, 0.36],
  ],
  half: [[660, 0.25, 0.4]],
  tick: [[440, 0.2, 0.12]],
}

/** Seconds a partial takes to rise: long enough not to click. */
const attack = 0.01

/**
 * Schedules a sound on a context's own clock, live or offline.
 *
 * @param at seconds of the context's clock
 * @param pitch multiplier: 1 for the first lane, more for the second
 * @returns the audio nodes, so that they can be cancelled
 */
export function ring(context: BaseAudioContext, at: number, sound: Sound, pitch = 1): OscillatorNode[] {
  return partials[sound].map(([hz, loudness, seconds, after = 0]) => {
    const start = at + after
    const oscillator = new OscillatorNode(context, { frequency: hz * pitch })
    const gain = new GainNode(context, { gain: 0 })
    gain.gain.setValueAtTime(0, start)
    gain.gain.linearRampToValueAtTime(loudness, start + attack)
    gain.gain.exponentialRampToValueAtTime(0.0001, start + seconds)
    oscillator.connect(gain).connect(context.destination)
    oscillator.start(start)
    oscillator.stop(start + seconds)
    return oscillator
  })
}
