import { adultAlone } from './rules/home/adultAlone.ts'
import { beyondGrade } from './rules/care/beyondGrade.ts'
import { floorTooSmall } from './rules/home/floorTooSmall.ts'
import { hardLandings } from './rules/dose/hardLandings.ts'
import { kitMissing } from './rules/home/kitMissing.ts'
import { landings } from './rules/dose/landings.ts'
import { lanesApart } from './rules/shape/lanesApart.ts'
import { longForYoung } from './rules/shape/longForYoung.ts'
import { longHold } from './rules/dose/longHold.ts'
import { longTalk } from './rules/shape/longTalk.ts'
import { noCoolDown } from './rules/shape/noCoolDown.ts'
import { noEasier } from './rules/care/noEasier.ts'
import { shortWarmUp } from './rules/shape/shortWarmUp.ts'
import { noWater } from './rules/shape/noWater.ts'
import { overMinutes } from './rules/shape/overMinutes.ts'
import { partnerAlone } from './rules/home/partnerAlone.ts'
import type { Rule } from './rule.ts'
import { thingsToFetch } from './rules/home/thingsToFetch.ts'
import { thudWhereQuiet } from './rules/home/thudWhereQuiet.ts'
import { wellUnderMinutes } from './rules/shape/wellUnderMinutes.ts'
import { wrists } from './rules/dose/wrists.ts'
import { youngLoad } from './rules/care/youngLoad.ts'

/** Every rule, a family after the other. */
export const rules = [
  shortWarmUp,
  noCoolDown,
  overMinutes,
  wellUnderMinutes,
  lanesApart,
  longTalk,
  noWater,
  longForYoung,
  landings,
  hardLandings,
  longHold,
  wrists,
  kitMissing,
  floorTooSmall,
  thudWhereQuiet,
  partnerAlone,
  adultAlone,
  thingsToFetch,
  beyondGrade,
  youngLoad,
  noEasier,
] as const satisfies readonly Rule[]
