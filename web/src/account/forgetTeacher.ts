import { usePlans } from '../reading/usePlans.ts'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'

/** Clears this page's data of a teacher who signed out, so that the next one starts with her own. */
export function forgetTeacher(): void {
  useSettings().forget()
  useRepertoire().forget()
  usePlans().forget()
}
