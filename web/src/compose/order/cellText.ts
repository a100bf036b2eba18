import {
  performedBy,
  type Amount,
  type Block,
  type Cell,
  type Group,
  type Lap,
  type Library,
  type Unit,
  traitsOf,
} from '@esfuerzo/core'
import { printBlockFor } from '@esfuerzo/core/notation'
import type { Words } from '../../shared/words.ts'
import type { FormSummary, Summary } from '../../forms/summary.ts'
import { formSummaries } from '../../forms/summaries.ts'

/**
 * A dose in the short form of a running order.
 *
 * @example amountText({ from: 10, to: 15 }, 'reps', t) // '10–15'
 * @example amountText({ most: 20 }, 'seconds', t) // 'up to 20 s'
 */
export function amountText(amount: Amount, unit: Unit, t: Words): string {
  const n =
    typeof amount === 'number'
      ? String(amount)
      : 'from' in amount
        ? `${amount.from}–${amount.to}`
        : 'atLeast' in amount
          ? t('amount.atLeast', { n: amount.atLeast })
          : t('amount.most', { n: amount.most })
  return t(`unit.short.${unit}`, { n, count: typeof amount === 'number' ? amount : 2 })
}

const lapSeconds = (laps: readonly Lap[], value: (lap: Lap) => number): string => {
  const values = [...new Set(laps.map(value))]
  return values.join(', ')
}

/**
 * A cell's dose as text in its block, for one group, with the weight.
 *
 * @example doseText(list, { …, dose: { unit: 'reps', amount: 8 }, load: { kg: 0.5 } }, group, library, t) // '8 · 0.5 kg'
 */
export function doseText(block: Block, cell: Cell, group: Group, library: Library, t: Words): string {
  const dose = doseAlone(block, cell, group, library, t)
  return [dose, cell.load && t('cell.load', { kg: cell.load.kg })].filter(Boolean).join(' · ')
}

function doseAlone(block: Block, cell: Cell, group: Group, library: Library, t: Words): string {
  if (!library.moves.get(cell.move)?.versions.some((v) => v.id === cell.version)) return ''
  const { sides } = performedBy(cell, library)
  const clock = traitsOf(block).clock?.(block, group.id)
  if (clock) {
    const { laps } = clock
    const goal = cell.dose ? ` · ${amountText(cell.dose.amount, cell.dose.unit, t)}` : ''
    if (sides === 'each' && !clock.twoSlots) {
      const first = laps[0]!.work
      const same = laps.every((lap) => lap.work === first)
      return same ? `${Math.ceil(first / 2)} + ${Math.floor(first / 2)} s${goal}` : `${t('cell.halfEach')}${goal}`
    }
    return `${sides === 'each' ? '2 × ' : ''}${lapSeconds(laps, (lap) => lap.work)} s${goal}`
  }
  const dose = cell.dose ?? (traitsOf(block).dose === 'open' ? { unit: 'seconds' as const, amount: 30 } : undefined)
  return dose ? `${sides === 'each' ? '2 × ' : ''}${amountText(dose.amount, dose.unit, t)}` : ''
}

/** What a block's own row shows for one group: its form and its numbers. */
export function blockSummary(block: Block, groupId: string, t: Words): Summary {
  const clock = traitsOf(block).clock?.(block, groupId)
  if (!clock) {
    const own = formSummaries[block.form] as FormSummary | undefined
    const text = printBlockFor(block, groupId) || t(`forms.${block.form}.about`)
    return own?.(block, groupId, t) ?? { text, dose: '' }
  }
  const { laps, lapRest } = clock
  const pairs = [...new Set(laps.map((lap) => `${lap.work} / ${lap.rest}`))]
  const rest = lapRest === undefined ? '' : ` · ${t('cell.lapRest', { n: lapRest })}`
  return { text: `${t('cell.laps', { n: laps.length })}${rest}`, dose: pairs.join(', ') }
}
