import { costs, minutes, numberLever, type LeversFor } from '../../fit/lever.ts'
import type { CallsBlock } from './schema.ts'

const levers = [
  numberLever<'calls'>(
    'cap',
    costs.cap,
    (b) => b.seconds,
    (b, value) => ({ ...b, seconds: value }),
    minutes,
  ),
]

/** How long is called. */
export const callsLevers: LeversFor<CallsBlock> = () => levers
