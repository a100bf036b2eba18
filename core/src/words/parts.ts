import type { Role } from '../terms/roles.ts'
import type { Language } from '../terms/language.ts'

/** The names of a session's sections. */
export const parts: Record<Language, Record<Role, string>> = {
  en: {
    brief: 'Before we start',
    warmUp: 'Warm-up',
    skill: 'Skill',
    main: 'Main part',
    game: 'Game',
    coolDown: 'Cool-down',
    challenge: 'Challenge',
    test: 'Test',
  },
  es: {
    brief: 'Antes de empezar',
    warmUp: 'Calentamiento',
    skill: 'Habilidad',
    main: 'Parte principal',
    game: 'Juego',
    coolDown: 'Vuelta a la calma',
    challenge: 'Reto',
    test: 'Prueba',
  },
}

/**
 * A section's title as families read it: a default title is translated, the teacher's own stays.
 *
 * @example partTitle({ role: 'warmUp', title: 'Warm-up' }, 'es') // 'Calentamiento'
 * @example partTitle({ role: 'main', title: 'Springs' }, 'es') // 'Springs'
 */
export const partTitle = ({ role, title }: { role: Role; title: string }, language: Language): string =>
  title === '' || title === parts.en[role] || title === roleWord[role] ? parts[language][role] : title

/** Shorter names some sessions carry. */
const roleWord: Partial<Record<Role, string>> = { main: 'Main' }
