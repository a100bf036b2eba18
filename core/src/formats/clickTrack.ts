import type { Cue } from '../cues/stepCues.ts'

/** Samples per second, as on every sound card. */
export const sampleRate = 44_100

/** For each sound: frequency in Hz, loudness 0 to 1, seconds until it has faded. */
const tones: Record<string, [hz: number, loudness: number, seconds: number]> = {
  work: [880, 0.6, 0.9],
  rest: [587, 0.6, 0.9],
  end: [740, 0.6, 1.4],
  half: [660, 0.35, 0.35],
  tick: [440, 0.3, 0.1],
  count: [330, 0.2, 0.06],
}

/**
 * A session's bells and ticks as a WAV file (RIFF, PCM): one channel, 44.1 kHz, 16 bit. A sound starts at the exact sample of its moment.
 *
 * @param cues at seconds from the start
 * @param seconds length of the file
 * @param onProgress called with the share done, 0 to 1
 * @returns the file's bytes: a header of 44, then two per sample
 */
export function clickTrack(
  cues: readonly Cue[],
  seconds: number,
  onProgress?: (share: number) => void,
): Uint8Array<ArrayBuffer> {
  const samples = Math.ceil(seconds * sampleRate)
  const file = new ArrayBuffer(44 + samples * 2)
  const view = new DataView(file)
  const ascii = (at: number, text: string) => [...text].forEach((c, i) => view.setUint8(at + i, c.charCodeAt(0)))
  ascii(0, 'RIFF')
  view.setUint32(4, 36 + samples * 2, true)
  ascii(8, 'WAVEfmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, 1, true) // PCM
  view.setUint16(22, 1, true) // channels
  view.setUint32(24, sampleRate, true)
  view.setUint32(28, sampleRate * 2, true)
  view.setUint16(32, 2, true)
  view.setUint16(34, 16, true)
  ascii(36, 'data')
  view.setUint32(40, samples * 2, true)

  cues.forEach((cue, n) => {
    const [hz, loudness, lasts] = tones[cue.kind === 'bell' ? cue.tone : cue.kind]!
    const first = Math.round(cue.at * sampleRate)
    const count = Math.min(Math.round(lasts * sampleRate), samples - first)
    for (let i = 0; i < count; i++) {
      const t = i / sampleRate
      // Fades to a thousandth; the cosine makes it audible from its first sample.
      const value = loudness * Math.cos(2 * Math.PI * hz * t) * Math.exp((-6.9 * t) / lasts)
      const at = 44 + (first + i) * 2
      const sum = view.getInt16(at, true) + value * 32767
      view.setInt16(at, Math.max(-32768, Math.min(32767, Math.round(sum))), true)
    }
    if (n % 200 === 0) onProgress?.(n / cues.length)
  })
  return new Uint8Array(file)
}
