import type { GameBlock } from './schema.ts'
import { secondsFact } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import { stripText } from '../../notation/stripText.ts'

/** `game 3 min`, then its lines: `set up: …`, `players: 2`, `rules: …`, `harder: …`. */
export const gameNotation: FormNotation<GameBlock> = {
  opens: /^game\b/i,
  facts: [
    secondsFact<GameBlock>('seconds', {
      print: 'game',
      words: 'game(?: for)?',
      min: 1,
      fallback: 'min',
    }),
  ],
  lines: {
    facts: ['seconds'],
    read(line, block) {
      const match = /^(set ?up|players?|rules?|harder)\s*:\s?(.*)$/i.exec(line)
      if (!match) return undefined
      const [word, text] = [match[1]!.toLowerCase(), match[2]!]
      const more = (before: string) => (before ? `${before}\n${text}` : text)
      if (word.startsWith('set')) return { ...block, setUp: more(block.setUp).slice(0, 1000) }
      if (word.startsWith('rule')) return { ...block, rules: more(block.rules).slice(0, 1000) }
      if (word === 'harder')
        return block.harder.length < 6 ? { ...block, harder: [...block.harder, text.slice(0, 120)] } : undefined
      const players = Number(text)
      return Number.isInteger(players) && players >= 1 && players <= 8 ? { ...block, players } : undefined
    },
    print: (block) => [
      ...(block.setUp ? block.setUp.split('\n').map((line) => `set up: ${line}`) : []),
      ...(block.players === 1 ? [] : [`players: ${block.players}`]),
      ...(block.rules ? block.rules.split('\n').map((line) => `rules: ${line}`) : []),
      ...block.harder.map((line) => `harder: ${line}`),
    ],
    strip: ({ onMiss: _, ...block }) => ({
      ...block,
      setUp: stripText(block.setUp) ?? '',
      rules: stripText(block.rules) ?? '',
      harder: block.harder.map((line) => line.trim()).filter(Boolean),
    }),
  },
}
