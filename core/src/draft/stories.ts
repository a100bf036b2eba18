import { intents, type DraftAsk, type Intent } from './ask.ts'
import { luckOf } from './luck.ts'

/** A frame for a session, with a beginning and an end. Invented for it; the trade's names stay beside it. */
export interface Story {
  id: string
  titles: readonly string[]
  warmUp: readonly string[]
  main: readonly string[]
  second: readonly string[]
  game: readonly string[]
  coolDown: readonly string[]
  /** What is called in a game of calls. */
  calls: readonly string[]
}

const plainWarmUp = ['Warm-up']
const plainCoolDown = ['Cool-down']

export const stories: readonly Story[] = [
  {
    id: 'bakery',
    titles: ['Before the ovens', 'Early at the bakery', 'Flour on the floor'],
    warmUp: plainWarmUp,
    main: ['Knead and carry', 'The morning batch'],
    second: ['Round the tables'],
    game: ['The shop bell'],
    coolDown: ['Fresh bread', ...plainCoolDown],
    calls: ['flour', 'oven', 'tray', 'shop bell', 'broom'],
  },
  {
    id: 'river',
    titles: ['Over the stepping stones', 'Two banks', 'High water'],
    warmUp: ['Down to the river', ...plainWarmUp],
    main: ['Stone by stone', 'From bank to bank'],
    second: ['Upstream'],
    game: ['Rapids'],
    coolDown: ['Still water', ...plainCoolDown],
    calls: ['stone', 'bridge', 'otter', 'rapids', 'reed'],
  },
  {
    id: 'garden',
    titles: ['A bed of beans', 'Behind the greenhouse', 'First frost'],
    warmUp: plainWarmUp,
    main: ['Dig and plant', 'Row by row'],
    second: ['Barrow and can'],
    game: ['Scarecrow'],
    coolDown: ['Tools away', ...plainCoolDown],
    calls: ['spade', 'barrow', 'scarecrow', 'hedgehog', 'watering can'],
  },
  {
    id: 'train',
    titles: ['The late train', 'Last stop but one', 'Night train north'],
    warmUp: ['On the platform', ...plainWarmUp],
    main: ['Station to station', 'Uphill'],
    second: ['The branch line'],
    game: ['Signals'],
    coolDown: ['All out', ...plainCoolDown],
    calls: ['signal', 'tunnel', 'whistle', 'points', 'bridge'],
  },
  {
    id: 'storm',
    titles: ['Wind from the west', 'Shutters closed', 'After the rain'],
    warmUp: plainWarmUp,
    main: ['In the wind', 'Gust after gust'],
    second: ['Between showers'],
    game: ['Weather report'],
    coolDown: ['The wind drops', ...plainCoolDown],
    calls: ['gust', 'hail', 'fog', 'lightning', 'sun'],
  },
  {
    id: 'mountain',
    titles: ['Up to the hut', 'The long path', 'Above the trees'],
    warmUp: plainWarmUp,
    main: ['The climb', 'Bend after bend'],
    second: ['Along the ridge'],
    game: ['Echo'],
    coolDown: ['Boots off', ...plainCoolDown],
    calls: ['bridge', 'marmot', 'scree', 'summit', 'cloud'],
  },
  {
    id: 'market',
    titles: ['Market day', 'Stalls and crates', 'Before the square fills'],
    warmUp: plainWarmUp,
    main: ['Crate by crate', 'Setting up'],
    second: ['Packing up'],
    game: ['Sold!'],
    coolDown: ['The square is empty', ...plainCoolDown],
    calls: ['crate', 'awning', 'pigeon', 'bell', 'cart'],
  },
  {
    id: 'workshop',
    titles: ['In the workshop', 'Hammer and plane', 'A door for the shed'],
    warmUp: plainWarmUp,
    main: ['Saw, plane, hammer', 'At the bench'],
    second: ['Sanding'],
    game: ['Which tool?'],
    coolDown: ['Sweep up', ...plainCoolDown],
    calls: ['saw', 'hammer', 'drill', 'plane', 'glue'],
  },
  {
    id: 'snow',
    titles: ['Fresh snow', 'Tracks', 'No bus today'],
    warmUp: plainWarmUp,
    main: ['Through the snow', 'Shovel and step'],
    second: ['On the slope'],
    game: ['Snowman'],
    coolDown: ['By the stove', ...plainCoolDown],
    calls: ['shovel', 'sledge', 'snowman', 'ice', 'owl'],
  },
  {
    id: 'kites',
    titles: ['Kite weather', 'A long string', 'Caught in the tree'],
    warmUp: plainWarmUp,
    main: ['Run out the line', 'Up and up'],
    second: ['Tails and knots'],
    game: ['Where is the wind?'],
    coolDown: ['Wind it in', ...plainCoolDown],
    calls: ['up', 'dive', 'knot', 'tail', 'tree'],
  },
  {
    id: 'post',
    titles: ['The second post', 'Parcels', 'Number twenty-seven'],
    warmUp: plainWarmUp,
    main: ['From door to door', 'Stairs and parcels'],
    second: ['The hill round'],
    game: ['Special delivery'],
    coolDown: ['Empty bag', ...plainCoolDown],
    calls: ['letter', 'parcel', 'stairs', 'dog', 'stamp'],
  },
  {
    id: 'orchard',
    titles: ['Windfalls', 'Ladders in the trees', 'The last apples'],
    warmUp: plainWarmUp,
    main: ['Pick and carry', 'Tree by tree'],
    second: ['The cider press'],
    game: ['Wasps'],
    coolDown: ['Under the tree', ...plainCoolDown],
    calls: ['ladder', 'basket', 'wasp', 'windfall', 'cart'],
  },
  {
    id: 'attic',
    titles: ['What is in the attic', 'The heavy trunk', 'Dust'],
    warmUp: ['Up the stairs', ...plainWarmUp],
    main: ['Lift and look', 'Box by box'],
    second: ['The other corner'],
    game: ['Creak!'],
    coolDown: ['Lights out', ...plainCoolDown],
    calls: ['trunk', 'spider', 'lamp', 'mirror', 'hat'],
  },
  {
    id: 'plain',
    titles: ['Thursday again', 'Short and sharp', 'Steady on', 'Back to it', 'One thing well'],
    warmUp: plainWarmUp,
    main: ['Main part', 'The work'],
    second: ['Second half'],
    game: ['To finish'],
    coolDown: plainCoolDown,
    calls: ['one', 'two', 'three', 'four', 'five'],
  },
]

/** The story of a draft: none whose title the last two sessions had. */
export function storyOf({ intent, ask }: { intent: Intent; ask: Pick<DraftAsk, 'seed' | 'recent'> }): {
  story: Story
  title: string
} {
  const luck = luckOf(ask.seed, 'story')
  // Each intent takes another.
  const order = [...stories.keys()].sort((a, b) => luck(`${a}`, 1_000_000) - luck(`${b}`, 1_000_000))
  const before = new Set(ask.recent.map((w) => w.title))
  const story = stories[order[intents.indexOf(intent)]!]!
  const titles = story.titles.filter((title) => !before.has(title))
  const left = titles.length ? titles : story.titles
  return { story, title: left[luckOf(ask.seed, intent)('title', left.length)]! }
}
