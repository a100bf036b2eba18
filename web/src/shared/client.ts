import { createClient, type Client } from '@esfuerzo/contract'
import { noteFault } from './lastFault.ts'

const asked = createClient((input, init) => fetch(input, { ...init, credentials: 'same-origin' }))

/** The page's connection to the server. */
export const client: Client = async (name, input) => {
  try {
    return await asked(name, input)
  } catch (error) {
    noteFault(error)
    throw error
  }
}
