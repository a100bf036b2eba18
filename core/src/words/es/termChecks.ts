import type { TermRuleId } from '../../checks/rule.ts'
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

/** What every rule about a term says in Spanish. */
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
}
