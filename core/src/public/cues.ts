// The sounds of a step, as captions and as audio. Named exports only: anything not listed is internal.
export { captions, endOf, trackCues, type Caption } from '../cues/captions.ts'
export { subRip, webVtt } from '../formats/captionFiles.ts'
export { clickTrack } from '../formats/clickTrack.ts'
export { markdown } from '../formats/markdown.ts'
export { cuesAhead, type LaneCue } from '../cues/cuesAhead.ts'
export { fileTitle } from '../formats/fileTitle.ts'
