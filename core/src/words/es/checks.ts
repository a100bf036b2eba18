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

const aims: Record<string, string> = {
  endurance: 'resistencia',
  strength: 'fuerza',
  flexibility: 'flexibilidad',
  balance: 'equilibrio',
}
const kinds: Record<string, string> = { push: 'empujar', pull: 'tirar', legs: 'piernas', core: 'el centro' }

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
  'no-warm-up': {
    what: (f) => `El trabajo fuerte empieza en frío; calentarían ${time(f.wanted)} de movimiento.`,
    why: 'Con los músculos calientes y el corazón a punto, el trabajo fuerte es más seguro y sale mejor.',
  },
  'hard-start': {
    what: (f) => `${f.move} en el primer minuto del calentamiento.`,
    why: 'El primer minuto es de movimiento fácil; lo que cae o pesa viene después.',
  },
  'straight-down': {
    what: (f) => `Del trabajo fuerte directo a: ${f.move}.`,
    why: 'Quien se acuesta o se sienta de golpe puede marearse. Basta con caminar antes tres cuartos de minuto.',
  },
  'game-cut': {
    what: (f) => `El juego pasa ${time(f.by)} de los minutos.`,
    why: 'Es lo único que no querrán dejar; quita tiempo de otra parte.',
  },
  'section-over': {
    what: (f) => `${f.title || 'Esta parte'} dura ${time(f.by)} más que sus ${f.minutes} minutos.`,
    why: 'Le diste minutos propios a esta parte.',
  },
  'no-counter-shape': {
    what: (f) => `${time(f.seconds)} de ${f.move} y nada que doble al revés.`,
    why: 'Después de doblarse mucho hacia un lado, la forma contraria sienta bien.',
  },
  'static-first': {
    what: (f) => `Empieza con un estiramiento mantenido: ${f.move}.`,
    why: 'Estirar poco no hace daño, pero moverse calienta mejor.',
  },
  'not-warmed': {
    what: (f) => `Trabaja fuerte y no se mueve antes: ${f.muscles}.`,
    why: 'Unas repeticiones fáciles de lo que viene son la mejor preparación.',
  },
  'worked-not-stretched': {
    what: (f) => `Trabaja más tiempo y no se estira: ${f.muscles}.`,
    why: 'Se estira por la amplitud, no contra las agujetas; basta con un estiramiento.',
  },
  'mostly-still': {
    what: (f) => `${time(f.moving)} de ${time(f.seconds)} en movimiento.`,
    why: 'En una clase de moverse, la mitad del tiempo o más es movimiento.',
  },
  'new-moves': {
    what: (f) => `${f.moves} ejercicios que nunca se les enviaron: ${f.names}.`,
    why: 'Unos segundos de explicación por ejercicio, o una primera vuelta lenta, y empiezan todos a la vez.',
  },
  'aim-absent': {
    what: (f) => `El objetivo es ${aims[String(f.aim)] ?? f.aim}, y hay poco de eso.`,
    why: 'Un objetivo que apenas aparece no se puede recordar al final.',
  },
  'work-too-long': {
    what: (f) => `${time(f.seconds)} de ${f.move} con reloj; la forma dura unos ${time(f.most)}.`,
    why: 'Los niños se recuperan rápido; lo primero que falla es la atención y luego la forma.',
  },
  'work-rest-ratio': {
    what: (f) => `${time(f.work)} de trabajo fuerte con ${time(f.rest)} de descanso; lo máximo es ${f.most} a 1.`,
    why: 'Con poco descanso, cada vez sale un poco peor.',
  },
  'vigorous-minutes': {
    what: (f) => `${time(f.seconds)} de trabajo fuerte sin medio minuto de alivio.`,
    why: 'Un respiro en medio, y la segunda mitad sale como la primera.',
  },
  'loaded-sets': {
    what: (f) => `${f.sets} series de ${f.move} con peso; bastan ${f.most}.`,
    why: 'Para hacerse fuertes bastan de una a tres series.',
  },
  'loaded-reps': {
    what: (f) => `${f.reps} repeticiones de ${f.move} con peso; se enseñan de ${f.least} a ${f.most}.`,
    why: 'Menos quiere decir que pesa demasiado; más, que toca otra versión.',
  },
  'power-reps': {
    what: (f) => `${f.reps} de ${f.move} seguidos; después de ${f.most} ya no son saltos.`,
    why: 'La potencia es poca y buena: descansa y salta otra vez.',
  },
  'hold-policy': {
    what: (f) => `${f.move} se mantiene ${time(f.seconds)}; bastan de ${f.least} a ${f.most} s por lado.`,
    why: 'Menos sirve de poco, y más no añade.',
  },
  'sides-unequal': {
    what: (f) => `${f.move}: ${time(f.first)} por un lado, ${time(f.second)} por el otro.`,
    why: 'Los dos lados por igual.',
  },
  'same-muscle-twice': {
    what: (f) => `${f.first} y luego ${f.second}: los dos trabajan ${f.muscle}.`,
    why: 'En otro orden, uno descansa mientras el otro trabaja.',
  },
  'jumps-in-a-row': {
    what: (f) => `${f.n} estaciones de saltos seguidas.`,
    why: 'Una estación en el suelo o de brazos en medio mantiene suaves los aterrizajes.',
  },
  'big-step-up': {
    what: (f) => `${time(f.work)} de trabajo; la última vez fueron ${time(f.before)}.`,
    why: 'Un tercio más de golpe se nota al día siguiente; una décima se nota como progreso.',
  },
  'rest-too-short': {
    what: (f) => `Faltan ${f.seconds} s para colocarse para ${f.move}.`,
    why: 'El reloj empieza cuando todavía van de camino.',
  },
  'hands-full': {
    what: (f) => `${f.move} con ${f.kg} kg en las manos que hacen falta.`,
    why: 'Unas manos ocupadas no pueden apoyarse.',
  },
  height: {
    what: (f) => `«${f.words}» dentro de casa.`,
    why: 'Lámparas, techos y estantes; la altura de la cabeza es bastante.',
  },
  'thrown-things': {
    what: (f) => `Después de ${f.move} viene ${f.next}; lo lanzado está por el suelo.`,
    why: 'Quien pisa un calcetín enrollado se cae. Basta una línea: recoge primero.',
  },
  'sprint-to-wall': {
    what: (f) => `«${f.words}».`,
    why: 'Una carrera acaba dos pasos grandes antes de una pared, una puerta o una valla.',
  },
  'things-to-write': {
    what: (f) => `${f.results} resultados por anotar; se anotan ${f.most}.`,
    why: 'Cada nota es una pausa, y las últimas se inventan.',
  },
  'unsafe-weight': {
    what: (f) => `«${f.words}» como peso.`,
    why: 'Se rompe, resbala o se deshace: mejor una botella limpia y cerrada o una mochila con libros.',
  },
  'harmful-bottle': {
    what: (f) => `«${f.words}».`,
    why: 'El vidrio se rompe y lo que tuvo dentro puede quemar. Una botella de plástico limpia y cerrada que tuvo bebida.',
  },
  'stairs-jump': {
    what: (f) => `«${f.words}».`,
    why: 'Nadie salta a una escalera o un mueble ni desde ellos: el primer escalón es para pisar.',
  },
  'rolling-support': {
    what: (f) => `«${f.words}».`,
    why: 'Lo que rueda, gira o se pliega cede. Una silla de cuatro patas, con el respaldo en la pared.',
  },
  'stand-in-unfit': {
    what: (f) => `${f.standIn} en lugar de ${f.kit}: no para ${f.move}.`,
    why: 'No aguanta este ejercicio. Toma lo de verdad u otro ejercicio.',
  },
  'small-things': {
    what: (f) => `«${f.words}», y no hay nadie al lado.`,
    why: 'Menores de ocho años se atragantan con cosas pequeñas y globos rotos; con un adulto al lado, o calcetines enrollados.',
  },
  'in-the-mouth': {
    what: (f) => `«${f.words}».`,
    why: 'Nada en la boca en movimiento.',
  },
  'round-the-neck': {
    what: (f) => `«${f.words}».`,
    why: 'Nada se ata al cuello, a las muñecas, a puertas ni a muebles.',
  },
  blindfold: {
    what: (f) => `«${f.words}».`,
    why: 'En casa nadie se mueve sin ver.',
  },
  heading: {
    what: (f) => `«${f.words}».`,
    why: 'En primaria no se remata de cabeza; las federaciones lo desaconsejan antes de los once o doce años.',
  },
  inverted: {
    what: (f) => `«${f.words}»: peso en el cuello o las manos, cabeza abajo.`,
    why: 'No antes de tercero, y solo con un adulto al lado. Rodar como un tronco, mecerse y el perro boca abajo están bien.',
  },
  'overhead-load': {
    what: (f) => `${f.move} con ${f.kg} kg por encima de la cabeza.`,
    why: 'En segundo y tercero, medio kilo como mucho, de pie o en una silla; más peso, o boca arriba, puede caer en la cara.',
  },
  'load-too-heavy': {
    what: (f) => `${f.move} con ${f.kg} kg; a esa edad se empieza con ${f.most} kg.`,
    why: 'Primero diez bien hechas; luego, el paso más pequeño que haya en casa.',
  },
  'load-not-stated': {
    what: (f) => `${f.move}: ¿con cuánto peso?`,
    why: 'Una mochila pesa lo que se le mete. Dilo en kilos o en libros.',
  },
  'young-dips': {
    what: (f) => `${f.move} en ${f.standIn}.`,
    why: 'Los fondos piden una silla con el respaldo contra la pared.',
  },
  spinning: {
    what: (f) => `«${f.words}».`,
    why: 'Después de tres giros se caen; uno, y quietud.',
  },
  'high-elbows': {
    what: (f) => `«${f.words}».`,
    why: 'Los codos por encima de los hombros los pinzan; hasta la última costilla basta.',
  },
  'loaded-round-twist': {
    what: (f) => `${f.move} con ${f.kg} kg, en el suelo.`,
    why: 'Espalda curva, peso y giro no van juntos: sin peso, o de pie.',
  },
  'neck-circles': {
    what: (f) => `«${f.words}».`,
    why: 'De lado a lado hace lo mismo sin doblar el cuello atrás.',
  },
  'deep-walking-squats': {
    what: (f) => `«${f.words}».`,
    why: 'Poco rato y por diversión; más de veinte segundos lo pagan las rodillas.',
  },
  'held-feet-sit-ups': {
    what: (f) => `«${f.words}».`,
    why: 'Con los pies sujetos trabaja la cadera y se hunde la espalda: encogimientos con los pies libres.',
  },
  'eyes-closed': {
    what: (f) => `«${f.words}» de pie o en movimiento.`,
    why: 'En reposo, sí; cerca de muebles, ojos abiertos.',
  },
  'socks-jump': {
    what: (f) => `«${f.words}».`,
    why: 'Los calcetines resbalan: con calzado o con los pies descalzos.',
  },
  'breath-held': {
    what: (f) => `«${f.words}».`,
    why: 'La respiración sigue, sobre todo al mantener.',
  },
  'bounced-stretch': {
    what: (f) => `«${f.words}».`,
    why: 'Sin rebotes y respirando se llega más lejos.',
  },
  'raced-technique': {
    what: (f) => `${f.move} con peso y contra el reloj.`,
    why: 'Donde solo cuenta el número, lo paga la espalda. Quita el peso o hazlo en series.',
  },
  'floor-burpee': {
    what: (f) => `«${f.words}» antes de tercero.`,
    why: 'Manos al suelo, pies atrás y adelante: el pecho se queda arriba.',
  },
  'neck-pulse': {
    what: (f) => `«${f.words}».`,
    why: 'En la muñeca; en el cuello, suave y de un solo lado. Hasta segundo, la mano en el pecho.',
  },
  forfeits: {
    what: (f) => `«${f.words}».`,
    why: 'El ejercicio no es una multa, y quien queda fuera es quien menos se mueve. Todos hacen la tarea siguiente, o la eligen.',
  },
  'seated-twin': {
    what: (f) => `«${f.words}», y en la parte principal no hay nada en silla.`,
    why: 'La biblioteca tiene ejercicios en silla que suben el pulso: correr, estrella, trepar la cuerda.',
  },
  'body-talk': {
    what: (f) => `«${f.words}».`,
    why: 'El cuerpo, el peso y las calorías no son objetivo para niños.',
  },
  'punishment-words': {
    what: (f) => `«${f.words}».`,
    why: 'Moverse no es un castigo; con otro nombre se hace el mismo trabajo.',
  },
  filmed: {
    what: (f) => `«${f.words}».`,
    why: 'Las imágenes de niños dependen de las normas de datos de la escuela; un número o una cara en el cuaderno dice lo mismo.',
  },
  'too-many-words': {
    what: (f) => `${f.words} palabras tuyas por leer; se leen unas ${f.most}.`,
    why: 'Las líneas cortas se hacen; las largas se saltan, y los avisos con ellas.',
  },
  'surprise-told': {
    what: (f) => `La sorpresa ya se cuenta: ${f.words}.`,
    why: 'Su nombre está donde se lee antes.',
  },
  'measured-cold': {
    what: (f) => `Se mide después de ${time(f.moved)} de movimiento.`,
    why: 'Mantener o repetir medio minuto sale mejor y más seguro en caliente.',
  },
  'one-sided': {
    what: (f) => `El ${f.share} % del trabajo es ${kinds[String(f.part)] ?? f.part}.`,
    why: 'Empujar, tirar, piernas y centro por turnos: en la semana, si no en una sesión.',
  },
}
