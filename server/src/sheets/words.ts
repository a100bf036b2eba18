import { type Language } from '@esfuerzo/core'
import type { Level } from '@esfuerzo/core/checks'
import type { PulseZone } from '@esfuerzo/core/pulse'
import type { Pulse } from '@esfuerzo/core/run'

/** What paper says of itself. */
export interface SheetWords {
  lane: (name: string) => string
  minutes: (n: number) => string
  fetch: string
  orElse: (list: string) => string
  inPlace: (name: string) => string
  nice: string
  care: string
  words: string
  times: (n: number) => string
  pace: (work: number, rest: number) => string
  eachSide: string
  kg: (kg: number) => string
  surprise: string
  results: string
  pulse: string
  pulseWhen: Record<Pulse['when'], string>
  felt: string
  faces: readonly string[]
  ten: readonly [string, string]
  date: string
  alias: string
  station: (n: number) => string
  coinFaces: Record<string, string>
  coinHow: string
  cardsHow: string
  tossHow: string
  diceHow: string
  /** Until when chance is drawn. */
  until: { cleared: string; draws: (n: number) => string; minutes: (text: string) => string }
  asMany: (minutes: string) => string
  atMost: (minutes: string) => string
  pick: (n: number) => string
  easier: (words: string) => string
  harder: (words: string) => string
  roundsDone: string
  level: string
  points: string
  nothing: string
  page: (n: number, pages: number) => string
  clean: string
  weight: string
  /** For the teacher: the checks. */
  look: string
  levels: Record<Level, string>
  left: (reason: string) => string
  nothingToSay: string
  schoolFirst: string
  /** The lanes' predicted pulse. */
  predictedPulse: string
  zone: (zone: PulseZone, minutes: number) => string
  pulseCaveat: string
  /** Of codes to cut out. */
  slip: { title: string; cut: string; stays: string; mine: string; how: string }
}

const en: SheetWords = {
  lane: (name) => `Grades ${name}`,
  minutes: (n) => `about ${n} min`,
  fetch: 'Equipment',
  orElse: (list) => `or ${list}`,
  inPlace: (name) => `instead of: ${name}`,
  nice: 'nice to have',
  care: 'Stay safe',
  words: 'Words of the day',
  times: (n) => `${n} times`,
  pace: (work, rest) => (rest ? `work ${work} s, rest ${rest} s` : `work ${work} s`),
  eachSide: 'each side',
  kg: (kg) => `${kg} kg`,
  surprise: 'A surprise! Turn the sheet over when you get there.',
  results: 'My results',
  pulse: 'My pulse',
  pulseWhen: { before: 'before', during: 'during', after: 'after', minuteAfter: 'a minute after' },
  felt: 'How hard did it feel? Circle one.',
  faces: ['very easy', 'easy', 'just right', 'hard', 'very hard'],
  ten: ['no effort', 'everything I had'],
  date: 'Date',
  alias: 'My code or alias',
  station: (n) => `Station ${n}`,
  coinFaces: {
    heads: 'Heads',
    tails: 'Tails',
    clubs: 'Clubs',
    diamonds: 'Diamonds',
    hearts: 'Hearts',
    spades: 'Spades',
    one: 'One',
    two: 'Two',
    three: 'Three',
    four: 'Four',
    five: 'Five',
    six: 'Six',
    left: 'Left',
    right: 'Right',
  },
  coinHow: 'Flip a coin. Do the next row in its column and tick it. If the column is done, flip again.',
  cardsHow: 'Draw a card. The suit tells you what to do, and the number how many. A picture card is ten.',
  tossHow:
    'Toss five soft things over a line. Count the things on the left: do as many of the left exercise. Do the rest of the right one.',
  diceHow: 'Roll a die. Do the next row of that number and tick it.',
  until: {
    cleared: 'Until every row is done once.',
    draws: (n) => (n === 1 ? 'Once.' : `${n} times.`),
    minutes: (text) => `For ${text} minutes.`,
  },
  asMany: (minutes) => `as many rounds as you can in ${minutes}`,
  atMost: (minutes) => `stop after ${minutes}`,
  pick: (n) => `choose ${n} of these each time`,
  easier: (words) => `Easier: ${words}`,
  harder: (words) => `Harder: ${words}`,
  roundsDone: 'Rounds done',
  level: 'Level reached',
  points: 'Points in each round',
  nothing: 'The session has nothing for this sheet.',
  page: (n, pages) => `${n} / ${pages}`,
  clean: 'clean?',
  weight: 'weight',
  look: 'Checks (for you)',
  levels: { stop: 'Fix before sending', look: 'Advice', note: 'Tips' },
  left: (reason) => (reason ? `Ignored: ${reason}` : 'Ignored.'),
  nothingToSay: 'All checks are fine. You can send it home.',
  schoolFirst: 'Things an experienced colleague would notice. Your school’s rules and doctors come first.',
  predictedPulse: 'Predicted pulse',
  zone: (zone, minutes) => `${minutes} min ${zone}`,
  pulseCaveat:
    'Predicted beats per minute from published averages. Real children differ at least as much as the gray band shows. The lines mark where moderate and vigorous effort start.',
  slip: {
    title: 'Codes to cut out',
    cut: 'Cut along the lines. Keep the strip with the alias, and send the code home.',
    stays: 'stays with the teacher',
    mine: 'My code',
    how: 'I type it on the first page of a session, so my results are saved for me. I show it only to my family.',
  },
}

