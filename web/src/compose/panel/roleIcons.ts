import {
  mdiBullhornOutline,
  mdiClipboardCheckOutline,
  mdiFlagCheckered,
  mdiGamepadCircleOutline,
  mdiRun,
  mdiSchoolOutline,
  mdiThermometer,
  mdiWeatherNight,
} from '@mdi/js'
import { type Role } from '@esfuerzo/core'

/** Parts of a session differ by word, icon and place. */
export const roleIcons: Record<Role, string> = {
  brief: mdiBullhornOutline,
  warmUp: mdiThermometer,
  skill: mdiSchoolOutline,
  main: mdiRun,
  game: mdiGamepadCircleOutline,
  coolDown: mdiWeatherNight,
  challenge: mdiFlagCheckered,
  test: mdiClipboardCheckOutline,
}
