import { floorY } from './body.ts'
import { drawFigure } from './drawFigure.ts'
import { stillAt } from './pose.ts'
import type { Figure } from './schema.ts'
import type { Stroke, Tone } from './stroke.ts'

/** On paper: ink, and tones that differ in black and white. */
const colours: Record<Tone, string> = {
  skin: '#A9805F',
  shirt: '#4F7F78',
  shorts: '#2B3F4E',
  ink: '#1D2B2A',
  farSkin: '#D2BBA8',
  farShirt: '#A9C2BE',
  farShorts: '#8A97A0',
  farInk: '#7D8A88',
  eye: '#1D2B2A',
  prop: '#8A7F6A',
  gap: '#FFFFFF',
}

const line = ({ points, width, tone }: Stroke) =>
  `<polyline points="${points.map((p) => `${(p.x * 100).toFixed(1)},${(p.y * 100).toFixed(1)}`).join(' ')}" fill="none" stroke="${colours[tone]}" stroke-width="${(width * 100).toFixed(1)}" stroke-linecap="round" stroke-linejoin="round"/>`

/** The contents of the picture: for a sheet that places many. */
export const figureSvgContent = (figure: Figure, t: number): string =>
  `<line x1="2" y1="${floorY * 100}" x2="98" y2="${floorY * 100}" stroke="#D9D0BF" stroke-width="1.5"/>${drawFigure(figure, t).map(line).join('')}`

/**
 * A still picture of a figure as SVG text, for print and for pages without scripts.
 *
 * @param t share of the cycle; by default the moment that represents the exercise
 * @param size of its sides, in CSS pixels
 * @example figureSvg(squat).startsWith('<svg xmlns=') // true
 */
export const figureSvg = (figure: Figure, { t = stillAt(figure), size = 100 } = {}): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="-4 -4 108 108">${figureSvgContent(figure, t)}</svg>`