const es: SheetWords = {
  lane: (name) => `Cursos ${name}`,
  minutes: (n) => `unos ${n} min`,
  fetch: 'Para preparar',
  orElse: (list) => `o ${list}`,
  inPlace: (name) => `en lugar de: ${name}`,
  nice: 'si hay',
  care: 'Cuídate',
  words: 'Palabras de hoy',
  times: (n) => `${n} veces entero`,
  pace: (work, rest) => (rest ? `trabajo ${work} s, descanso ${rest} s` : `trabajo ${work} s`),
  eachSide: 'cada lado',
  kg: (kg) => `${kg} kg`,
  surprise: 'Una sorpresa: da la vuelta a la hoja cuando llegues.',
  results: 'Mis resultados',
  pulse: 'Mi pulso',
  pulseWhen: { before: 'antes', during: 'en medio', after: 'después', minuteAfter: 'un minuto después' },
  felt: '¿Cómo de duro ha sido? Rodea uno.',
  faces: ['muy fácil', 'fácil', 'justo bien', 'duro', 'muy duro'],
  ten: ['sin esfuerzo', 'todo lo que tenía'],
  date: 'Fecha',
  alias: 'Mi código, o mi apodo',
  station: (n) => `Estación ${n}`,
  coinFaces: {
    heads: 'Cara',
    tails: 'Cruz',
    clubs: 'Tréboles',
    diamonds: 'Diamantes',
    hearts: 'Corazones',
    spades: 'Picas',
    one: 'Uno',
    two: 'Dos',
    three: 'Tres',
    four: 'Cuatro',
    five: 'Cinco',
    six: 'Seis',
    left: 'Izquierda',
    right: 'Derecha',
  },
  coinHow: 'Lanza una moneda. Haz la siguiente fila de su columna y márcala. ¿Columna hecha? Lanza otra vez.',
  cardsHow: 'Saca una carta. Su signo dice qué, su número cuántas veces (una figura son diez).',
  tossHow:
    'Lanza cinco cosas blandas por encima de una línea. Las que caen a la izquierda dicen cuántas de la izquierda; el resto, de la derecha.',
  diceHow: 'Tira un dado. Haz la siguiente fila de su número y márcala.',
  until: {
    cleared: 'Hasta que cada fila esté hecha una vez.',
    draws: (n) => (n === 1 ? 'Una vez.' : `${n} veces.`),
    minutes: (text) => `Durante ${text} minutos.`,
  },
  asMany: (minutes) => `tantas vueltas como puedas en ${minutes}`,
  atMost: (minutes) => `para a los ${minutes}`,
  pick: (n) => `elige ${n} de estos cada vez`,
  easier: (words) => `Más fácil: ${words}`,
  harder: (words) => `Más difícil: ${words}`,
  roundsDone: 'Vueltas hechas',
  level: 'Nivel alcanzado',
  points: 'Puntos, ronda a ronda',
  nothing: 'En esta sesión no hay nada de esto.',
  page: (n, pages) => `${n} / ${pages}`,
  clean: '¿bien?',
  weight: 'peso',
  look: 'Para mirar otra vez, para ti',
  levels: { stop: 'No se envía así', look: 'Para mirar', note: 'Notas' },
  left: (reason) => (reason ? `Se deja así: ${reason}` : 'Se deja así.'),
  nothingToSay: 'Nada que decir. Puede salir como está.',
  predictedPulse: 'Pulso previsto',
  zone: (zone, minutes) => `${minutes} min ${{ light: 'suave', moderate: 'moderado', vigorous: 'intenso' }[zone]}`,
  pulseCaveat:
    'Latidos por minuto previstos a partir de valores medios publicados; los niños varían al menos lo que abarca el gris. Las líneas marcan dónde empieza lo moderado y lo intenso. Es una imagen de la sesión, de ningún niño.',
  schoolFirst: 'Lo que diría una colega por encima del hombro. Las normas de la escuela y los médicos van primero.',
  slip: {
    title: 'Códigos para recortar',
    cut: 'Recorte por las líneas. La tira con el alias se queda con usted; el código va a casa.',
    stays: 'se queda con el docente',
    mine: 'Mi código',
    how: 'Lo escribo en la primera página de una sesión. Así lo que hice es mío. Solo lo enseño a mi familia.',
  },
}

export const sheetWords: Record<Language, SheetWords> = { en, es }
