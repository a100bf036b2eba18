import type { Family } from '../terms/move.ts'

/** What a child sets out to learn of a family, and what is asked at the end. */
export interface SkillWords {
  /** After "We are learning to". */
  learn: readonly string[]
  ask: readonly string[]
}

const anyAsk = ['What made it easier?', 'What would you do the same way again?', 'What went best, and why?'] as const

/** Ours, in the trade's words. */
export const skillWords: Record<Family, SkillWords> = {
  squat: {
    learn: ['bend our knees over our toes', 'sit back as on a low chair', 'keep our heels down'],
    ask: ['Where did your knees point?', ...anyAsk],
  },
  lunge: {
    learn: ['take a long step and stay upright', 'lower straight down', 'keep the front knee still'],
    ask: ['Which leg was steadier?', ...anyAsk],
  },
  hinge: {
    learn: ['fold at the hips with a long back', 'push the hips back', 'lift with our legs'],
    ask: ['What did your back do?', ...anyAsk],
  },
  push: {
    learn: ['push with a straight back', 'keep our body in one line', 'bend our elbows slowly'],
    ask: ['When did your middle begin to sag?', ...anyAsk],
  },
  pull: {
    learn: ['pull with our elbows close', 'draw our shoulder blades together', 'pull slowly and let go slowly'],
    ask: ['Where did you feel the pull?', ...anyAsk],
  },
  brace: {
    learn: ['keep our middle strong', 'hold still and go on breathing', 'make a straight line'],
    ask: ['Could you still talk?', ...anyAsk],
  },
  curl: {
    learn: ['curl up slowly', 'use our middle and not our neck', 'come down more slowly than we go up'],
    ask: ['What did your neck do?', ...anyAsk],
  },
  extend: {
    learn: ['make ourselves long', 'lift without a jerk', 'stop at the top for a moment'],
    ask: ['Where did you feel it?', ...anyAsk],
  },
  twist: {
    learn: ['turn from the middle', 'turn and keep our feet where they are', 'turn as far as it is easy'],
    ask: ['Which side turns further?', ...anyAsk],
  },
  jump: {
    learn: ['land softly', 'land on bent knees', 'jump so that nobody hears it'],
    ask: ['How quiet was your last landing?', ...anyAsk],
  },
  travel: {
    learn: ['find a pace we can keep', 'move lightly on our feet', 'change direction and stay in balance'],
    ask: ['Could you have gone on?', ...anyAsk],
  },
  balance: {
    learn: ['stand still on one leg', 'find one point to look at', 'be steady before we go on'],
    ask: ['What did your eyes do?', ...anyAsk],
  },
  throwCatch: {
    learn: ['watch it into our hands', 'catch softly', 'throw so that it can be caught'],
    ask: ['What did your hands do when it came?', ...anyAsk],
  },
  strike: {
    learn: ['watch it until it is hit', 'hit it softly', 'be ready before it comes'],
    ask: ['Where did you look?', ...anyAsk],
  },
  dribble: {
    learn: ['keep it close', 'use both hands', 'look up while it moves'],
    ask: ['Which hand is cleverer?', ...anyAsk],
  },
  stretch: {
    learn: ['stretch slowly and breathe out', 'feel a pull and no more', 'move before we hold'],
    ask: ['Which side is longer?', ...anyAsk],
  },
  breathe: { learn: ['breathe slowly'], ask: [...anyAsk] },
  game: { learn: ['play fair and look round'], ask: [...anyAsk] },
}
