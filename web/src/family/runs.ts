import { v4 as uuid } from 'uuid'
import { familyClient } from '@esfuerzo/contract/family'
import { lifeStore } from './lifeStore.ts'
import { runLife } from './runLife.ts'

const client = familyClient((input, init) => fetch(input, init))

/** The runs of this device. */
export const runs = runLife({
  store: lifeStore,
  send: (token, run) => client.sendRun(token, run),
  now: () => Date.now(),
  newId: uuid,
})
