import { ring, type Sound } from './ring.ts'

/** A future sound, named so that it is scheduled once however often it is requested. */
export interface Planned {
  key: string
  /** Seconds of the clock. */
  at: number
  sound: Sound
  pitch: number
}

/** The clock of a run: the audio device's own, so that bells and digits stay together. A device without sound uses the computer's. */
export interface AudioClock {
  /** Must be called from a tap, as browsers require. */
  wake: () => Promise<void>
  /** Seconds that never go back; they stop while the device's sound is suspended. */
  now: () => number
  /** Whether the device suspends its sound until somebody taps. */
  asleep: () => boolean
  /** Schedules sounds on the audio clock; those already scheduled stay. */
  plan: (sounds: readonly Planned[]) => void
  /** Cancels every sound that is still to come. */
  cancel: () => void
}

/** If a running device's clock stops for this many seconds, it has no sound. */
const stalledAfter = 2

/**
 * @param makeContext creates an audio context; if it throws, the run is silent
 * @param wall seconds of the computer's clock, which never goes back
 */
export function createAudioClock(makeContext: () => AudioContext, wall = () => performance.now() / 1000): AudioClock {
  let context: AudioContext | undefined
  /** Offset of the clock in use, so that time continues without a jump when another takes over. */
  let shift = 0
  let seen = { audio: -1, wall: 0 }
  const scheduled = new Map<string, { at: number; nodes: OscillatorNode[] }>()

  function now(): number {
    if (!context) return wall() + shift
    const audio = context.currentTime
    if (audio !== seen.audio || context.state !== 'running') seen = { audio, wall: wall() }
    else if (wall() - seen.wall > stalledAfter) {
      shift += audio - seen.wall
      context = undefined
      return wall() + shift
    }
    return audio + shift
  }

  return {
    now,
    asleep: () => context !== undefined && context.state !== 'running',
    async wake() {
      try {
        if (!context) {
          const before = now()
          context = makeContext()
          shift = before - context.currentTime
        }
        await context.resume()
      } catch {
        // No sound on this device: everything is also on the screen.
      }
    },
    plan(sounds) {
      const time = now()
      for (const [key, { at }] of scheduled) if (at < time - 5) scheduled.delete(key)
      for (const { key, at, sound, pitch } of sounds) {
        if (!context || scheduled.has(key)) continue
        scheduled.set(key, { at, nodes: ring(context, Math.max(at - shift, context.currentTime), sound, pitch) })
      }
    },
    cancel() {
      const time = now()
      for (const [key, { at, nodes }] of scheduled) {
        if (at <= time) continue
        for (const node of nodes) node.stop()
        scheduled.delete(key)
      }
    },
  }
}

/** The page's only clock, started by the tap that starts the session. */
export const audioClock = createAudioClock(() => new AudioContext())
