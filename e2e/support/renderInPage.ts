import { indexLibrary, newSession, timeline } from '@esfuerzo/core'
import { trackCues } from '@esfuerzo/core/cues'
import { parse } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { ring, type Sound } from '../../web/src/player/ring.ts'

const rate = 44_100
/** This much silence, then a louder sample: a sound begins. */
const [quietSeconds, threshold] = [0.2, 0.003]

/** The sounds of a session with a number of five-minute laps: when, and which. */
function schedule(laps: number): { at: number; sound: Sound }[] {
  const library = indexLibrary(libraryData)
  const groups = newSession('x', [[4, 5, 6]], 20, library.version).groups
  const text = `# Laps\n## Main\n${laps} laps 40/20\nsquat\njog\nhigh knees\nmarch\njumping jack\n`
  const { workout: session } = parse(text, library, groups)
  return trackCues(timeline(session, session.groups[0]!.id, library)).flatMap((cue) => {
    const sound: Sound | undefined = cue.kind === 'bell' ? cue.tone : cue.kind === 'count' ? undefined : cue.kind
    return sound ? [{ at: cue.at, sound }] : []
  })
}

/** The moments of the sounds of a session with a number of laps, in seconds. */
export const moments = (laps: number): number[] => schedule(laps).map(({ at }) => at)

/**
 * Renders every bell and tick of a session with a number of laps through the player's own sounds, and finds where they begin in the
 * samples.
 *
 * @returns where sounds were scheduled and where they were found, in seconds
 */
export async function render(laps: number): Promise<{ asked: number[]; found: number[] }> {
  const asked = schedule(laps)
  const context = new OfflineAudioContext(1, Math.ceil((asked.at(-1)!.at + 3) * rate), rate)
  for (const { at, sound } of asked) ring(context, at, sound)
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
  return { asked: asked.map(({ at }) => at), found }
}
