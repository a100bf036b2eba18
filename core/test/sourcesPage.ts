import { gradeBounds } from '../src/bounds/gradeBounds.ts'
import { childSpread } from '../src/chance/simulate.ts'
import { jointLimits } from '../src/figure/jointLimits.ts'
import { mostKg } from '../src/load/homeWeight.ts'
import { timingDefaults } from '../src/timing/defaults.ts'
import { papers, sheets } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

/** docs/sources.md, made from the tables that the computation itself reads. */
export function sourcesPage(): string {
  const rows = Object.entries(timingDefaults).map(
    ([key, d]) => `| \`${key}\` | ${d.value} | ${d.source} | ${d.about} |`,
  )
  return `# Sources

Made from the tables in the code by \`npm run sources\`; do not edit. *published*: printed, with its source beside it;
*common practice*: known in the trade, no source; *from memory*: not looked up again; *ours*: chosen by us.

## Time

| name | value | source | what it is |
|---|---|---|---|
${rows.join('\n')}

## Doses a move begins with

Ten reps and thirty seconds are common practice. Stretches begin at 10 s up to grade 2 and 20 s above, within the published
10–30 s (Garber et al. 2011, Med Sci Sports Exerc 43:1334; adults). An open dose is timed at 60 % of its cap (ours).

## Relative effort

Versions carry a MET value of the 2011 adult Compendium (Ainsworth et al., Med Sci Sports Exerc 43:1575), written down from
memory, to rank versions of a move; never as energy. Moves name the activity they start from by its code; those it has nothing like
say \`ours\`.

| code | activity | MET |
|---|---|---|
${libraryData.effort.map(({ code, name, met }) => `| ${code} | ${name} | ${met} |`).join('\n')}

## Lines of the grades

What *fit* never passes, by a group's lowest grade: clocked vigorous work at a stretch and to one of rest, vigorous work in one
block (common practice, no source); full-effort and hard landings a session (after Johnson et al. 2011, J Strength Cond Res
25:2623, from memory; scaled by grade, ours). Vigorous is from 6 MET on, as adults have it (Garber et al. 2011).

| grade | work | work : rest | vigorous in a block | landings | hard |
|---|---|---|---|---|---|
${[0, 2, 4]
  .map((grade) => ({ grade, ...gradeBounds({ grades: [grade] }) }))
  .map(
    (l) =>
      `| from ${l.grade || 'K'} | ${l.work} s | ${l.workPerRest} | ${l.vigorousSeconds / 60} min | ${l.landings} | ${l.hardLandings} |`,
  )
  .join('\n')}

Children differ by a log-normal factor, σ ${childSpread.child} from child to child and ${childSpread.step} from step to step (ours).
What a change costs, and how far a lever goes, stands in core/src/fit/lever.ts and each form’s levers.ts (ours).

## How far a figure's joints bend

Degrees, common practice, no source; wider than a clinic's tables, so that a lively drawing passes.

| joint | from | to |
|---|---|---|
${Object.entries(jointLimits)
  .map(([joint, [from, to]]) => `| ${joint} | ${from} | ${to} |`)
  .join('\n')}

## Weights at home

Sheets are those of ISO 216:2007 (${Object.entries(sheets)
    .map(([name, [w, h]]) => `${name} ${w} × ${h} mm`)
    .join(
      ', ',
    )}). Paper weighs ${papers.school} (school book), ${papers.novel} (novel) or ${papers.picture} g/m² (picture book): common
practice, no source; covers are ours. A pound is 0.45359237 kg exactly (international agreement of 1959), a US gallon
3.785411784 l exactly (231 cubic inches). Water weighs 1 kg a litre; the bottle 30 g a litre it holds (ours).

The most a grade begins with, in kilograms: a hand from common practice, a bag a tenth of what children of the age usually weigh, from
memory. None before grade 2 (strength training with loads from about seven: Faigenbaum et al. 2009, J Strength Cond Res 23:S60).

| grade | a hand | a bag |
|---|---|---|
${[0, 1, 2, 3, 4, 5, 6].map((g) => `| ${g || 'K'} | ${mostKg(g, 'hand')} | ${mostKg(g, 'bag')} |`).join('\n')}
`
}
