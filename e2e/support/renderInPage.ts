import { indexLibrary, newWorkout, parse, timeline, trackCues } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { ring, type Sound } from '../../web/src/player/ring.ts'

const rate = 44_100
/** Quiet for so long, then louder than that: a sound begins. */
const [quietSeconds, threshold] = [0.2, 0.003]

/**
 * Renders every bell and tick of a session of twenty minutes through the player's own sounds, and looks for where they
 * begin in the samples.
 *
 * @returns where sounds were asked for and where they were found, in seconds
 */
export async function render(): Promise<{ asked: number[]; found: number[] }> {
  const library = indexLibrary(libraryData)
  const groups = newWorkout('x', [[4, 5, 6]], 20, library.version).groups
  const text = '# Twenty minutes\n## Main\n4 laps 40/20\nsquat\njog\nhigh knees\nmarch\njumping jack\n'
  const { workout } = parse(text, library, groups)
  const cues = trackCues(timeline(workout, workout.groups[0]!.id, library))
  const context = new OfflineAudioContext(1, Math.ceil((cues.at(-1)!.at + 3) * rate), rate)
  const asked: number[] = []
  for (const cue of cues) {
    const sound: Sound | undefined = cue.kind === 'bell' ? cue.tone : cue.kind === 'count' ? undefined : cue.kind
    if (!sound) continue
    ring(context, cue.at, sound)
    asked.push(cue.at)
  }
  const samples = (await context.startRendering()).getChannelData(0)
  const found: number[] = []
  let quiet = quietSeconds * rate
  for (let i = 0; i < samples.length; i++) {
    if (Math.abs(samples[i]!) < threshold) quiet++
    else {
      if (quiet >= quietSeconds * rate) found.push(i / rate)
      quiet = 0
    }
  }
  return { asked, found }
}
