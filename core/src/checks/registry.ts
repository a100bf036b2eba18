import { noWarmUp } from './rules/shape/noWarmUp.ts'
import { shortWarmUp } from './rules/shape/shortWarmUp.ts'
import { hardStart } from './rules/shape/hardStart.ts'
import { noCoolDown } from './rules/shape/noCoolDown.ts'
import { straightDown } from './rules/shape/straightDown.ts'
import { gameCut } from './rules/shape/gameCut.ts'
import { overMinutes } from './rules/shape/overMinutes.ts'
import { sectionOver } from './rules/shape/sectionOver.ts'
import { lanesApart } from './rules/shape/lanesApart.ts'
import { wellUnderMinutes } from './rules/shape/wellUnderMinutes.ts'
import { longTalk } from './rules/shape/longTalk.ts'
import { noWater } from './rules/shape/noWater.ts'
import { noCounterShape } from './rules/shape/noCounterShape.ts'
import { staticFirst } from './rules/shape/staticFirst.ts'
import { notWarmed } from './rules/shape/notWarmed.ts'
import { workedNotStretched } from './rules/shape/workedNotStretched.ts'
import { mostlyStill } from './rules/shape/mostlyStill.ts'
import { newMoves } from './rules/shape/newMoves.ts'
import { longForYoung } from './rules/shape/longForYoung.ts'
import { aimAbsent } from './rules/shape/aimAbsent.ts'
import { workTooLong } from './rules/dose/workTooLong.ts'
import { workRestRatio } from './rules/dose/workRestRatio.ts'
import { vigorousMinutes } from './rules/dose/vigorousMinutes.ts'
import { loadedSets } from './rules/dose/loadedSets.ts'
import { loadedReps } from './rules/dose/loadedReps.ts'
import { powerReps } from './rules/dose/powerReps.ts'
import { holdPolicy } from './rules/dose/holdPolicy.ts'
import { longHold } from './rules/dose/longHold.ts'
import { sidesUnequal } from './rules/dose/sidesUnequal.ts'
import { landings } from './rules/dose/landings.ts'
import { hardLandings } from './rules/dose/hardLandings.ts'
import { wrists } from './rules/dose/wrists.ts'
import { sameMuscleTwice } from './rules/dose/sameMuscleTwice.ts'
import { jumpsInARow } from './rules/dose/jumpsInARow.ts'
import { bigStepUp } from './rules/dose/bigStepUp.ts'
import { restTooShort } from './rules/changeOver/restTooShort.ts'
import { handsFull } from './rules/changeOver/handsFull.ts'
import { kitMissing } from './rules/home/kitMissing.ts'
import { floorTooSmall } from './rules/home/floorTooSmall.ts'
import { thudWhereQuiet } from './rules/home/thudWhereQuiet.ts'
import { thrownThings } from './rules/home/thrownThings.ts'
import { partnerAlone } from './rules/home/partnerAlone.ts'
import { adultAlone } from './rules/home/adultAlone.ts'
import { thingsToFetch } from './rules/home/thingsToFetch.ts'
import { thingsToWrite } from './rules/home/thingsToWrite.ts'
import { unsafeWeight } from './rules/home/unsafeWeight.ts'
import { standInUnfit } from './rules/home/standInUnfit.ts'
import { smallThings } from './rules/home/smallThings.ts'
import { inverted } from './rules/care/inverted.ts'
import { youngLoad } from './rules/care/youngLoad.ts'
import { overheadLoad } from './rules/care/overheadLoad.ts'
import { beyondGrade } from './rules/care/beyondGrade.ts'
import { noEasier } from './rules/care/noEasier.ts'
import { loadTooHeavy } from './rules/care/loadTooHeavy.ts'
import { loadNotStated } from './rules/care/loadNotStated.ts'
import { youngDips } from './rules/care/youngDips.ts'
import { loadedRoundTwist } from './rules/care/loadedRoundTwist.ts'
import { racedTechnique } from './rules/care/racedTechnique.ts'
import { seatedTwin } from './rules/care/seatedTwin.ts'
import { tooManyWords } from './rules/words/tooManyWords.ts'
import { surpriseTold } from './rules/words/surpriseTold.ts'
import { measuredCold } from './rules/measures/measuredCold.ts'
import { otherSetUp } from './rules/measures/otherSetUp.ts'
import { testBeyondGrade } from './rules/measures/testBeyondGrade.ts'
import { testThuds } from './rules/measures/testThuds.ts'
import { oneSided } from './rules/balance/oneSided.ts'
import { wordRules } from './rules/wordRules.ts'
import { ruleIds, type Rule } from './rule.ts'

/** Rules that look at more than words, a family after the other. */
const others = [
  noWarmUp,
  shortWarmUp,
  hardStart,
  noCoolDown,
  straightDown,
  gameCut,
  overMinutes,
  sectionOver,
  lanesApart,
  wellUnderMinutes,
  longTalk,
  noWater,
  noCounterShape,
  staticFirst,
  notWarmed,
  workedNotStretched,
  mostlyStill,
  newMoves,
  longForYoung,
  aimAbsent,
  workTooLong,
  workRestRatio,
  vigorousMinutes,
  loadedSets,
  loadedReps,
  powerReps,
  holdPolicy,
  longHold,
  sidesUnequal,
  landings,
  hardLandings,
  wrists,
  sameMuscleTwice,
  jumpsInARow,
  bigStepUp,
  restTooShort,
  handsFull,
  kitMissing,
  floorTooSmall,
  thudWhereQuiet,
  thrownThings,
  partnerAlone,
  adultAlone,
  thingsToFetch,
  thingsToWrite,
  unsafeWeight,
  standInUnfit,
  smallThings,
  inverted,
  youngLoad,
  overheadLoad,
  beyondGrade,
  noEasier,
  loadTooHeavy,
  loadNotStated,
  youngDips,
  loadedRoundTwist,
  racedTechnique,
  seatedTwin,
  tooManyWords,
  surpriseTold,
  measuredCold,
  otherSetUp,
  testBeyondGrade,
  testThuds,
  oneSided,
] as const satisfies readonly Rule[]

const byId = new Map([...others, ...wordRules].map((rule) => [rule.id, rule]))

/** Every rule, in the order of their ids. */
export const rules: readonly Rule[] = ruleIds.map((id) => byId.get(id)!)
