import { counterShape } from './counterShape.ts'
import { drinkPause } from './drinkPause.ts'
import { easierVersion } from './easierVersion.ts'
import { easierWords } from './easierWords.ts'
import { fewerResults } from './fewerResults.ts'
import { fewerSets } from './fewerSets.ts'
import { hideTitle } from './hideTitle.ts'
import { lapLess } from './lapLess.ts'
import { lapMore } from './lapMore.ts'
import { leaveOut } from './leaveOut.ts'
import { lighter } from './lighter.ts'
import { likeMove } from './likeMove.ts'
import { likeWithout } from './likeWithout.ts'
import { moreMoving } from './moreMoving.ts'
import { moreRest } from './moreRest.ts'
import { noLoad } from './noLoad.ts'
import { noStandIn } from './noStandIn.ts'
import { otherOrder } from './otherOrder.ts'
import { pickUp } from './pickUp.ts'
import { shorterTalk } from './shorterTalk.ts'
import { shorterWork } from './shorterWork.ts'
import { stretchIt } from './stretchIt.ts'
import { stretchLater } from './stretchLater.ts'
import { talkFirst } from './talkFirst.ts'
import { toTheLimit } from './toTheLimit.ts'
import { trueMinutes } from './trueMinutes.ts'
import { warmIt } from './warmIt.ts'
import { withoutCap } from './withoutCap.ts'
import { walkFirst } from './walkFirst.ts'
import { withoutAim } from './withoutAim.ts'
import { withoutWords } from './withoutWords.ts'
import type { RuleId } from '../rule.ts'
import type { FixMaker } from './fix.ts'

/** The fixes of each check, the likeliest first. A check without any has nothing to click: words answer it, not an edit. */
export const makersFor: Partial<Record<RuleId, readonly FixMaker[]>> = {
  'no-warm-up': [moreMoving],
  'short-warm-up': [moreMoving],
  'hard-start': [easierVersion, stretchLater],
  'no-cool-down': [walkFirst],
  'straight-down': [walkFirst],
  'game-cut': [lapLess],
  'over-minutes': [lapLess, trueMinutes],
  'section-over': [lapLess, toTheLimit],
  'lanes-apart': [lapLess],
  'well-under-minutes': [lapMore, trueMinutes],
  'long-talk': [shorterTalk],
  'no-water': [drinkPause],
  'no-counter-shape': [counterShape],
  'static-first': [stretchLater],
  'not-warmed': [warmIt],
  'worked-not-stretched': [stretchIt],
  'new-moves': [talkFirst],
  'aim-absent': [lapMore, withoutAim],
  'work-too-long': [shorterWork],
  'work-rest-ratio': [moreRest, shorterWork],
  'vigorous-minutes': [lapLess],
  'loaded-sets': [fewerSets],
  'loaded-reps': [toTheLimit],
  'power-reps': [toTheLimit, easierVersion],
  'hold-policy': [toTheLimit],
  'long-hold': [toTheLimit, easierVersion],
  'sides-unequal': [withoutCap],
  landings: [easierVersion, lapLess],
  'hard-landings': [easierVersion, lapLess],
  wrists: [otherOrder, easierVersion, leaveOut],
  'same-muscle-twice': [otherOrder],
  'jumps-in-a-row': [otherOrder, easierVersion],
  'big-step-up': [lapLess],
  'rest-too-short': [moreRest, otherOrder],
  'hands-full': [noLoad],
  'kit-missing': [easierVersion, likeMove, leaveOut],
  'floor-too-small': [easierVersion, likeMove, leaveOut],
  'thud-where-quiet': [easierVersion, likeMove, leaveOut],
  'thrown-things': [pickUp],
  'partner-alone': [likeMove, leaveOut],
  'adult-alone': [easierVersion, likeMove, leaveOut],
  'things-to-fetch': [likeWithout],
  'things-to-write': [fewerResults],
  'unsafe-weight': [noStandIn, withoutWords],
  'stand-in-unfit': [likeMove, leaveOut, noStandIn],
  'small-things': [withoutWords, easierVersion, likeMove],
  inverted: [easierVersion, withoutWords, likeMove, leaveOut],
  'young-load': [easierVersion, lighter, noLoad],
  'overhead-load': [lighter, easierVersion, noLoad],
  'beyond-grade': [easierVersion],
  'no-easier': [easierWords],
  'load-too-heavy': [lighter, easierVersion],
  'young-dips': [noStandIn, likeMove],
  'loaded-round-twist': [noLoad, easierVersion],
  'raced-technique': [noLoad],
  'surprise-told': [hideTitle],
  'measured-cold': [moreMoving],
  'harmful-bottle': [withoutWords],
  'stairs-jump': [withoutWords],
  'rolling-support': [withoutWords],
  'in-the-mouth': [withoutWords],
  'round-the-neck': [withoutWords],
  blindfold: [withoutWords],
  'sprint-to-wall': [withoutWords],
  height: [withoutWords],
  heading: [withoutWords],
  spinning: [withoutWords],
  'high-elbows': [withoutWords],
  'neck-circles': [withoutWords],
  'deep-walking-squats': [withoutWords],
  'held-feet-sit-ups': [withoutWords],
  'eyes-closed': [withoutWords],
  'socks-jump': [withoutWords],
  'breath-held': [withoutWords],
  'bounced-stretch': [withoutWords],
  'floor-burpee': [withoutWords],
  'neck-pulse': [withoutWords],
  forfeits: [withoutWords],
  'body-talk': [withoutWords],
  'punishment-words': [withoutWords],
  filmed: [withoutWords],
}
