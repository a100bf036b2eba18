import { floorY } from './body.ts'
import { drawFigure } from './drawFigure.ts'
import { stillAt } from './pose.ts'
import type { Stroke } from './props.ts'
import type { Figure } from './schema.ts'

const colours = { near: '#1D2B2A', far: '#8FA09D', prop: '#8A7F6A', gap: '#FFFFFF' } as const

const line = ({ points, width, tone }: Stroke) =>
  `<polyline points="${points.map((p) => `${(p.x * 100).toFixed(1)},${(p.y * 100).toFixed(1)}`).join(' ')}" fill="none" stroke="${colours[tone]}" stroke-width="${(width * 100).toFixed(1)}" stroke-linecap="round" stroke-linejoin="round"/>`

/** What is inside the picture: for a sheet that places many. */
export function figureSvgContent(figure: Figure, t: number): string {
  const { behind, head, front } = drawFigure(figure, t)
  const floor = `<line x1="2" y1="${floorY * 100}" x2="98" y2="${floorY * 100}" stroke="#D9D0BF" stroke-width="1.5"/>`
  const round = `<circle cx="${(head.at.x * 100).toFixed(1)}" cy="${(head.at.y * 100).toFixed(1)}" r="${head.radius * 100}" fill="${colours.near}"/>`
  return `${floor}${behind.map(line).join('')}${round}${front.map(line).join('')}`
}

/**
 * A still picture of a figure as SVG text, for paper and for whoever has no script: black on white first.
 *
 * @param t share of the cycle; by default the moment that stands for the move
 * @param size of its sides, in CSS pixels
 * @example figureSvg(squat).startsWith('<svg xmlns=') // true
 */
export const figureSvg = (figure: Figure, { t = stillAt(figure), size = 100 } = {}): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="-4 -4 108 108">${figureSvgContent(figure, t)}</svg>`
