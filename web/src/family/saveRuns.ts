import { writtenRun, type Run } from '@esfuerzo/core/run'
import { saveFile } from '../shared/saveFile.ts'
import { fileTitle } from '@esfuerzo/core/cues'

/** Runs as files a family can keep and pass on, one per lane: the same documents the server receives. */
export function saveRuns(title: string, runs: readonly Run[]): void {
  for (const run of runs)
    saveFile(`${fileTitle(title)}-${run.finishedAt.slice(0, 10)}-${run.group}.json`, writtenRun(run))
}
