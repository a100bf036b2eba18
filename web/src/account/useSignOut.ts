import { onScopeDispose, shallowRef, type ShallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { ownDevice } from '../shared/device/ownDevice.ts'
import { saveFile } from '../shared/saveFile.ts'
import { useAccount } from '../signin/account.ts'
import { forgetTeacher } from './forgetTeacher.ts'
import { clearWork, unsentWork, type UnsentWork } from './unsentWork.ts'

/** How often to check whether everything has been sent, and how long before asking, in milliseconds. */
const [look, patience] = [250, 1500]

export interface SigningOut {
  /** The unsent work while the dialog is open; otherwise empty. */
  unsent: ShallowRef<readonly UnsentWork[]>
  /**
   * Signs out; asks first if a shared device has unsent work. While asking it keeps checking, and signs out as soon as everything is sent.
   */
  ask: () => Promise<void>
  /** Saves the unsent work as a file, and signs out. */
  download: () => Promise<void>
  /** Signs out; unsent work is lost. */
  discard: () => Promise<void>
  stay: () => void
}

/**
 * Signing out. On a shared device, which is the default, nothing of hers is left behind, and nothing is lost without asking her.
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
    // An open page may have stored something while it was being closed.
    if (isShared) await clearWork()
  }
  async function ask(): Promise<void> {
    if (ownDevice.read()) return leave()
    const mine = ++turn
    for (let waited = 0; ; waited += look) {
      const left = await unsentWork()
      if (mine !== turn) return
      if (!left.length) return leave()
      // Text typed a moment ago is still being sent.
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
