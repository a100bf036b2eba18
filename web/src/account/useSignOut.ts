import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { ownDevice } from '../shared/device/ownDevice.ts'
import { saveFile } from '../shared/saveFile.ts'
import { useAccount } from '../signin/account.ts'
import { forgetTeacher } from './forgetTeacher.ts'
import { clearWork, unsentWork, type UnsentWork } from './unsentWork.ts'

/** How often it is looked whether all has been sent, and how long before anybody is asked, in milliseconds. */
const [look, patience] = [500, 2500]

export interface SigningOut {
  /** What is not sent while somebody is asked about it; empty while nobody is. */
  unsent: ShallowRef<readonly UnsentWork[]>
  /** Signs out by itself as soon as all is sent. */
  waiting: Ref<boolean>
  /** Signs out; asks first where a shared device has work that is not sent. */
  ask: () => Promise<void>
  wait: () => Promise<void>
  /** Hands what is not sent over as a file, and signs out. */
  download: () => Promise<void>
  /** Signs out; what is not sent is lost. */
  discard: () => Promise<void>
  stay: () => void
}

/**
 * Signing out. On a shared device, which every device is until its teacher says otherwise, nothing of hers is left behind, and nothing
 * of it is lost without her being asked.
 *
 * @param end ends the sign-in: here, or everywhere
 */
export function useSignOut(end: () => Promise<unknown> = useAccount().signOut): SigningOut {
  const router = useRouter()
  const unsent = shallowRef<readonly UnsentWork[]>([])
  const waiting = ref(false)
  const pause = () => new Promise((resolve) => setTimeout(resolve, look))

  async function leave(): Promise<void> {
    waiting.value = false
    unsent.value = []
    const isShared = !ownDevice.read()
    await end()
    if (isShared) await clearWork()
    forgetTeacher()
    await router.push({ name: 'sign-in' })
    // A page that was open may have kept something while it was left.
    if (isShared) await clearWork()
  }
  async function ask(): Promise<void> {
    if (ownDevice.read()) return leave()
    let left = await unsentWork()
    // What was typed a moment ago is on its way.
    for (let waited = 0; left.length && navigator.onLine && waited < patience; waited += look) {
      await pause()
      left = await unsentWork()
    }
    if (left.length) unsent.value = left
    else await leave()
  }
  async function wait(): Promise<void> {
    waiting.value = true
    while (waiting.value) {
      const left = await unsentWork()
      if (!left.length) return leave()
      unsent.value = left
      await pause()
    }
  }
  return {
    unsent,
    waiting,
    ask,
    wait,
    async download() {
      saveFile('esfuerzo-unsent.json', { unsent: unsent.value.map(({ kind, title, kept }) => ({ kind, title, kept })) })
      await leave()
    },
    discard: leave,
    stay() {
      waiting.value = false
      unsent.value = []
    },
  }
}
