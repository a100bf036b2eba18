import { readonly, shallowRef } from 'vue'
import { CallError } from '@esfuerzo/contract'

const number = shallowRef<string>()

/** The number of the last error in the server's log; the error's message shows it. */
export const lastFault = readonly(number)

/**
 * Records the number under which a server error can be found in its log; a refused request or an outage has none.
 *
 * @example noteFault(new CallError('unexpected', '', [], undefined, '69756159-2182-4f8f')); lastFault.value // '69756159'
 */
export function noteFault(error: unknown): void {
  if (error instanceof CallError && error.code === 'unexpected') number.value = error.instance?.split('-')[0]
}
