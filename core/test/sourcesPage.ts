import { gradeBounds } from '../src/bounds/gradeBounds.ts'
import { childSpread } from '../src/chance/simulate.ts'
import { jointLimits } from '../src/figure/jointLimits.ts'
import { mostKg } from '../src/load/homeWeight.ts'
import { timingDefaults } from '../src/timing/defaults.ts'
import { papers, sheets } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

/** docs/sources.md, made from the tables that the core itself uses. */
export function sourcesPage(): string {
  const rows = Object.entries(timingDefaults).map(
    ([key, d]) => `| \`${key}\` | ${d.value} | ${d.source} | ${d.about} |`,
  )
  return `# Sources

\`npm run sources\` makes this page from the tables in the code; don't edit it.

- *published*: printed, with its source beside it
- *common practice*: known in the trade, no source
- *from memory*: not looked up again
- *ours*: chosen by us

## Time

| name | value | source | what it is |
|---|---|---|---|
${rows.join('\n')}

## Starting amounts

Ten reps and thirty seconds are common practice. Stretches start at 10 s up to grade 2 and 20 s above, within the published
10–30 s (Garber et al. 2011, Med Sci Sports Exerc 43:1334; adults). An open amount is timed at 60 % of its cap (ours).

## Relative effort

Versions have a MET value from the 2011 adult Compendium (Ainsworth et al., Med Sci Sports Exerc 43:1575), from memory. It ranks the
versions of an exercise and is never used as energy. Exercises name the closest activity by its code; without one they say \`ours\`.

| code | activity | MET |
|---|---|---|
${libraryData.effort.map(({ code, name, met }) => `| ${code} | ${name} | ${met} |`).join('\n')}

## Limits by grade

*Fit* never exceeds these, by a group's lowest grade.

- Timed vigorous work without a break, work for one part of rest, vigorous work in a block: common practice, no source.
- Landings and hard landings in a session: after Johnson et al. 2011, J Strength Cond Res 25:2623, from memory; scaled by grade, ours.
- Vigorous starts at 6 MET, as for adults (Garber et al. 2011).

| grade | work | work : rest | vigorous in a block | landings | hard |
|---|---|---|---|---|---|
${[0, 2, 4]
  .map((grade) => ({ grade, ...gradeBounds({ grades: [grade] }) }))
  .map(
    (l) =>
      `| from ${l.grade || 'K'} | ${l.work} s | ${l.workPerRest} | ${l.vigorousSeconds / 60} min | ${l.landings} | ${l.hardLandings} |`,
  )
  .join('\n')}

Children differ by a log-normal factor: σ is ${childSpread.child} between children and ${childSpread.step} between steps (ours).
The cost and range of each lever are in core/src/fit/lever.ts and each form’s levers.ts (ours).

## How far a figure's joints bend

In degrees; common practice, no source. The limits are wider than a clinic's tables, to allow lively drawings.

| joint | from | to |
|---|---|---|
${Object.entries(jointLimits)
  .map(([joint, [from, to]]) => `| ${joint} | ${from} | ${to} |`)
  .join('\n')}

## Weights at home

Sheets follow ISO 216:2007 (${Object.entries(sheets)
    .map(([name, [w, h]]) => `${name} ${w} × ${h} mm`)
    .join(
      ', ',
    )}). Paper weighs ${papers.school} (school book), ${papers.novel} (novel) or ${papers.picture} g/m² (picture book): common
practice, no source; covers are ours. A pound is 0.45359237 kg exactly (international agreement of 1959), a US gallon
3.785411784 l exactly (231 cubic inches). Water weighs 1 kg a litre; the bottle 30 g a litre it holds (ours).

The most a grade starts with, in kilograms: a hand from common practice; a bag is a tenth of the usual body weight at that age, from
memory. None before grade 2 (strength training with loads from about seven: Faigenbaum et al. 2009, J Strength Cond Res 23:S60).

| grade | a hand | a bag |
|---|---|---|
${[0, 1, 2, 3, 4, 5, 6].map((g) => `| ${g || 'K'} | ${mostKg(g, 'hand')} | ${mostKg(g, 'bag')} |`).join('\n')}
`
}
