import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { CallError, type Teacher } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { setOwner } from '../shared/device/owner.ts'

/** Who is signed in on this device. */
export const useAccount = defineStore('account', () => {
  const teacher = shallowRef<Teacher>()
  // What the device keeps is marked with whose it is.
  watch(teacher, (now) => setOwner(now?.id), { flush: 'sync' })
  /** `away` when the server cannot be asked: whoever was signed in is taken to be so still. */
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

  /** Follows a mailed link to sign in. @throws {CallError} `ended` where it was followed before or its time is over */
  async function signInByLink(token: string): Promise<void> {
    teacher.value = await client('signInByLink', { body: { token } })
    state.value = 'in'
  }

  async function signOut(): Promise<void> {
    await client('signOut', {}).catch(() => undefined)
    teacher.value = undefined
    state.value = 'out'
  }

  /** Signs every other device out too. @throws {CallError} `wrong-sign-in` where `current` is not the password */
  async function changePassword(current: string, next: string): Promise<void> {
    await client('changePassword', { body: { current, next } })
  }

  /** Ends every sign-in, on this device too. @throws {CallError} */
  async function signOutEverywhere(): Promise<void> {
    await client('signOutEverywhere', {})
    teacher.value = undefined
    state.value = 'out'
  }

  /** Asks for an account; how it goes on comes by message. @returns whether that lies in the demo's outbox @throws {CallError} `invalid`, `too-many-tries`, `offline` */
  async function signUp(name: string, email: string): Promise<boolean> {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
    try {
      return (await client('signUp', { body: { name, email, zone } })).demo
    } catch (error) {
      // A browser may know a newer zone than the server's database: she chooses one in her settings then.
      const isZone = error instanceof CallError && error.problems.some((p) => p.path.join() === 'zone')
      if (!isZone) throw error
      return (await client('signUp', { body: { name, email, zone: 'UTC' } })).demo
    }
  }

  /** Asks for a new password; how it goes on comes by message. @returns whether that lies in the demo's outbox @throws {CallError} */
  async function forgotPassword(email: string): Promise<boolean> {
    return (await client('forgotPassword', { body: { email } })).demo
  }

  /** Follows a mailed link, and signs in. @throws {CallError} `ended` where the link's time is over */
  async function choosePassword(token: string, password: string): Promise<void> {
    teacher.value = await client('choosePassword', { body: { token, password } })
    state.value = 'in'
  }

  /** @throws {CallError} */
  async function rename(name: string): Promise<void> {
    teacher.value = await client('rename', { body: { name } })
  }

  /** Everything, for good. @throws {CallError} `wrong-sign-in` where it is not the password */
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
