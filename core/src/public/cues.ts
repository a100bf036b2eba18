// What is heard of a step, as captions and as sound. Named exports only; what is in no list is nobody else's business.
export { captions, endOf, trackCues, type Caption } from '../cues/captions.ts'
export { subRip, webVtt } from '../formats/captionFiles.ts'
export { clickTrack } from '../formats/clickTrack.ts'
export { markdown } from '../formats/markdown.ts'
export { cuesAhead, type LaneCue } from '../cues/cuesAhead.ts'
export { fileTitle } from '../formats/fileTitle.ts'
