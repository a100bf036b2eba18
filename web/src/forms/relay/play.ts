import type { FormPlay } from '../formPlay.ts'
import RelayPlay from './RelayPlay.vue'

export const relayScreen: FormPlay = {
  component: RelayPlay,
  whole: true,
  shows: (step) => step.say.code === 'relay.other',
}
