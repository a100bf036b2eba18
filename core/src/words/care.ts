import type { Language } from '../terms/language.ts'

/** Codes of the care texts on every family page and sheet; an adult is asked to be near for K–2. */
export const careCodes = ['space', 'shoes', 'water', 'medicine', 'stop', 'adultNear', 'schoolFirst'] as const
export type CareCode = (typeof careCodes)[number]

const words: Record<Language, Record<CareCode, string>> = {
  en: {
    space: 'Clear the floor: nothing to bump into or trip over.',
    shoes: 'Sports shoes or bare feet, never socks.',
    water: 'Have water near you.',
    medicine: 'If you need medicine for your breathing, keep it at hand.',
    stop: 'Stop when something hurts, when you feel dizzy, or when your breath gets tight. Tell a grown-up.',
    adultNear: 'Younger children: a grown-up stays near.',
    schoolFirst: 'Your school’s rules and your doctor’s advice always come first.',
  },
  es: {
    space: 'Despeja el suelo: nada con que chocar o tropezar.',
    shoes: 'Calzado deportivo o pies descalzos, nunca calcetines.',
    water: 'Ten agua cerca.',
    medicine: 'Si necesitas medicina para respirar, tenla a mano.',
    stop: 'Detente si algo duele, si te mareas o si te cuesta respirar. Díselo a un adulto.',
    adultNear: 'Con los pequeños, un adulto está cerca.',
    schoolFirst: 'Lo que diga tu escuela o tu médico va siempre primero.',
  },
}

/**
 * One line of care; empty for a code of a newer session that this program does not know.
 *
 * @example careText('water', 'es') // 'Ten agua cerca.'
 */
export const careText = (code: string, language: Language): string =>
  Object.hasOwn(words[language], code) ? words[language][code as CareCode] : ''
