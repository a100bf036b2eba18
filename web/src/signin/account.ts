import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { CallError, type Teacher } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { setOwner } from '../shared/device/owner.ts'

/** Who is signed in on this device. */
export const useAccount = defineStore('account', () => {
  const teacher = shallowRef<Teacher>()
  // Data on the device is marked with its owner.
  watch(teacher, (now) => setOwner(now?.id), { flush: 'sync' })
  /** `away` if the server cannot be reached: the last signed-in teacher is assumed to be signed in still. */
  const state = ref<'unknown' | 'in' | 'out' | 'away'>('unknown')

  async function load(): Promise<void> {
    if (state.value === 'in') return
    try {
      teacher.value = await client('me', {})
      state.value = 'in'
    } catch (error) {
      state.value = error instanceof CallError && error.code === 'sign-in-needed' ? 'out' : 'away'
    }
  }

  /** @throws {CallError} `wrong-sign-in`, `too-many-tries`, `offline` */
  async function signIn(email: string, password: string): Promise<void> {
    teacher.value = await client('signIn', { body: { email, password } })
    state.value = 'in'
  }

  /** Follows a mailed sign-in link. @throws {CallError} `ended` if it was used before or has expired */
  async function signInByLink(token: string): Promise<void> {
    teacher.value = await client('signInByLink', { body: { token } })
    state.value = 'in'
  }

  async function signOut(): Promise<void> {
    await client('signOut', {}).catch(() => undefined)
    teacher.value = undefined
    state.value = 'out'
  }

  /** Also signs every other device out. @throws {CallError} `wrong-sign-in` if `current` is not the password */
  async function changePassword(current: string, next: string): Promise<void> {
    await client('changePassword', { body: { current, next } })
  }

  /** Ends every sign-in, including this device's. @throws {CallError} */
  async function signOutEverywhere(): Promise<void> {
    await client('signOutEverywhere', {})
    teacher.value = undefined
    state.value = 'out'
  }

  /**
   * Requests an account; a message says how to continue. @returns whether it is in the demo's outbox @throws {CallError} `invalid`,
   * `too-many-tries`, `offline`
   */
  async function signUp(name: string, email: string): Promise<boolean> {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
    try {
      return (await client('signUp', { body: { name, email, zone } })).demo
    } catch (error) {
      // A browser may have a newer zone than the server's database: then she chooses one in her settings.
      const isZone = error instanceof CallError && error.problems.some((p) => p.path.join() === 'zone')
      if (!isZone) throw error
      return (await client('signUp', { body: { name, email, zone: 'UTC' } })).demo
    }
  }

  /** Requests a new password; a message says how to continue. @returns whether it is in the demo's outbox @throws {CallError} */
  async function forgotPassword(email: string): Promise<boolean> {
    return (await client('forgotPassword', { body: { email } })).demo
  }

  /** Follows a mailed link, and signs in. @throws {CallError} `ended` if the link has expired */
  async function choosePassword(token: string, password: string): Promise<void> {
    teacher.value = await client('choosePassword', { body: { token, password } })
    state.value = 'in'
  }

  /** @throws {CallError} */
  async function rename(name: string): Promise<void> {
    teacher.value = await client('rename', { body: { name } })
  }

  /** Deletes everything permanently. @throws {CallError} `wrong-sign-in` if the password is wrong */
  async function deleteAccount(password: string): Promise<void> {
    await client('deleteAccount', { body: { password } })
    teacher.value = undefined
    state.value = 'out'
  }

  return {
    teacher,
    state,
    load,
    signIn,
    signInByLink,
    signOut,
    changePassword,
    signOutEverywhere,
    signUp,
    forgotPassword,
    choosePassword,
    rename,
    deleteAccount,
  }
})
