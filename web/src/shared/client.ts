import { createClient } from '@esfuerzo/contract'

/** The page's own way to the server. */
export const client = createClient((input, init) => fetch(input, { ...init, credentials: 'same-origin' }))
