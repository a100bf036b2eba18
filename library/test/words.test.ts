import { describe, expect, it } from 'vitest'
import { readLibrary } from '../../core/src/library/library.ts'
import { libraryData } from '../index.ts'
import { libraryWords } from '../words/index.ts'

const library = readLibrary({ ...libraryData, words: libraryWords })

/** Every text of the library that a family reads. */
const texts = new Set([
  ...[...library.moves.values()].flatMap((m) => [
    m.name,
    ...(m.playName ? [m.playName] : []),
    ...m.cues,
    ...m.cautions,
    ...m.versions.flatMap((v) => [v.name, v.how]),
  ]),
  ...[...library.measures.values()].flatMap((m) => [
    m.name,
    ...(m.practice ? [m.practice] : []),
    m.in,
    ...m.setUps.flatMap((s) => [s.name, s.how]),
    ...m.steps,
    m.ends,
    ...m.cautions,
  ]),
  ...[...library.kit.values()].flatMap((k) => [k.name, ...(k.ask ? [k.ask] : []), ...k.standIns]),
])

describe('the library in Spanish', () => {
  const { es } = libraryWords

  it('has every name, cue, caution and thing to fetch', () => {
    expect([...texts].filter((text) => !es[text])).toEqual([])
  })

  it('has nothing that no English text uses any more', () => {
    expect(Object.keys(es).filter((text) => !texts.has(text))).toEqual([])
  })

  it('is in Spanish: no English words are left in it, and cues stay short enough for the screen', () => {
    const english = /\b(the|your|with|and|hand|foot|knee|arm|leg|slow|hold|to)\b/i
    expect(Object.values(es).filter((text) => english.test(text))).toEqual([])
    const cues = [...library.moves.values()].flatMap((m) => m.cues)
    expect(cues.filter((cue) => es[cue]!.length > 60)).toEqual([])
  })

  it('uses words a primary teacher on either side of the ocean would use', () => {
    // Patterns a teacher of Spain or Latin America stumbled over; common practice, no source.
    const never: [string, RegExp][] = [
      ['“coger” is rude in half of America', /\b(cog[eií]|coj[ao])/i],
      ['reaching is stretching', /(?<!al )\balcan(za|ce)/i],
      ['throwing away: a ball rebounds', /\bbot(a|ar|ando|e que|es? con|e cambiando|e caminando)\b/i],
      ['only Spain', /pata coja|\bcole\b|\bcomba\b|\bpala\b|\bzapatillas\b|esterilla|moqueta|encimera/i],
      ['a limb is stretched, not long', /\b(brazos?|piernas?|espalda|cuerpo|codo|costillas) largo?a?s?\b/i],
      ['tips of what?', /\bpuntas\b(?! de los (pies|dedos))/i],
      ['only boys', /\b(sentado|tumbado|agarrado|agarrados|cansado|girado)\b(?! los| con)/i],
      ['wide feet', /\b(pies|manos|piernas) anch[ao]s\b/i],
      ['a command to somebody called When', /\bpara (cuando|si)\b/i],
    ]
    for (const [why, words] of never)
      expect([why, Object.values(es).filter((text) => words.test(text))]).toEqual([why, []])
  })

  it('gives different exercises different names', () => {
    const names = [...library.moves.values()].map((m) => es[m.name]!)
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([])
  })
})
