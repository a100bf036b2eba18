import { onScopeDispose, shallowRef, type ShallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { ownDevice } from '../shared/device/ownDevice.ts'
import { saveFile } from '../shared/saveFile.ts'
import { useAccount } from '../signin/account.ts'
import { forgetTeacher } from './forgetTeacher.ts'
import { clearWork, unsentWork, type UnsentWork } from './unsentWork.ts'

/** How often it is looked whether all has been sent, and how long before anybody is asked, in milliseconds. */
const [look, patience] = [250, 1500]

export interface SigningOut {
  /** What is not sent while somebody is asked about it; empty while nobody is. */
  unsent: ShallowRef<readonly UnsentWork[]>
  /**
   * Signs out; asks first where a shared device has work that is not sent. While it asks it goes on looking, and signs out as soon as
   * all is sent.
   */
  ask: () => Promise<void>
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
  /** Counts the times she asked to sign out or to stay: what was begun before is over. */
  let turn = 0
  const pause = () => new Promise((resolve) => setTimeout(resolve, look))

  async function leave(): Promise<void> {
    turn++
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
    const mine = ++turn
    for (let waited = 0; ; waited += look) {
      const left = await unsentWork()
      if (mine !== turn) return
      if (!left.length) return leave()
      // What was typed a moment ago is on its way.
      if (waited >= patience || !navigator.onLine) unsent.value = left
      await pause()
      if (mine !== turn) return
    }
  }
  function stay(): void {
    turn++
    unsent.value = []
  }
  // Whoever went on elsewhere is not signed out behind her back.
  onScopeDispose(stay)
  return {
    unsent,
    ask,
    async download() {
      saveFile('esfuerzo-unsent.json', { unsent: unsent.value.map(({ kind, title, kept }) => ({ kind, title, kept })) })
      await leave()
    },
    discard: leave,
    stay,
  }
}
