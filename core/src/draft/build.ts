import { newList } from '../forms/list/schema.ts'
import { newTalk } from '../forms/talk/schema.ts'
import type { Block } from '../session/forms.ts'
import { newSession } from '../session/newSession.ts'
import type { Section, Session } from '../session/schema.ts'
import type { Move } from '../terms/move.ts'
import { mapGroups } from '../terms/perGroup.ts'
import { coolDownBlock, taughtBlock, warmUpBlock } from './aroundMain.ts'
import { roomOf } from './ask.ts'
import { luckOf } from './luck.ts'
import { pick, type Parts, type Sizing } from './parts.ts'
import { places } from './places.ts'
import { rowCells } from './rows.ts'
import { skillWords } from './skillWords.ts'
import { storyOf } from './stories.ts'

/** What the parts between are called. */
const drinks = ['Drink', 'Water', 'A sip', 'Drink something'] as const
const slowly = ['Slowly first', 'Learn it', 'One good one', 'How it goes', 'Without hurry'] as const

/** Something to do with somebody, for who likes; said rarely, and only where somebody is there. */
const withSomebody = [
  'Whoever is at home may do a lap along.',
  'Somebody at home may count for you.',
  'Show somebody your best one.',
]

/** A draft as a session. */
export function buildDraft(parts: Parts, { main, second, game }: Sizing): Session {
  const { ask, plan, intent, library } = parts
  const luck = luckOf(ask.seed, intent)
  const { story, title } = storyOf(parts)
  const words = skillWords[plan.skill.family]
  const titleOf = (titles: readonly string[], key: string) => pick(titles, luck(key, 60))
  const room = roomOf(ask)
  const base = newSession(
    title,
    ask.groups.map((g) => g.grades),
    ask.minutes,
    library.version,
  )
  const section = (
    id: string,
    role: Section['role'],
    named: string,
    blocks: Block[],
    more: Partial<Section> = {},
  ): Section => ({
    id,
    role,
    title: named,
    blocks,
    ...more,
  })
  const together = ask.home.company === 'together' && room.band > 0 && luck('somebody', 2) === 0
  // A sip before the game; between two main parts there is one anyway.
  const thirsty = !second && ask.minutes >= (ask.home.outdoors ? 14 : 18)
  const sections: Section[] = [
    section(places.warmUp.section, 'warmUp', titleOf(story.warmUp, 'warmUp'), [warmUpBlock(parts)]),
    ...(intent === 'learn' && ask.minutes >= 12
      ? [section(places.taught.section, 'skill', pick(slowly, luck('slowly', 60)), [taughtBlock(parts)])]
      : []),
    section(
      places.main.section,
      'main',
      titleOf(story.main, 'main'),
      [main],
      together ? { note: pick(withSomebody, luck('somebody line', 60)) } : {},
    ),
    ...(thirsty
      ? [
          section(places.drink.section, 'brief', pick(drinks, luck('drink', 60)), [
            { ...newTalk(places.drink.block), seconds: { all: 20 + 5 * luck('sip', 5) } },
          ]),
        ]
      : []),
    ...(game ? [section(places.game.section, 'game', titleOf(story.game, 'game'), [game])] : []),
    ...(second
      ? [
          section(places.pause.section, 'brief', pick(drinks, luck('drink', 60)), [
            { ...newTalk(places.pause.block), seconds: { all: 30 + 10 * luck('sip', 3) } },
          ]),
          section(places.second.section, 'main', titleOf(story.second, 'second'), [second]),
        ]
      : []),
    section(places.coolDown.section, 'coolDown', titleOf(story.coolDown, 'coolDown'), [coolDownBlock(parts)], {
      note: pick(words.ask, luck('ask', 60)),
    }),
  ]
  return {
    ...base,
    aim: { builds: [ask.aim], target: `We are learning to ${pick(words.learn, luck('learn', 60))}.`, words: [] },
    groups: [...ask.groups],
    home: ask.home,
    sections,
  }
}

/** A move that is a game, as the game of a session. */
export function gameBlock({ ask, library, plan }: Parts, move: Move, seconds: number): Block {
  const cells = mapGroups(rowCells(move, 'list', ask, library), 'all', (cell) => ({
    ...cell,
    dose: { unit: 'seconds' as const, amount: seconds },
  }))
  return {
    ...newList(places.game.block),
    note: `Each time it stops: ${plan.skill.name.toLowerCase()}, once.`,
    stations: [{ id: `${places.game.block}s1`, cells }],
  }
}
