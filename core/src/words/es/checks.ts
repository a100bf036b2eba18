import type { RuleId } from '../../checks/rule.ts'
import { minutesText } from '../../timing/minutesText.ts'
import type { RuleWords } from '../en/checks.ts'

const time = (seconds: number | string | undefined) => minutesText(Number(seconds))
const space: Record<string, string> = {
  spot: 'sitio para estar de pie',
  mat: 'sitio para tumbarse',
  steps: 'dos o tres pasos grandes',
  run: 'de cinco a diez metros',
}

/** What every rule says in Spanish. */
export const checksInSpanish: Record<RuleId, RuleWords> = {
  'short-warm-up': {
    what: (f) => `${time(f.moved)} de movimiento antes del primer esfuerzo; con ${time(f.wanted)} se entra en calor.`,
    why: 'Con los músculos calientes y el corazón preparado, el esfuerzo es más seguro y mejor.',
  },
  'no-cool-down': {
    what: (f) => `El esfuerzo termina ${time(f.left)} antes del final.`,
    why: 'Al parar de golpe puede dar mareo. Basta un minuto de caminar, respirar o un juego tranquilo.',
  },
  'over-minutes': {
    what: (f) => `${time(f.by)} más que los ${f.minutes} minutos.`,
    why: 'Lo que no cabe se corta en casa, y casi siempre es la vuelta a la calma.',
  },
  'well-under-minutes': {
    what: (f) => `La calle más larga dura ${time(f.seconds)} de ${f.minutes} minutos.`,
    why: 'Buscar, explicar y beber también llevan tiempo; después cabe otra vuelta.',
  },
  'lanes-apart': {
    what: (f) => `Las calles terminan con ${time(f.apart)} de diferencia; deben acabar juntas.`,
    why: 'Pediste calles que acaben juntas.',
  },
  'long-talk': {
    what: (f) => `${time(f.seconds)} de charla seguida; escuchan unos ${time(f.most)}.`,
    why: 'A esa edad nadie escucha más rato a una pantalla; enséñalo o habla dos veces.',
  },
  'no-water': {
    what: (f) => `${f.minutes} minutos sin pausa para beber.`,
    why: 'Un sorbo cada veinte minutos, al aire libre antes. Vale un descanso de medio minuto.',
  },
  'long-for-young': {
    what: (f) => `${f.minutes} minutos de trabajo con ${f.moves} ejercicios distintos.`,
    why: 'Los más pequeños aguantan un cuarto de hora, con ejercicios que se repiten.',
  },
  landings: {
    what: (f) => `${f.landings} aterrizajes; se empieza por unos ${f.most}.`,
    why: 'Los saltos fortalecen huesos y tendones poco a poco, y los cansan cuando son muchos de golpe.',
  },
  'hard-landings': {
    what: (f) => `${f.landings} aterrizajes fuertes; se empieza por unos ${f.most}.`,
    why: 'Desde una altura, a un pie y lejos, o con las rodillas al pecho: pesan más que un salto en el sitio.',
  },
  'long-hold': {
    what: (f) => `${f.move} se aguanta ${time(f.seconds)}; la postura dura unos ${time(f.most)}.`,
    why: 'Cuando se pierde la postura solo aguantan las articulaciones. Mejor dos cortas que una larga.',
  },
  wrists: {
    what: (f) => `${time(f.seconds)} sobre las manos sin pausa.`,
    why: 'Las muñecas pequeñas se cansan; algo de pie entre medias las deja descansar.',
  },
  'kit-missing': { what: (f) => `${f.move} necesita: ${f.kit}.`, why: 'En esa casa no hay, ni nada que lo sustituya.' },
  'floor-too-small': {
    what: (f) => `${f.move} necesita ${space[String(f.needs)] ?? f.needs}.`,
    why: 'En la casa de esta sesión hay menos sitio.',
  },
  'thud-where-quiet': { what: (f) => `${f.move} se oye abajo.`, why: 'Esta sesión es para una casa en silencio.' },
  'partner-alone': { what: (f) => `${f.move} se hace entre dos.`, why: 'Esta sesión se hace a solas.' },
  'adult-alone': { what: (f) => `${f.move} pide un adulto al lado.`, why: 'Esta sesión se hace a solas.' },
  'things-to-fetch': {
    what: (f) => `${f.things} cosas que buscar; reúnen unas ${f.most}.`,
    why: 'Buscar quita las ganas antes de empezar.',
  },
  'beyond-grade': {
    what: (f) => `${f.version} es desde ${f.from === 0 ? 'infantil' : `${f.from}.º`}.`,
    why: 'Una versión más fácil les sale bien.',
  },
  'young-load': {
    what: (f) => `${f.move} con ${f.kg} kg para los más pequeños.`,
    why: 'El peso, desde los siete u ocho años, cuando ya están listos; antes, cosas blandas y ligeras, con un adulto.',
  },
  'no-easier': {
    what: (f) => `${f.move} ya es la versión más fácil; nada dice qué hacer si cuesta demasiado.`,
    why: 'El botón «más fácil» no tiene nada que ofrecer aquí. Basta una línea tuya.',
  },
}
