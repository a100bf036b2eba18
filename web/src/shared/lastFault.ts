import { readonly, shallowRef } from 'vue'
import { CallError } from '@esfuerzo/contract'

const number = shallowRef<string>()

/** The number of the last error in the server's log; the error's message shows it. */
export const lastFault = readonly(number)

/**
 * Notes under which number a fault of the server's can be found; of what is refused, or was away, nobody asks for one.
 *
 * @example noteFault(new CallError('unexpected', '', [], undefined, '69756159-2182-4f8f')); lastFault.value // '69756159'
 */
export function noteFault(error: unknown): void {
  if (error instanceof CallError && error.code === 'unexpected') number.value = error.instance?.split('-')[0]
}
