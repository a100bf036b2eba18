// Drawing a figure, compared with computing its joints: twenty moments of every figure of the library.
import { figureSvg } from '../core/src/figure/figureSvg.ts'
import { pose } from '@esfuerzo/core/figure'
import { libraryData } from '@esfuerzo/library'
import { times } from './times.ts'

const figures = libraryData.figures
const moments = Array.from({ length: 20 }, (_, i) => i / 20)
const all = (work: (figure: (typeof figures)[number], t: number) => unknown) =>
  times(15, () => {
    for (const figure of figures) for (const t of moments) work(figure, t)
  }).median
const [joints, drawn] = [all(pose), all((figure, t) => figureSvg(figure, { t }))]
const each = (drawn / figures.length / moments.length) * 1000
console.log(`drawing a figure ÷ its joints alone: ${(drawn / joints).toFixed(1)}  (${each.toFixed(0)} µs a picture)`)
