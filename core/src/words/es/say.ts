import type { TestId } from '../../terms/measure.ts'
import type { Say } from '../../timing/step.ts'
import type { Amount, Unit } from '../../terms/dose.ts'
import type { Sentences } from '../sentences.ts'

const units: Record<Unit, [one: string, many: string]> = {
  reps: ['vez', 'veces'],
  seconds: ['segundo', 'segundos'],
  breaths: ['respiración lenta', 'respiraciones lentas'],
  metres: ['metro', 'metros'],
  goes: ['turno', 'turnos'],
  score: ['punto', 'puntos'],
}

/** A dose in Spanish. @example doseInSpanish({ from: 10, to: 15 }, 'reps') // 'de 10 a 15 veces' */
export function doseInSpanish(amount: Amount, unit: Unit): string {
  const word = (n: number) => units[unit][n === 1 ? 0 : 1]
  if (typeof amount === 'number') return `${amount} ${word(amount)}`
  if ('from' in amount) return `de ${amount.from} a ${amount.to} ${word(amount.to)}`
  if ('atLeast' in amount) return `al menos ${amount.atLeast} ${word(amount.atLeast)}`
  return unit === 'seconds' ? 'todo lo que aguantes' : `todas las que puedas, hasta ${amount.most}`
}

const dose = ({ amount, unit }: Say['params']) =>
  amount !== undefined && unit ? `, ${doseInSpanish(amount, unit)}` : ''

const tests: Record<TestId, string> = {
  pulse: 'Busca tu pulso y cuenta',
  restingPulse: 'Cuenta tu pulso en reposo',
  pulseAfter: 'Cuenta tu pulso ahora, y otra vez dentro de un minuto',
  sitAndReach: 'Siéntate y estírate',
  oneLegStand: 'Quédate sobre un pie',
  plankHold: 'Aguanta la plancha',
  wallSit: 'Siéntate contra la pared',
  pressUps30: 'Flexiones de brazos en treinta segundos',
  sitToStands30: 'Levántate y siéntate durante treinta segundos',
  lineJumps15: 'Salta la línea durante quince segundos',
  longJump: 'Salto de longitud sin carrera',
  sideSteps20: 'Pasos de lado sobre tres cintas',
  twoMinuteMarch: 'Marcha durante dos minutos',
  sockThrows20: 'Veinte lanzamientos a la cesta',
  hold: '¿Cuánto aguantas?',
  reps30: '¿Cuántas en treinta segundos?',
}

/** The Spanish words of each code. */
export const sentencesInSpanish: Sentences = {
  work: (p, name) => `${name}${dose(p)}`,
  workSide: (p, name) => `${name}, ${p.side === 'second' ? 'el otro lado' : 'primer lado'}${dose(p)}`,
  rest: () => 'Respira. Muy bien',
  restNext: (_, name) => `Respira. Ahora viene: ${name}`,
  changeTo: (_, name) => `Prepárate: ${name}`,
  switchSide: () => 'Cambia de lado',
  talk: (p) => p.title ?? 'Escucha',
  standUp: () => 'Ponte de pie',
  travel: (p) => p.text || 'A la siguiente',
  measure: (p) => tests[p.test ?? 'pulse'],
}
