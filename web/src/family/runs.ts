import { v4 as uuid } from 'uuid'
import { familyClient } from '@esfuerzo/contract/family'
import { lifeStore } from './lifeStore.ts'
import { runLife } from './runLife.ts'

const client = familyClient((input, init) => fetch(input, init))

/** The runs of this device. */
export const runs = runLife({
  store: lifeStore,
  send: (token, run, key) => client.sendRun(token, run, key),
  now: () => Date.now(),
  newId: uuid,
})
