/** Bells on the audio clock: scheduled ahead, so that a busy page does not make them late. */
export interface Bell {
  /** Must be called from a tap, as browsers want it. */
  wake: () => Promise<void>
  /**
   * Rings when a step ends, with a tick in each of the last three seconds before.
   *
   * @param inSeconds from now, in seconds of real time
   * @param work whether work follows: a higher bell
   */
  scheduleEnd: (inSeconds: number, work: boolean, ticks: readonly number[]) => void
  /** Takes back what was scheduled. */
  cancel: () => void
}

const bellHz = { work: 880, rest: 587 }
const tickHz = 440

/** @param makeContext how to get an audio context; a browser without one stays silent */
export function createBell(makeContext: () => AudioContext): Bell {
  let context: AudioContext | undefined
  let pending: OscillatorNode[] = []

  function tone(at: number, hz: number, seconds: number, loudness: number) {
    if (!context) return
    const oscillator = new OscillatorNode(context, { frequency: hz })
    const gain = new GainNode(context, { gain: 0 })
    gain.gain.setValueAtTime(0, at)
    gain.gain.linearRampToValueAtTime(loudness, at + 0.01)
    gain.gain.exponentialRampToValueAtTime(0.001, at + seconds)
    oscillator.connect(gain).connect(context.destination)
    oscillator.start(at)
    oscillator.stop(at + seconds)
    pending.push(oscillator)
  }

  return {
    async wake() {
      try {
        context ??= makeContext()
        await context.resume()
      } catch {
        // No sound on this device: everything is on the screen too.
      }
    },
    scheduleEnd(inSeconds, work, ticks) {
      if (!context) return
      const end = context.currentTime + inSeconds
      for (const before of ticks) if (inSeconds > before) tone(end - before, tickHz, 0.12, 0.2)
      const hz = work ? bellHz.work : bellHz.rest
      tone(end, hz, 1.1, 0.5)
      tone(end, hz * 2.76, 0.5, 0.12)
    },
    cancel() {
      for (const oscillator of pending) {
        try {
          oscillator.stop()
        } catch {
          // It has rung already.
        }
      }
      pending = []
    },
  }
}

/** The page's one bell, woken by the tap that starts the session. */
export const bell = createBell(() => new AudioContext())
