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

/** The sentences of every rule in Spanish. */
export const checksInSpanish: Record<RuleId, RuleWords> = {
  'short-warm-up': {
    title: 'Calentamiento corto',
    what: (f) => `${time(f.moved)} de movimiento antes del primer esfuerzo; con ${time(f.wanted)} se entra en calor.`,
    why: 'Con los músculos calientes y el corazón preparado, el esfuerzo es más seguro y mejor.',
  },
  'no-cool-down': {
    title: 'Sin vuelta a la calma',
    what: (f) => `El esfuerzo termina ${time(f.left)} antes del final.`,
    why: 'Al parar de golpe puede dar mareo. Basta un minuto de caminar, respirar o un juego tranquilo.',
  },
  'over-minutes': {
    title: 'Pasa de los minutos',
    what: (f) => `${time(f.by)} más que los ${f.minutes} minutos.`,
    why: 'Lo que no cabe se corta en casa, y casi siempre es la vuelta a la calma.',
  },
  'well-under-minutes': {
    title: 'Muy por debajo de los minutos',
    what: (f) => `La calle más larga dura ${time(f.seconds)} de ${f.minutes} minutos.`,
    why: 'Buscar, explicar y beber también llevan tiempo; después cabe otra vuelta.',
  },
  'lanes-apart': {
    title: 'Calles separadas',
    what: (f) => `Las calles terminan con ${time(f.apart)} de diferencia; deben acabar juntas.`,
    why: 'Pediste calles que acaben juntas.',
  },
  'long-talk': {
    title: 'Charla larga',
    what: (f) => `${time(f.seconds)} de charla seguida; escuchan unos ${time(f.most)}.`,
    why: 'A esa edad nadie escucha más rato a una pantalla; enséñalo o habla dos veces.',
  },
  'no-water': {
    title: 'Sin agua',
    what: (f) => `${f.minutes} minutos sin pausa para beber.`,
    why: 'Un sorbo cada veinte minutos, al aire libre antes. Vale un descanso de medio minuto.',
  },
  'long-for-young': {
    title: 'Largo para pequeños',
    what: (f) => `${f.minutes} minutos de trabajo con ${f.moves} ejercicios distintos.`,
    why: 'Los más pequeños aguantan un cuarto de hora, con ejercicios que se repiten.',
  },
  landings: {
    title: 'Aterrizajes',
    what: (f) => `${f.landings} aterrizajes; se empieza por unos ${f.most}.`,
    why: 'Los saltos fortalecen huesos y tendones poco a poco, y los cansan cuando son muchos de golpe.',
  },
  'hard-landings': {
    title: 'Aterrizajes fuertes',
    what: (f) => `${f.landings} aterrizajes fuertes; se empieza por unos ${f.most}.`,
    why: 'Desde una altura, a un pie y lejos, o con las rodillas al pecho: pesan más que un salto en el sitio.',
  },
  'long-hold': {
    title: 'Mantener demasiado',
    what: (f) => `${f.move} se aguanta ${time(f.seconds)}; la postura dura unos ${time(f.most)}.`,
    why: 'Cuando se pierde la postura solo aguantan las articulaciones. Mejor dos cortas que una larga.',
  },
  wrists: {
    title: 'Muñecas',
    what: (f) => `${time(f.seconds)} sobre las manos sin pausa.`,
    why: 'Las muñecas pequeñas se cansan; algo de pie entre medias las deja descansar.',
  },
  'kit-missing': {
    title: 'Falta material',
    what: (f) => `${f.move} necesita: ${f.kit}.`,
    why: 'En esa casa no hay, ni nada que lo sustituya.',
  },
  'floor-too-small': {
    title: 'Poco sitio',
    what: (f) => `${f.move} necesita ${space[String(f.needs)] ?? f.needs}.`,
    why: 'En la casa de esta sesión hay menos sitio.',
  },
  'thud-where-quiet': {
    title: 'Ruido en casa tranquila',
    what: (f) => `${f.move} se oye abajo.`,
    why: 'Esta sesión es para una casa en silencio.',
  },
  'partner-alone': {
    title: 'Pareja en solitario',
    what: (f) => `${f.move} se hace entre dos.`,
    why: 'Esta sesión se hace a solas.',
  },
  'adult-alone': {
    title: 'Adulto ausente',
    what: (f) => `${f.move} pide un adulto al lado.`,
    why: 'Esta sesión se hace a solas.',
  },
  'things-to-fetch': {
    title: 'Cosas que traer',
    what: (f) => `${f.things} cosas que buscar; reúnen unas ${f.most}.`,
    why: 'Buscar quita las ganas antes de empezar.',
  },
  'beyond-grade': {
    title: 'Por encima del curso',
    what: (f) => `${f.version} es desde ${f.from === 0 ? 'infantil' : `${f.from}.º`}.`,
    why: 'Una versión más fácil les sale bien.',
  },
  'young-load': {
    title: 'Peso para pequeños',
    what: (f) => `${f.move} con ${f.kg} kg para los más pequeños.`,
    why: 'El peso, desde los siete u ocho años, cuando ya están listos; antes, cosas blandas y ligeras, con un adulto.',
  },
  'no-easier': {
    title: 'Sin versión más fácil',
    what: (f) => `${f.move} ya es la versión más fácil; nada dice qué hacer si cuesta demasiado.`,
    why: 'El botón «más fácil» no tiene nada que ofrecer aquí. Basta una línea tuya.',
  },
  'no-warm-up': {
    title: 'Sin calentamiento',
    what: (f) => `El trabajo fuerte empieza en frío; calentarían ${time(f.wanted)} de movimiento.`,
    why: 'Con los músculos calientes y el corazón a punto, el trabajo fuerte es más seguro y sale mejor.',
  },
  'hard-start': {
    title: 'Comienzo fuerte',
    what: (f) => `${f.move} en el primer minuto del calentamiento.`,
    why: 'El primer minuto es de movimiento fácil; lo que cae o pesa viene después.',
  },
  'straight-down': {
    title: 'Directo al suelo',
    what: (f) => `Del trabajo fuerte directo a: ${f.move}.`,
    why: 'Quien se acuesta o se sienta de golpe puede marearse. Basta con caminar antes tres cuartos de minuto.',
  },
  'game-cut': {
    title: 'Juego cortado',
    what: (f) => `El juego pasa ${time(f.by)} de los minutos.`,
    why: 'Es lo único que no querrán dejar; quita tiempo de otra parte.',
  },
  'section-over': {
    title: 'Parte demasiado larga',
    what: (f) => `${f.title || 'Esta parte'} dura ${time(f.by)} más que sus ${f.minutes} minutos.`,
    why: 'Le diste minutos propios a esta parte.',
  },
  'no-counter-shape': {
    title: 'Sin forma contraria',
    what: (f) => `${time(f.seconds)} de ${f.move} y nada que doble al revés.`,
    why: 'Después de doblarse mucho hacia un lado, la forma contraria sienta bien.',
  },
  'static-first': {
    title: 'Primero estirar',
    what: (f) => `Empieza con un estiramiento mantenido: ${f.move}.`,
    why: 'Estirar poco no hace daño, pero moverse calienta mejor.',
  },
  'not-warmed': {
    title: 'Músculos sin calentar',
    what: (f) => `Trabaja fuerte y no se mueve antes: ${f.muscles}.`,
    why: 'Unas repeticiones fáciles de lo que viene son la mejor preparación.',
  },
  'worked-not-stretched': {
    title: 'Trabajado y sin estirar',
    what: (f) => `Trabaja más tiempo y no se estira: ${f.muscles}.`,
    why: 'Se estira por la amplitud, no contra las agujetas; basta con un estiramiento.',
  },
  'mostly-still': {
    title: 'Mucho tiempo sin moverse',
    what: (f) => `${time(f.moving)} de ${time(f.seconds)} en movimiento.`,
    why: 'En una clase de moverse, la mitad del tiempo o más es movimiento.',
  },
  'new-moves': {
    title: 'Muchos ejercicios nuevos',
    what: (f) => `${f.moves} ejercicios que nunca se les enviaron: ${f.names}.`,
    why: 'Unos segundos de explicación por ejercicio, o una primera vuelta lenta, y empiezan todos a la vez.',
  },
  'aim-absent': {
    title: 'Falta el objetivo',
    what: (f) => `El objetivo es ${aims[String(f.aim)] ?? f.aim}, y hay poco de eso.`,
    why: 'Un objetivo que apenas aparece no se puede recordar al final.',
  },
  'work-too-long': {
    title: 'Trabajo demasiado largo',
    what: (f) => `${time(f.seconds)} de ${f.move} con reloj; la forma dura unos ${time(f.most)}.`,
    why: 'Los niños se recuperan rápido; lo primero que falla es la atención y luego la forma.',
  },
  'work-rest-ratio': {
    title: 'Trabajo y descanso',
    what: (f) => `${time(f.work)} de trabajo fuerte con ${time(f.rest)} de descanso; lo máximo es ${f.most} a 1.`,
    why: 'Con poco descanso, cada vez sale un poco peor.',
  },
  'vigorous-minutes': {
    title: 'Mucho rato fuerte',
    what: (f) => `${time(f.seconds)} de trabajo fuerte sin medio minuto de alivio.`,
    why: 'Un respiro en medio, y la segunda mitad sale como la primera.',
  },
  'loaded-sets': {
    title: 'Series con peso',
    what: (f) => `${f.sets} series de ${f.move} con peso; bastan ${f.most}.`,
    why: 'Para hacerse fuertes bastan de una a tres series.',
  },
  'loaded-reps': {
    title: 'Repeticiones con peso',
    what: (f) => `${f.reps} repeticiones de ${f.move} con peso; se enseñan de ${f.least} a ${f.most}.`,
    why: 'Menos quiere decir que pesa demasiado; más, que toca otra versión.',
  },
  'power-reps': {
    title: 'Saltos seguidos',
    what: (f) => `${f.reps} de ${f.move} seguidos; después de ${f.most} ya no son saltos.`,
    why: 'La potencia es poca y buena: descansa y salta otra vez.',
  },
  'hold-policy': {
    title: 'Duración del estiramiento',
    what: (f) => `${f.move} se mantiene ${time(f.seconds)}; bastan de ${f.least} a ${f.most} s por lado.`,
    why: 'Menos sirve de poco, y más no añade.',
  },
  'sides-unequal': {
    title: 'Lados desiguales',
    what: (f) => `${f.move}: ${time(f.first)} por un lado, ${time(f.second)} por el otro.`,
    why: 'Los dos lados por igual.',
  },
  'same-muscle-twice': {
    title: 'El mismo músculo dos veces',
    what: (f) => `${f.first} y luego ${f.second}: los dos trabajan ${f.muscle}.`,
    why: 'En otro orden, uno descansa mientras el otro trabaja.',
  },
  'jumps-in-a-row': {
    title: 'Saltos seguidos de estación',
    what: (f) => `${f.n} estaciones de saltos seguidas.`,
    why: 'Una estación en el suelo o de brazos en medio mantiene suaves los aterrizajes.',
  },
  'big-step-up': {
    title: 'Gran aumento',
    what: (f) => `${time(f.work)} de trabajo; la última vez fueron ${time(f.before)}.`,
    why: 'Un tercio más de golpe se nota al día siguiente; una décima se nota como progreso.',
  },
  'rest-too-short': {
    title: 'Descanso corto',
    what: (f) => `Faltan ${f.seconds} s para colocarse para ${f.move}.`,
    why: 'El reloj empieza cuando todavía van de camino.',
  },
  'hands-full': {
    title: 'Manos ocupadas',
    what: (f) => `${f.move} con ${f.kg} kg en las manos que hacen falta.`,
    why: 'Unas manos ocupadas no pueden apoyarse.',
  },
  height: {
    title: 'Altura',
    what: (f) => `«${f.words}» dentro de casa.`,
    why: 'Lámparas, techos y estantes; la altura de la cabeza es bastante.',
  },
  'thrown-things': {
    title: 'Cosas lanzadas',
    what: (f) => `Después de ${f.move} viene ${f.next}; lo lanzado está por el suelo.`,
    why: 'Quien pisa un calcetín enrollado se cae. Basta una línea: recoge primero.',
  },
  'sprint-to-wall': {
    title: 'Carrera a la pared',
    what: (f) => `«${f.words}».`,
    why: 'Una carrera acaba dos pasos grandes antes de una pared, una puerta o una valla.',
  },
  'things-to-write': {
    title: 'Cosas que anotar',
    what: (f) => `${f.results} resultados por anotar; se anotan ${f.most}.`,
    why: 'Cada nota es una pausa, y las últimas se inventan.',
  },
  'unsafe-weight': {
    title: 'Peso peligroso',
    what: (f) => `«${f.words}» como peso.`,
    why: 'Se rompe, resbala o se deshace: mejor una botella limpia y cerrada o una mochila con libros.',
  },
  'harmful-bottle': {
    title: 'Botella peligrosa',
    what: (f) => `«${f.words}».`,
    why: 'El vidrio se rompe y lo que tuvo dentro puede quemar. Una botella de plástico limpia y cerrada que tuvo bebida.',
  },
  'stairs-jump': {
    title: 'Saltos en escalera',
    what: (f) => `«${f.words}».`,
    why: 'Nadie salta a una escalera o un mueble ni desde ellos: el primer escalón es para pisar.',
  },
  'rolling-support': {
    title: 'Apoyo que rueda',
    what: (f) => `«${f.words}».`,
    why: 'Lo que rueda, gira o se pliega cede. Una silla de cuatro patas, con el respaldo en la pared.',
  },
  'stand-in-unfit': {
    title: 'Sustituto inadecuado',
    what: (f) => `${f.standIn} en lugar de ${f.kit}: no para ${f.move}.`,
    why: 'No aguanta este ejercicio. Toma lo de verdad u otro ejercicio.',
  },
  'small-things': {
    title: 'Cosas pequeñas',
    what: (f) => `«${f.words}», y no hay nadie al lado.`,
    why: 'Menores de ocho años se atragantan con cosas pequeñas y globos rotos; con un adulto al lado, o calcetines enrollados.',
  },
  'in-the-mouth': {
    title: 'En la boca',
    what: (f) => `«${f.words}».`,
    why: 'Nada en la boca en movimiento.',
  },
  'round-the-neck': {
    title: 'Atado al cuello',
    what: (f) => `«${f.words}».`,
    why: 'Nada se ata al cuello, a las muñecas, a puertas ni a muebles.',
  },
  blindfold: {
    title: 'Ojos vendados',
    what: (f) => `«${f.words}».`,
    why: 'En casa nadie se mueve sin ver.',
  },
  heading: {
    title: 'Remate de cabeza',
    what: (f) => `«${f.words}».`,
    why: 'En primaria no se remata de cabeza; las federaciones lo desaconsejan antes de los once o doce años.',
  },
  inverted: {
    title: 'Cabeza abajo',
    what: (f) => `«${f.words}»: peso en el cuello o las manos, cabeza abajo.`,
    why: 'No antes de tercero, y solo con un adulto al lado. Rodar como un tronco, mecerse y el perro boca abajo están bien.',
  },
  'overhead-load': {
    title: 'Peso sobre la cabeza',
    what: (f) => `${f.move} con ${f.kg} kg por encima de la cabeza.`,
    why: 'En segundo y tercero, medio kilo como mucho, de pie o en una silla; más peso, o boca arriba, puede caer en la cara.',
  },
  'load-too-heavy': {
    title: 'Peso excesivo',
    what: (f) => `${f.move} con ${f.kg} kg; a esa edad se empieza con ${f.most} kg.`,
    why: 'Primero diez bien hechas; luego, el paso más pequeño que haya en casa.',
  },
  'load-not-stated': {
    title: 'Peso sin decir',
    what: (f) => `${f.move}: ¿con cuánto peso?`,
    why: 'Una mochila pesa lo que se le mete. Dilo en kilos o en libros.',
  },
  'young-dips': {
    title: 'Fondos en un sustituto',
    what: (f) => `${f.move} en ${f.standIn}.`,
    why: 'Los fondos piden una silla con el respaldo contra la pared.',
  },
  spinning: {
    title: 'Giros',
    what: (f) => `«${f.words}».`,
    why: 'Después de tres giros se caen; uno, y quietud.',
  },
  'high-elbows': {
    title: 'Codos altos',
    what: (f) => `«${f.words}».`,
    why: 'Los codos por encima de los hombros los pinzan; hasta la última costilla basta.',
  },
  'loaded-round-twist': {
    title: 'Giro con peso',
    what: (f) => `${f.move} con ${f.kg} kg, en el suelo.`,
    why: 'Espalda curva, peso y giro no van juntos: sin peso, o de pie.',
  },
  'neck-circles': {
    title: 'Círculos de cuello',
    what: (f) => `«${f.words}».`,
    why: 'De lado a lado hace lo mismo sin doblar el cuello atrás.',
  },
  'deep-walking-squats': {
    title: 'Caminar en cuclillas',
    what: (f) => `«${f.words}».`,
    why: 'Poco rato y por diversión; más de veinte segundos lo pagan las rodillas.',
  },
  'held-feet-sit-ups': {
    title: 'Abdominales con pies sujetos',
    what: (f) => `«${f.words}».`,
    why: 'Con los pies sujetos trabaja la cadera y se hunde la espalda: encogimientos con los pies libres.',
  },
  'eyes-closed': {
    title: 'Ojos cerrados',
    what: (f) => `«${f.words}» de pie o en movimiento.`,
    why: 'En reposo, sí; cerca de muebles, ojos abiertos.',
  },
  'socks-jump': {
    title: 'Saltos en calcetines',
    what: (f) => `«${f.words}».`,
    why: 'Los calcetines resbalan: con calzado o con los pies descalzos.',
  },
  'breath-held': {
    title: 'Aire retenido',
    what: (f) => `«${f.words}».`,
    why: 'La respiración sigue, sobre todo al mantener.',
  },
  'bounced-stretch': {
    title: 'Estirar con rebotes',
    what: (f) => `«${f.words}».`,
    why: 'Sin rebotes y respirando se llega más lejos.',
  },
  'raced-technique': {
    title: 'Técnica contra el reloj',
    what: (f) => `${f.move} con peso y contra el reloj.`,
    why: 'Donde solo cuenta el número, lo paga la espalda. Quita el peso o hazlo en series.',
  },
  'floor-burpee': {
    title: 'Burpee al suelo',
    what: (f) => `«${f.words}» antes de tercero.`,
    why: 'Manos al suelo, pies atrás y adelante: el pecho se queda arriba.',
  },
  'neck-pulse': {
    title: 'Pulso en el cuello',
    what: (f) => `«${f.words}».`,
    why: 'En la muñeca; en el cuello, suave y de un solo lado. Hasta segundo, la mano en el pecho.',
  },
  forfeits: {
    title: 'Prendas y eliminados',
    what: (f) => `«${f.words}».`,
    why: 'El ejercicio no es una multa, y quien queda fuera es quien menos se mueve. Todos hacen la tarea siguiente, o la eligen.',
  },
  'seated-twin': {
    title: 'Alternativa en silla',
    what: (f) => `«${f.words}», y en la parte principal no hay nada en silla.`,
    why: 'La biblioteca tiene ejercicios en silla que suben el pulso: correr, estrella, trepar la cuerda.',
  },
  'body-talk': {
    title: 'Hablar del cuerpo',
    what: (f) => `«${f.words}».`,
    why: 'El cuerpo, el peso y las calorías no son objetivo para niños.',
  },
  'punishment-words': {
    title: 'Nombres de castigo',
    what: (f) => `«${f.words}».`,
    why: 'Moverse no es un castigo; con otro nombre se hace el mismo trabajo.',
  },
  filmed: {
    title: 'Fotos y vídeos',
    what: (f) => `«${f.words}».`,
    why: 'Las imágenes de niños dependen de las normas de datos de la escuela; un número o una cara en el cuaderno dice lo mismo.',
  },
  'too-many-words': {
    title: 'Demasiadas palabras',
    what: (f) => `${f.words} palabras tuyas por leer; se leen unas ${f.most}.`,
    why: 'Las líneas cortas se hacen; las largas se saltan, y los avisos con ellas.',
  },
  'surprise-told': {
    title: 'Sorpresa contada',
    what: (f) => `La sorpresa ya se cuenta: ${f.words}.`,
    why: 'Su nombre está donde se lee antes.',
  },
  'measured-cold': {
    title: 'Medir en frío',
    what: (f) => `Se mide después de ${time(f.moved)} de movimiento.`,
    why: 'Mantener o repetir medio minuto sale mejor y más seguro en caliente.',
  },
  'other-set-up': {
    title: 'Otra preparación',
    what: (f) => `${f.test} se prepara de dos formas: ${f.first}, y ${f.other}.`,
    why: 'Otra preparación es otra prueba: lo que se lee no se compara.',
  },
  'test-beyond-grade': {
    title: 'Prueba por encima del curso',
    what: (f) => `${f.test} es desde ${f.from === 0 ? 'infantil' : `${f.from}.º`}.`,
    why: 'Las pruebas hasta el límite no son para los más pequeños, y en casa menos.',
  },
  'test-thuds': {
    title: 'Prueba con ruido',
    what: (f) => `${f.test} se oye abajo.`,
    why: 'Esta sesión es para una casa en silencio.',
  },
  'one-sided': {
    title: 'De un solo tipo',
    what: (f) => `El ${f.share} % del trabajo es ${kinds[String(f.part)] ?? f.part}.`,
    why: 'Empujar, tirar, piernas y centro por turnos: en la semana, si no en una sesión.',
  },
}
