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
import { height } from './rules/home/height.ts'
import { thrownThings } from './rules/home/thrownThings.ts'
import { sprintToWall } from './rules/home/sprintToWall.ts'
import { partnerAlone } from './rules/home/partnerAlone.ts'
import { adultAlone } from './rules/home/adultAlone.ts'
import { thingsToFetch } from './rules/home/thingsToFetch.ts'
import { thingsToWrite } from './rules/home/thingsToWrite.ts'
import { unsafeWeight } from './rules/home/unsafeWeight.ts'
import { harmfulBottle } from './rules/home/harmfulBottle.ts'
import { stairsJump } from './rules/home/stairsJump.ts'
import { rollingSupport } from './rules/home/rollingSupport.ts'
import { standInUnfit } from './rules/home/standInUnfit.ts'
import { smallThings } from './rules/home/smallThings.ts'
import { inTheMouth } from './rules/home/inTheMouth.ts'
import { roundTheNeck } from './rules/home/roundTheNeck.ts'
import { blindfold } from './rules/home/blindfold.ts'
import { heading } from './rules/care/heading.ts'
import { inverted } from './rules/care/inverted.ts'
import { youngLoad } from './rules/care/youngLoad.ts'
import { overheadLoad } from './rules/care/overheadLoad.ts'
import { beyondGrade } from './rules/care/beyondGrade.ts'
import { noEasier } from './rules/care/noEasier.ts'
import { loadTooHeavy } from './rules/care/loadTooHeavy.ts'
import { loadNotStated } from './rules/care/loadNotStated.ts'
import { youngDips } from './rules/care/youngDips.ts'
import { spinning } from './rules/care/spinning.ts'
import { highElbows } from './rules/care/highElbows.ts'
import { loadedRoundTwist } from './rules/care/loadedRoundTwist.ts'
import { neckCircles } from './rules/care/neckCircles.ts'
import { deepWalkingSquats } from './rules/care/deepWalkingSquats.ts'
import { heldFeetSitUps } from './rules/care/heldFeetSitUps.ts'
import { eyesClosed } from './rules/care/eyesClosed.ts'
import { socksJump } from './rules/care/socksJump.ts'
import { breathHeld } from './rules/care/breathHeld.ts'
import { bouncedStretch } from './rules/care/bouncedStretch.ts'
import { racedTechnique } from './rules/care/racedTechnique.ts'
import { floorBurpee } from './rules/care/floorBurpee.ts'
import { neckPulse } from './rules/care/neckPulse.ts'
import { forfeits } from './rules/care/forfeits.ts'
import { seatedTwin } from './rules/care/seatedTwin.ts'
import { bodyTalk } from './rules/words/bodyTalk.ts'
import { punishmentWords } from './rules/words/punishmentWords.ts'
import { filmed } from './rules/words/filmed.ts'
import { tooManyWords } from './rules/words/tooManyWords.ts'
import { surpriseTold } from './rules/words/surpriseTold.ts'
import { measuredCold } from './rules/measures/measuredCold.ts'
import { otherSetUp } from './rules/measures/otherSetUp.ts'
import { testBeyondGrade } from './rules/measures/testBeyondGrade.ts'
import { testThuds } from './rules/measures/testThuds.ts'
import { oneSided } from './rules/balance/oneSided.ts'
import type { Rule } from './rule.ts'

/** Every rule, a family after the other. */
export const rules = [
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
  height,
  thrownThings,
  sprintToWall,
  partnerAlone,
  adultAlone,
  thingsToFetch,
  thingsToWrite,
  unsafeWeight,
  harmfulBottle,
  stairsJump,
  rollingSupport,
  standInUnfit,
  smallThings,
  inTheMouth,
  roundTheNeck,
  blindfold,
  heading,
  inverted,
  youngLoad,
  overheadLoad,
  beyondGrade,
  noEasier,
  loadTooHeavy,
  loadNotStated,
  youngDips,
  spinning,
  highElbows,
  loadedRoundTwist,
  neckCircles,
  deepWalkingSquats,
  heldFeetSitUps,
  eyesClosed,
  socksJump,
  breathHeld,
  bouncedStretch,
  racedTechnique,
  floorBurpee,
  neckPulse,
  forfeits,
  seatedTwin,
  bodyTalk,
  punishmentWords,
  filmed,
  tooManyWords,
  surpriseTold,
  measuredCold,
  otherSetUp,
  testBeyondGrade,
  testThuds,
  oneSided,
] as const satisfies readonly Rule[]
