import { limit } from '../../limits.ts'
import { circuits } from '../../neighbours.ts'
import type { Found, Rule } from '../../rule.ts'

/** Three stations with full landings one after the other. */
export const jumpsInARow: Rule = {
  id: 'jumps-in-a-row',
  level: 'note',
  family: 'dose',
  find: (view) => {
    const found = new Map<string, Found>()
    for (const { block, rows } of circuits(view)) {
      let run = 0
      for (const { version, station, section, group } of rows) {
        run = version.impact >= limit('fullLanding', 0) ? run + 1 : 0
        if (run <= limit('jumpsInARow', 0)) continue
        const one = found.get(block.id)
        if (!one)
          found.set(block.id, {
            where: { section: section.id, block: block.id, station: station.id },
            groups: [group.id],
            facts: { n: run },
          })
        else if (!one.groups.includes(group.id)) one.groups.push(group.id)
      }
    }
    return [...found.values()]
  },
}
