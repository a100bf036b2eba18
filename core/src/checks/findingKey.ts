import type { Finding } from './rule.ts'

const longest = 600

/**
 * What identifies a finding: its rule, its place, its groups and its numbers. A teacher's answer holds until one of these changes.
 *
 * @example findingKey({ rule: 'landings', where: {}, groups: ['g1'], facts: { landings: 70, most: 60 } })
 * // 'landings|||g1|landings:70,most:60'
 */
export const findingKey = ({
  rule,
  where,
  groups,
  facts,
}: Pick<Finding, 'rule' | 'where' | 'groups' | 'facts'>): string =>
  [
    rule,
    where.block ?? where.section ?? '',
    where.station ?? '',
    groups.join(' '),
    Object.entries(facts)
      .map(([name, value]) => `${name}:${value}`)
      .join(),
  ]
    .join('|')
    .slice(0, longest)
