import { usePlans } from '../reading/usePlans.ts'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'

/** What this page holds of a teacher who signed out: whoever signs in next has her own. */
export function forgetTeacher(): void {
  useSettings().forget()
  useRepertoire().forget()
  usePlans().forget()
}
