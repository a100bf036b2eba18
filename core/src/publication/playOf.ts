import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import type { Dose } from '../terms/dose.ts'
import { chanceTable, roundsOfToss } from '../forms/chance/schema.ts'
import type { Block } from '../session/forms.ts'
import { rungsFor } from '../forms/ladder/schema.ts'
import type { Group } from '../terms/group.ts'
import { valueFor, type PerGroup } from '../terms/perGroup.ts'
import { cellAt, type Cell, type Station } from '../session/station.ts'
import type { Play, PlayedTurn } from './playSchema.ts'

/** What a group plays in a block; undefined for forms that steps tell whole. */
export function playOf(block: Block, group: Group, library: Library): Play | undefined {
  const own = <T>(value: PerGroup<T>): T => valueFor(value, group.id)
  const ofCell = (cell: Cell, station?: Station): PlayedTurn => {
    const dose: Dose | undefined = cell.dose
    return {
      ...(station && { station: station.id }),
      move: cell.move,
      version: cell.version,
      ...(station?.storyName && { story: station.storyName }),
      ...(dose && { amount: dose.amount, unit: dose.unit }),
      sides: performedBy(cell, library).sides,
    }
  }
  const turn = (station: Station) => ofCell(cellAt(own(station.cells), 1), station)
  switch (block.form) {
    case 'amrap':
      return { form: 'amrap', seconds: own(block.cap), turns: block.stations.map(turn) }
    case 'rounds':
      return block.cap && { form: 'rounds', seconds: own(block.cap) }
    case 'chance': {
      const stop = block.device === 'toss' ? roundsOfToss(block.stop) : block.stop
      const most = stop.kind === 'seconds' ? stop.seconds : stop.kind === 'draws' ? stop.draws : undefined
      return {
        form: 'chance',
        device: block.device,
        stop: { kind: stop.kind, ...(most !== undefined && { most }) },
        oneByOne: block.turns === 'oneByOne',
        table: [...chanceTable(block)].map(([face, stations]) => ({ face, turns: stations.map(turn) })),
        seed: block.seed,
      }
    }
    case 'intervals': {
      const pick = block.pick && own(block.pick)
      return pick && pick < block.stations.length
        ? { form: 'intervals', pick, turns: block.stations.map(turn) }
        : undefined
    }
    case 'ladder':
      return { form: 'ladder', rungs: rungsFor(block, group.id) }
    case 'levels':
      return { form: 'levels', turns: block.stations.map(turn), bonus: block.bonus }
    case 'target':
      return { form: 'target', targets: block.targets, throws: own(block.throws) }
    case 'game': {
      const { setUp, rules, players, harder, onMiss } = block
      return { form: 'game', setUp, rules, players, harder, ...(onMiss && { onMiss: ofCell(own(onMiss)) }) }
    }
    case 'measure':
      return { form: 'measure', test: block.test, trials: own(block.trials), moment: block.moment }
    case 'quiz':
      return { form: 'quiz', questions: block.questions }
    default:
      return undefined
  }
}
