import type { Facts, TermRuleId } from '../../checks/rule.ts'
import type { RuleWords } from '../en/checks.ts'

const parts: Record<string, string> = {
  push: 'empuja',
  pull: 'tira',
  legs: 'trabaja las piernas',
  core: 'trabaja el centro',
}
const regions: Record<string, string> = { upper: 'la parte de arriba', core: 'el centro', lower: 'las piernas' }
const categories: Record<string, string> = {
  bodyAwareness: 'conciencia del cuerpo',
  rangeOfMotion: 'amplitud de movimiento',
  objectControl: 'manejo de objetos',
  coordination: 'coordinación',
  gamePlay: 'juego',
}
const families: Record<string, string> = {
  squat: 'sentadilla',
  lunge: 'zancada',
  hinge: 'bisagra de cadera',
  push: 'empujar',
  pull: 'tirar',
  brace: 'sostener el centro',
  curl: 'enrollar',
  extend: 'extender',
  twist: 'girar',
  jump: 'saltar',
  travel: 'desplazarse',
  balance: 'equilibrio',
  throwCatch: 'lanzar y atrapar',
  strike: 'golpear',
  dribble: 'conducir',
  stretch: 'estirar',
  breathe: 'respirar',
  game: 'juego',
}

const tests: Record<string, (f: Facts) => string> = {
  hardBefore: (f) => `Semana ${f.week}: el día antes de la prueba es duro.`,
  afterHolidays: (f) => `Semana ${f.week}: un día de pruebas en la primera semana tras las vacaciones.`,
  tooNear: (f) => `Entre los días de pruebas hay ${f.days} días.`,
  weekday: () => 'Los días de pruebas no son del mismo día de la semana.',
}

/** The sentences of every rule about a term in Spanish. */
export const termChecksInSpanish: Record<TermRuleId, RuleWords> = {
  'push-pull-legs-core': {
    title: 'Empujar, tirar, piernas, centro',
    what: (f) => `Ninguna sesión de fuerza ${parts[String(f.part)] ?? f.part}.`,
    why: 'Un cuerpo se hace fuerte por todas partes, o se inclina a un lado.',
  },
  'upper-lower-core': {
    title: 'Arriba, piernas, centro',
    what: (f) => `De la semana ${f.from} a la ${f.to} nada es para ${regions[String(f.region)] ?? f.region}.`,
    why: 'Lo que se deja semanas empieza de nuevo.',
  },
  categories: {
    title: 'Clases de movimiento',
    what: (f) => `Nada en el trimestre es ${categories[String(f.category)] ?? f.category}.`,
    why: 'La variedad que se deja a la suerte olvida algo.',
  },
  'seen-once': {
    title: 'Una sola vez',
    what: (f) => {
      const family = families[String(f.family)] ?? f.family
      if (Number(f.times) < 2) return `${family}: ${Number(f.times) ? 'viene una vez' : 'no viene'}.`
      return `${family}: su segunda vez es ${f.days} días después de la primera.`
    },
    why: 'Lo que viene una vez se conoce; lo que vuelve en tres semanas se aprende.',
  },
  'strength-days': {
    title: 'Fuerza en días seguidos',
    what: (f) => `Semana ${f.week}: fuerza en dos días seguidos.`,
    why: 'Los músculos crecen el día de en medio (Faigenbaum et al. 2009: dos o tres días por semana, no seguidos).',
  },
  'again-in-time': {
    title: 'Otra vez a tiempo',
    what: (f) =>
      f.times === undefined
        ? `Semana ${f.week}: «${f.title}» vuelve ${f.days} días después de la vez anterior.`
        : `Demasiadas veces seguidas: «${f.title}», ${f.times}.`,
    why: 'Dos o tres veces, con cuatro a catorce días entre ellas: aprenderlo, hacerlo, superarlo; luego descansa tres semanas.',
  },
  'new-moves-a-week': {
    title: 'Ejercicios nuevos en una semana',
    what: (f) => `Semana ${f.week}: ${f.moves} ejercicios que la clase no conoce.`,
    why: 'Tres por semana se aprenden en casa; los demás se adivinan.',
  },
  'things-a-week': {
    title: 'Cosas que buscar en una semana',
    what: (f) => `Semana ${f.week}: ${f.things} cosas que buscar.`,
    why: 'Tres las tiene cada familia; quien no las tiene se queda fuera.',
  },
  'test-days': {
    title: 'Días de pruebas comparables',
    what: (f) => tests[String(f.what)]!(f),
    why: 'Dos días se comparan si en ambos se llega descansado y en práctica, con seis semanas entre ellos y en el mismo día de la semana.',
  },
  'easier-week': {
    title: 'Una semana más suave',
    what: (f) =>
      `La semana ${f.week} debe ser más suave y tiene ${f.minutes} min de esfuerzo; las anteriores tenían ${f.before}.`,
    why: 'Cada cuarta semana un cuarto menos: el cuerpo se repone, y quien estuvo enfermo se pone al día.',
  },
  'after-weeks-off': {
    title: 'Tras semanas sin clase',
    what: (f) => `Semana ${f.week}: tras dos semanas sin educación física empieza con «${f.title}», que es nueva.`,
    why: 'Tras semanas sin clase, una conocida, un paso atrás, vuelve a traer a todos.',
  },
}
