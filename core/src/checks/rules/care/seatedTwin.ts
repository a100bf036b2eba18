import type { Rule } from '../../rule.ts'

const sits =
  /\b(?:wheel-?chairs?|crutch(?:es)?|plaster(?:ed)?|broken (?:leg|ankle|foot)|silla de ruedas|muletas|escayola|yeso)\b/i

/** The session is about a child who sits, but its main part has nothing to do while sitting. */
export const seatedTwin: Rule = {
  id: 'seated-twin',
  level: 'note',
  family: 'care',
  find: ({ said, cells }) => {
    const about = said.find(({ text }) => sits.test(text))
    const main = cells.filter(({ section }) => ['main', 'skill'].includes(section.role))
    if (!about || !main.length) return []
    const seated = main.some(({ move, version }) => (version.posture ?? move.posture) === 'seated')
    return seated ? [] : [{ where: about.where, groups: [], facts: { words: sits.exec(about.text)![0] } }]
  },
}
