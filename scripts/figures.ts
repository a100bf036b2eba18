// Draws every figure's key poses, and a moment between each two, on contact sheets for a person to check: npm run figures. With --blind:
// forty exercises in random order, shown by number only, for a reader to identify; the answers are in a file beside.
import { randomInt } from 'node:crypto'
import { mkdirSync, writeFileSync } from 'node:fs'
import { figureSvgContent } from '../core/src/figure/figureSvg.ts'
import { indexLibrary } from '@esfuerzo/core'
import { keyMoments, secondView, type Figure } from '@esfuerzo/core/figure'
import { libraryData } from '@esfuerzo/library'

const [columns, rows, most, size] = [4, 9, 4, 84]
const library = indexLibrary(libraryData)

/** Key poses first; if there are few, the moments between them too. */
function momentsOf(figure: Figure): number[] {
  const keys = keyMoments(figure)
  const between = keys.map((t, i) => (t + (keys[i + 1] ?? 1)) / 2)
  const all = keys.length * 2 <= most ? keys.flatMap((t, i) => [t, between[i]!]) : keys
  return all.slice(0, most)
}

const usedBy = (id: string) =>
  [...library.moves.values()]
    .filter((m) => m.figure === id || m.versions.some((v) => v.figure === id))
    .map((m) => m.id)
    .join(', ')

/** A figure's row on a sheet, and its caption. */
interface Row {
  figure: Figure
  label: string
}

const bothViews = (figure: Figure): Figure[] => [figure, ...[secondView(figure)].filter((s) => s !== undefined)]

function blindRows(): Row[] {
  const moves = [...library.moves.values()]
  const drawn = Array.from({ length: 40 }, () => moves.splice(randomInt(moves.length), 1)[0]!)
  writeFileSync('.cache/figures-key.txt', drawn.map((m, i) => `${i + 1} ${m.name}`).join('\n'))
  return drawn.flatMap((move, i) =>
    bothViews(library.figures.get(move.figure)!).map((figure) => ({ figure, label: String(i + 1) })),
  )
}

const asked = process.argv.slice(2)
const named = (): Row[] =>
  [...library.figures.values()]
    .filter((f) => asked.length === 0 || asked.includes(f.id))
    .flatMap(bothViews)
    .map((figure) => ({ figure, label: `${figure.id} (${usedBy(figure.id).slice(0, 34)})` }))

mkdirSync('.cache', { recursive: true })
const figures = asked.includes('--blind') ? blindRows() : named()
const cell = { width: most * size + 16, height: size + 26 }
const perSheet = columns * rows
for (let sheet = 0; sheet * perSheet < figures.length; sheet++) {
  const part = figures.slice(sheet * perSheet, (sheet + 1) * perSheet)
  const body = part.map(({ figure, label }, i) => {
    const x = (i % columns) * cell.width
    const y = Math.floor(i / columns) * cell.height
    const row = momentsOf(figure).map(
      (t, m) =>
        `<svg x="${m * size}" y="20" width="${size}" height="${size}" viewBox="-4 -4 108 108">${figureSvgContent(figure, t)}</svg>`,
    )
    return `<g transform="translate(${x},${y})"><text x="4" y="14" font-family="sans-serif" font-size="12">${label}</text>${row.join('')}</g>`
  })
  const width = columns * cell.width
  const height = Math.ceil(part.length / columns) * cell.height
  const file = `.cache/figures-${sheet + 1}.html`
  writeFileSync(
    file,
    `<!doctype html><body style="margin:0;background:#fff"><svg width="${width}" height="${height}">${body.join('')}</svg></body>`,
  )
  console.log(`${file}: ${part.length} figures, ${width} × ${height}`)
}
