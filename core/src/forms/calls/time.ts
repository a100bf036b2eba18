import { seededRandom } from '../../distribution/seededRandom.ts'
import type { CallsBlock } from './schema.ts'
import { defaultOf } from '../../timing/defaults.ts'
import { clocked } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** A call at regular seconds, in an order set by the seed; never the same twice in a row if there is a choice. */
export function timeCalls(block: CallsBlock, steps: StepBuilder): void {
  const total = steps.valueFor(block.seconds)
  const every = Math.min(total, steps.valueFor(block.every))
  if (block.stations.length === 0) return
  const random = seededRandom(block.seed)
  const turns = block.stations.map((station) => steps.turn(station))
  let last = -1
  for (let at = 0; at < total; at += every) {
    const others = turns.map((_, i) => i).filter((i) => i !== last || turns.length === 1)
    last = others[Math.floor(random() * others.length)]!
    const turn = turns[last]!
    const seconds = Math.min(every, total - at)
    const hear = Math.min(seconds - 1, defaultOf('call'))
    const { move, version } = turn.cell
    const params = { move, version, title: turn.station.storyName }
    const station = turn.station.id
    if (hear > 0) steps.tell('change', 'clock', clocked(hear), { code: 'calls.call', params }, { station })
    steps.slot(turn, seconds - hear)
  }
}
