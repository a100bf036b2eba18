import { describe, expect, it } from 'vitest'
import { type Joints } from '../../core/src/figure/body.ts'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { readLibrary } from '../../core/src/library/library.ts'
import { versionFor } from '../../core/src/library/versionFor.ts'
import { addStation, families, gradesName, newSession, obstacles, timeline, type Move } from '@esfuerzo/core'
import { searchMoves } from '@esfuerzo/core/choose'
import { keyMoments, pose, type Figure, type Point } from '@esfuerzo/core/figure'
import { libraryData } from '../index.ts'
import figureShares from '../figureShares.json'
import twins from '../twins.json'

const library = readLibrary(libraryData)
const moves = [...library.moves.values()]
const each = moves.map((m) => [m.id, m] as const)
type Version = Move['versions'][number]

const kitOf = (move: Move, version: Version) => (version.kit ?? move.kit).filter((k) => !k.optional).map((k) => k.id)
const weights = ['bottle', 'school-bag']
const figureOf = (move: Move, version: Version): Figure => library.figures.get(version.figure ?? move.figure)!

/** How far any joint of a figure travels from where it is in its first pose, in box heights. */
function travel(figure: Figure): number {
  const start = pose(figure, 0)
  const moments = Array.from({ length: 41 }, (_, i) => pose(figure, i / 40))
  const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
  return Math.max(
    ...moments.flatMap((joints) => (Object.keys(joints) as (keyof Joints)[]).map((k) => apart(joints[k], start[k]))),
  )
}

describe('the library', () => {
  it('has at least 240 exercises in every family and category, with unique ids', () => {
    expect(library.moves.size).toBeGreaterThanOrEqual(240)
    expect(library.moves.size).toBe(libraryData.moves.length)
    expect(library.figures.size).toBe(libraryData.figures.length)
    expect(new Set(moves.map((m) => m.family))).toEqual(new Set(families))
    expect(new Set(moves.map((m) => m.category)).size).toBe(5)
  })

  it('draws no unused figure, and uses no undrawn one', () => {
    const used = new Set(moves.flatMap((m) => m.versions.map((v) => v.figure ?? m.figure)))
    expect([...library.figures.keys()].filter((id) => !used.has(id))).toEqual([])
    expect([...used].filter((id) => !library.figures.has(id))).toEqual([])
  })

  it('gives every exercise a figure of its own, or says why it shares one', () => {
    const standardFigure = (move: Move) => figureOf(move, move.versions.find((v) => v.id === move.standard)!).id
    // A figure belongs to the move of its name, else to the first that does it.
    const ownerOf = (figure: string) =>
      library.moves.has(figure) ? figure : moves.find((m) => standardFigure(m) === figure)!.id
    const sharing = moves.filter((move) => ownerOf(standardFigure(move)) !== move.id)
    expect(sharing.map((m) => m.id).filter((id) => !Object.hasOwn(figureShares, id))).toEqual([])
    expect(Object.keys(figureShares).filter((id) => !library.moves.has(id))).toEqual([])
  })

  it('has a stand-in for every kit item, or says why not; and words for a child to ask first', () => {
    for (const item of library.kit.values()) {
      expect(item.standIns.length > 0 || Boolean(item.noStandIn), item.id).toBe(true)
      if (item.held) expect(item.ask, item.id).toBeTruthy()
    }
  })

  it('has a warm-up exercise and a stretch for every main muscle', () => {
    const main = new Set(moves.flatMap((m) => m.muscles.main))
    // A warm-up moves: no load, no jump, light.
    const warms = (m: Move) =>
      m.family !== 'stretch' &&
      m.measures.some((u) => u === 'reps' || u === 'seconds') &&
      m.versions.some((v) => v.impact === 0 && v.met <= 4.5 && !kitOf(m, v).some((k) => weights.includes(k)))
    for (const muscle of main) {
      expect(moves.some((m) => warms(m) && m.muscles.main.concat(m.muscles.also).includes(muscle)), muscle).toBe(true)
      expect(moves.some((m) => m.stretches?.includes(muscle)), muscle).toBe(true)
    }
  })

  it('gives no two exercises the same name', () => {
    const owners = new Map<string, string>()
    for (const move of moves)
      for (const name of [move.name, move.playName ?? '', ...move.synonyms].filter(Boolean)) {
        const key = name.toLowerCase().replace(/-/g, ' ')
        expect([move.id, undefined], `${name}: also ${owners.get(key)}`).toContain(owners.get(key))
        owners.set(key, move.id)
      }
  })
})

describe.each(each)('%s', (_, move) => {
  it('names muscles, kit and counters that exist, and an effort with its source', () => {
    for (const id of [...move.muscles.main, ...move.muscles.also, ...(move.stretches ?? [])])
      expect(library.muscles.has(id), id).toBe(true)
    for (const kit of [move.kit, ...move.versions.map((v) => v.kit ?? [])].flat())
      expect(library.kit.has(kit.id), kit.id).toBe(true)
    for (const id of move.counters ?? []) expect(library.moves.has(id), id).toBe(true)
    if (move.effort === 'ours') return
    const activity = library.effort.get(move.effort)
    expect(activity, move.effort).toBeDefined()
    // Versions lie round the activity: easier ones and one harder one.
    const standard = move.versions.find((v) => v.id === move.standard)!
    expect(standard.met / activity!.met).toBeGreaterThan(0.5)
    expect(standard.met / activity!.met).toBeLessThan(1.6)
  })

  it('gets no easier up the ladder: in grade, effort, impact', () => {
    for (let i = 1; i < move.versions.length; i++) {
      const [lower, upper] = [move.versions[i - 1]!, move.versions[i]!]
      expect(upper.fromGrade).toBeGreaterThanOrEqual(lower.fromGrade)
      expect(upper.met).toBeGreaterThanOrEqual(lower.met)
      expect(upper.impact).toBeGreaterThanOrEqual(lower.impact)
    }
  })

  it('has three or more versions for strength and jumps, and cues', () => {
    const trains = move.builds.some((b) => b === 'strength' || b === 'power') || move.family === 'jump'
    if (trains) expect(move.versions.length).toBeGreaterThanOrEqual(3)
    expect(move.cues.length).toBeGreaterThanOrEqual(1)
    expect(move.synonyms.length).toBeGreaterThanOrEqual(1)
  })

  it('has an impact if it jumps, makes noise then, and its figure leaves the floor', () => {
    if (move.family === 'jump') expect(move.versions.some((v) => v.impact > 0)).toBe(true)
    const lift = (v: Version) => Math.max(...figureOf(move, v).poses.map((p) => p.lift ?? 0))
    for (const v of move.versions) {
      if (v.impact >= 0.25) expect(v.noise ?? move.noise, v.id).toBe('thud')
      // Children do what they see: a version that does not land is not drawn in the air.
      if (v.impact === 0) expect(lift(v), v.id).toBeLessThanOrEqual(0.02)
      if (v.impact >= 0.5) expect(lift(v), v.id).toBeGreaterThan(0)
    }
  })

  it('takes no reps if it is held, and its figure then breathes', () => {
    const held = (move.family === 'stretch' || move.family === 'brace' || move.family === 'balance') && !move.measures.includes('reps')
    const figure = library.figures.get(move.figure)!
    const far = travel(figure)
    expect(far).toBeGreaterThan(0)
    if (held && !move.measures.includes('metres')) expect(far, move.figure).toBeLessThan(0.06)
    if (far < 0.02) expect(move.measures).not.toContain('reps')
  })

  it('has seconds per meter if it is done over meters, unless something else travels', () => {
    // Of a throw the thing travels; versions on the spot go nowhere.
    if (move.family === 'throwCatch') return
    const ordinary = move.versions.find((v) => v.id === move.standard)!
    expect(ordinary.secondsPerMetre !== undefined).toBe(move.measures.includes('metres'))
  })

  it('gives no weight to K–1, none overhead before grade 4, and asks for an adult if feet are above the head', () => {
    for (const v of move.versions) {
      const weighted = kitOf(move, v).some((k) => weights.includes(k))
      if (move.loadable && weighted) expect(v.fromGrade, v.id).toBeGreaterThanOrEqual(move.height ? 4 : 2)
    }
    const figure = library.figures.get(move.figure)!
    // On the hands, both feet above the head. Lying on the back with the legs up is another thing.
    const upended = keyMoments(figure).some((t) => {
      const j = pose(figure, t)
      return Math.max(j.ankleR.y, j.ankleL.y) < j.head.y - 0.05 && j.hip.y < j.head.y
    })
    if (upended && move.posture === 'handsAndFeet') expect(move.adult).toBe(true)
    expect(move.adult && move.versions.find((v) => v.id === move.standard)!.fromGrade < 3).toBeFalsy()
  })

  it('names its first side if it does one side, then the other', () => {
    if (move.sides !== 'each') return
    const unit = move.measures[0]!
    const w = newSession('x', [[4]], 20, 1)
    const block = w.sections.flatMap((s) => s.blocks).find((b) => b.form === 'list')!
    const cell = { move: move.id, version: move.standard, dose: { unit, amount: 4 } }
    const steps = timeline(addStation(w, block.id, { all: cell }), w.groups[0]!.id, library)
    const work = steps.filter((s) => s.kind === 'work')
    expect(work.map((s) => s.side)).toEqual(['first', 'second'])
  })
})

describe('what protects ankles, heads and windpipes', () => {
  const needs = (id: string) =>
    moves.flatMap((move) =>
      move.versions.flatMap((version) =>
        (version.kit ?? move.kit).filter((need) => need.id === id).map((need) => ({ move, version, need })),
      ),
    )

  it('steps only on the bottom step, and says so', () => {
    expect(library.kit.get('step')!.standIns).toEqual([])
    for (const { name, how } of needs('step').map((n) => n.version)) expect(`${name} ${how}`).not.toMatch(/book|box|chair/i)
  })

  it('climbs, leans on and throws at real walls only: no door, no cupboard', () => {
    const walls = needs('wall').filter(
      ({ move, version }) =>
        ['throwCatch', 'strike'].includes(move.family) ||
        (version.posture ?? move.posture) === 'handsAndFeet' ||
        (['push', 'squat'].includes(move.family) && move.posture !== 'standing') ||
        move.id === 'calf-stretch' ||
        move.id === 'wall-angel',
    )
    expect(walls.length).toBeGreaterThan(15)
    for (const { move, version, need } of walls) {
      expect(need.standIn, version.id).toBe(false)
      expect(move.cautions.join(' '), move.id).toContain('not a door or a cupboard')
    }
    const [{ move, version }] = walls as [(typeof walls)[number]]
    const at = { space: 'run', quiet: false, company: 'together', kit: [], outdoors: false } as const
    expect(obstacles(move, version, { ...at, kit: [], standIns: {} }, library)).toEqual([])
    expect(obstacles(move, version, { ...at, kit: [], standIns: { wall: 'closed door' } }, library)).toEqual([
      { code: 'kit', kit: 'wall', real: true },
    ])
  })

  it('holds on to the back of a chair, never a stair or a sofa, and nothing that slides', () => {
    for (const { version, need } of needs('chair').filter((n) => /chair back|on the chair$/i.test(n.version.how)))
      expect(need.standIn, version.id).toBe(false)
  })

  // EN 71-1 and 16 CFR 1500.19 (from memory): under eight, children can choke on uninflated or broken balloons.
  it('gives balloons to nobody under eight, and to nobody without an adult', () => {
    expect(needs('balloon').length).toBeGreaterThan(0)
    for (const { move, version } of needs('balloon')) {
      expect(version.fromGrade + 5, version.id).toBeGreaterThanOrEqual(8)
      expect(version.adult ?? move.adult, version.id).toBe(true)
      expect(move.cautions.join(' ')).toContain('eight')
      const alone = { space: 'run', quiet: false, company: 'alone', kit: ['balloon'], standIns: {}, outdoors: true } as const
      expect(obstacles(move, version, { ...alone, kit: ['balloon'] }, library)).toContainEqual({ code: 'adult' })
    }
  })

  it('balances and lifts nothing pointed', () => {
    for (const item of library.kit.values()) expect(item.standIns.join(' '), item.id).not.toMatch(/umbrella/)
    const upright = needs('stick').filter((n) => n.move.family === 'balance')
    expect(upright.length).toBeGreaterThan(0)
    for (const { version, need } of upright) expect(need.standIn, version.id).toBe(false)
  })
})

describe('what a specialist looks for', () => {
  const every = moves.flatMap((move) => move.versions.map((version) => ({ move, version })))

  it('every exercise has a fault to look for, with what to say: short, without scolding', () => {
    for (const move of moves) {
      expect(move.faults.length, move.id).toBeGreaterThan(0)
      for (const { see, say } of move.faults) {
        expect(say.length, say).toBeLessThanOrEqual(60)
        expect(`${see} ${say}`).not.toMatch(/\b(?:wrong|bad|lazy|stupid|punish)/i)
      }
    }
  })

  it('no exercise that loads, inverts, throws, lands, spins or balances lacks a caution', () => {
    const heavy = ['bottle', 'school-bag', 'stick', 'band', 'bat']
    const headDown = (move: Move) =>
      ['standing', 'handsAndFeet'].includes(move.posture) &&
      keyMoments(library.figures.get(move.figure)!).some((t) => {
        const j = pose(library.figures.get(move.figure)!, t)
        return j.head.y > j.hip.y + 0.02
      })
    const asks = moves.filter(
      (m) =>
        m.versions.some((v) => v.impact >= 0.25 || kitOf(m, v).some((k) => heavy.includes(k))) ||
        ['throwCatch', 'strike', 'balance'].includes(m.family) ||
        headDown(m) ||
        m.versions.some((v) => /turn/i.test(v.name) && m.family === 'jump'),
    )
    expect(asks.length).toBeGreaterThan(90)
    expect(asks.filter((m) => m.cautions.length === 0).map((m) => m.id)).toEqual([])
  })

  it('asks for shoes or bare feet if feet jump or run under a leaning body, and for a stable table', () => {
    for (const { move, version } of every) {
      const cautions = move.cautions.join(' ')
      const posture = version.posture ?? move.posture
      if (posture === 'handsAndFeet' && version.met >= 8) expect(cautions, move.id).toMatch(/never in socks/i)
      if (kitOf(move, version).includes('table')) expect(cautions, move.id).toContain('Use a heavy table')
    }
  })

  it('counts a go as long as it lasts: a duel, a court of hopscotch, a way there and back', () => {
    const goes = every.filter(({ move }) => move.measures.includes('goes'))
    expect(goes.length).toBeGreaterThan(40)
    for (const { version } of goes)
      expect(version.secondsPerGo ?? version.secondsPerRep, version.id).toBeGreaterThanOrEqual(1.6)
    for (const id of ['hopscotch', 'toe-tag', 'sock-snatch', 'palm-push'])
      for (const v of library.moves.get(id)!.versions) expect(v.secondsPerGo, v.id).toBeGreaterThanOrEqual(9)
  })

  it('every caution is a complete sentence on its own, and none contradicts another', () => {
    for (const caution of new Set(moves.flatMap((m) => m.cautions))) {
      expect(caution).toMatch(/^\p{Lu}.*\.$/u)
      expect(caution.split(' ').length, caution).toBeGreaterThanOrEqual(4)
      // Socks are never what is put on for it.
      if (/\bsocks?\b/i.test(caution)) expect(caution).toMatch(/never in socks|rolled socks/i)
    }
    // What is asked for in the same breath is asked for in the same words: the front page gathers it.
    expect(new Set(moves.flatMap((m) => m.cautions)).size).toBeLessThan(75)
  })

  it('is quiet only if it neither lands nor runs', () => {
    for (const { move, version } of every)
      if ((version.noise ?? move.noise) === 'quiet') {
        expect(version.impact, version.id).toBeLessThan(0.25)
        // In a chair and on hands and feet much may be done without a sound.
        if ((version.posture ?? move.posture) === 'standing') expect(version.met, version.id).toBeLessThan(7)
      }
  })

  it('has a version without a landing for every jump', () => {
    for (const move of moves.filter((m) => m.family === 'jump'))
      expect(move.versions.some((v) => v.impact === 0 && (v.noise ?? move.noise) === 'quiet'), move.id).toBe(true)
  })

  // From a height, on one leg for distance or height, or with the knees drawn up (Johnson et al. 2011, from memory).
  it('calls a landing hard for the right reasons, never for being on one leg on the spot', () => {
    const hard = every.filter(({ version }) => version.hard)
    expect(hard.length).toBeGreaterThan(3)
    for (const { version } of hard) expect(version.impact, version.id).toBeGreaterThanOrEqual(0.75)
    for (const id of ['hop', 'hopscotch'])
      expect(library.moves.get(id)!.versions.find((v) => v.id === id)!.hard).toBeUndefined()
  })

  it('shows no name of punishment or from a film, but understands them', () => {
    const shown = moves.flatMap((m) => [m.name, m.playName ?? '', ...m.synonyms, ...m.versions.map((v) => v.name)])
    expect(shown.filter((name) => /suicide|superman|spider-?man|death|military|dying/i.test(name))).toEqual([])
    for (const [typed, id] of [['suicide run', 'shuttle-run'], ['superman', 'flyer'], ['military press', 'bottle-press']])
      expect(searchMoves(moves, typed!)[0]?.id).toBe(id)
  })

  it('gives nothing the name of another exercise, or says why', () => {
    const plain = (name: string) => name.toLowerCase().replace(/-/g, ' ')
    const owners = new Map<string, Set<string>>()
    for (const move of moves)
      for (const name of [move.name, ...move.synonyms, ...move.versions.map((v) => v.name)])
        owners.set(plain(name), (owners.get(plain(name)) ?? new Set()).add(move.id))
    const shared = [...owners].filter(([, ids]) => ids.size > 1).map(([name]) => name)
    expect(shared.sort()).toEqual(Object.keys(twins).sort())
  })

  it('draws the equipment of every version', () => {
    const undrawn = [...library.moves.values()].flatMap((move) =>
      move.versions.flatMap((version) => {
        const needs = (version.kit ?? move.kit).filter((k) => !k.optional)
        const figure = library.figures.get(version.figure ?? move.figure)!
        return needs.length && !figure.props?.length ? [`${move.id}/${version.id}`] : []
      }),
    )
    expect(undrawn).toEqual([])
  })

  it('draws a version with a figure of its own exercise, or one of the same shape', () => {
    // A figure that belongs to another move by name does what that move does: only these are the same.
    const same: Readonly<Record<string, string>> = {
      'pencil-jump:pencil-rise': 'reach-up',
      'seal-walk:seal-still': 'cobra',
      'two-point:two-point-high': 'shoulder-tap',
      'seated-march:seated-heels': 'toe-heel-taps',
      'seated-march:seated-march-reach': 'seated-climb',
      'seated-run:seated-walk': 'seated-march',
      'seated-jack:seated-half-jack': 'leg-extension',
      'seated-climb:climb-arms': 'reach-and-pull',
      'seated-overhead-clap:seated-clap-front': 'reach-and-pull',
      'table-top:crab-sit': 'crab-walk',
      'leg-lower:bent-lower': 'dead-bug',
      'pike-push:pike-hold': 'down-dog',
      'pogo:heel-bounce': 'calf-raise',
      'squat-jump:rise': 'squat',
      'jump-show:show-arms': 'reach-up',
      'high-knees:slow-knees': 'march',
      'rope-skip:rope-step': 'march',
      'ski-march:ski-jump': 'scissors',
      'squat:chair-squat': 'sit-to-stand',
      'shuttle-run:shuttle-walk': 'march',
      'jump-freeze:rise-freeze': 'squat',
      'calf-step:calf-step-wall': 'calf-stretch',
    }
    const borrowed = every.flatMap(({ move, version }) =>
      version.figure && library.moves.has(version.figure) && version.figure !== move.id
        ? [[`${move.id}:${version.id}`, version.figure] as const]
        : [],
    )
    expect(Object.fromEntries(borrowed)).toEqual(same)
    const whole = moves.filter((m) => m.figure !== m.id && library.moves.has(m.figure))
    expect(whole.map((m) => [m.id, m.figure])).toEqual([['wave-breath', 'breathe']])
  })

  it('names the side an exercise changes to: two legs are not one after the other', () => {
    for (const { move, version } of every) {
      const sides = version.sides ?? move.sides
      if (/\bsame (?:hand|leg|foot)\b/i.test(version.how)) expect(sides, version.id).toBe('each')
      if (/\btwo[- ]leg\b|\bboth legs\b/i.test(version.name)) expect(sides, version.id).toBe('both')
      if (/, then the other\b/i.test(version.how)) expect(sides, version.id).not.toBe('each')
    }
  })

  it('raises a pulse in a chair, works every muscle on a poster, and lets everybody rest', () => {
    const seated = moves.filter((m) => m.posture === 'seated' && m.kit.some((k) => k.id === 'chair'))
    expect(seated.length).toBeGreaterThanOrEqual(12)
    const raises = seated.filter((m) => m.versions.find((v) => v.id === m.standard)!.met >= 4.3)
    expect(raises.length).toBeGreaterThanOrEqual(4)
    for (const muscle of ['lats', 'shin', 'abductors'])
      expect(moves.some((m) => m.muscles.main.includes(muscle)), muscle).toBe(true)
    expect(moves.filter((m) => m.family === 'breathe').length).toBeGreaterThanOrEqual(9)
    expect(moves.filter((m) => m.family === 'game').length).toBeGreaterThanOrEqual(18)
    const objects = moves.filter((m) => ['throwCatch', 'strike', 'dribble'].includes(m.family))
    expect(objects.length).toBeGreaterThanOrEqual(24)
  })
})

describe('what a teacher knows (common practice, no source)', () => {
  const saysOf = (move: Move) => [...move.cues, ...move.faults.flatMap((f) => [f.see, f.say]), ...move.cautions].join(' ')

  it('calls no knee over the toes a fault, but the knee that falls inward', () => {
    for (const move of moves) expect(move.faults.map((f) => f.see).join(' ')).not.toMatch(/knees? (over|past|beyond)/)
    for (const move of moves.filter((m) => m.family === 'lunge' && m.builds.includes('strength')))
      expect(move.faults.some((f) => /inward/.test(f.see)), move.id).toBe(true)
  })

  it('keeps elbows below the shoulders in an upright row, and necks from full circles', () => {
    expect(saysOf(library.moves.get('upright-row')!)).toMatch(/below your shoulders/)
    expect(saysOf(library.moves.get('neck-tilts')!)).toMatch(/no full circles/)
  })

  it('tells nobody to go on if it hurts: pain stops, and a grown-up is told', () => {
    for (const move of moves)
      for (const text of move.cautions.filter((c) => /\b(hurts?|sore|pinch)/.test(c) && !/nothing hurts/.test(c)))
        expect(text, move.id).toMatch(/tell a grown-up|skip/)
    expect(saysOf(library.moves.get('square-breath')!)).toMatch(/asthma.*no holding/)
  })

  it('asks nobody to sit on a stair, jump along a string or a sock, or throw at a wall what does not bounce back', () => {
    const standIns = (id: string) => library.kit.get(id)!.standIns.join(' ')
    expect(standIns('chair')).not.toMatch(/stair/)
    expect(standIns('floor-line')).toBe('tape chalk')
    expect(standIns('hoop')).not.toMatch(/string/)
    expect(standIns('cups')).not.toMatch(/sock/)
    expect(standIns('spoon')).not.toMatch(/pencil/)
    const real = (move: Move, id: string) => move.kit.some((need) => need.id === id && need.standIn === false)
    const passes = moves.filter((m) => real(m, 'wall') && m.kit.some((need) => need.id === 'soft-ball'))
    expect(passes.length).toBeGreaterThan(4)
    for (const move of passes) expect(real(move, 'soft-ball'), move.id).toBe(true)
    for (const id of ['chair-dip', 'sit-to-stand', 'one-arm-row'])
      expect(real(library.moves.get(id)!, 'chair'), id).toBe(true)
  })

  it('leaves room around a bat, and mentions brakes for wheelchair users', () => {
    for (const move of moves.filter((m) => m.kit.some((need) => need.id === 'bat')))
      expect(saysOf(move), move.id).toMatch(/[Tt]wo big steps free all around/)
    for (const move of moves.filter((m) => m.id.startsWith('seated-') && m.kit.some((need) => need.id === 'chair')))
      expect(saysOf(move), move.id).toMatch(/wheelchair: brakes on/i)
  })

  it('allows no dips before grade 3, and no deep duck walks', () => {
    expect(Math.min(...library.moves.get('chair-dip')!.versions.map((v) => v.fromGrade))).toBe(3)
    expect(moves.some((m) => m.synonyms.includes('duck walk'))).toBe(false)
  })

  it('never jumps in socks, or on or off a step', () => {
    for (const move of moves.filter((m) => m.versions.some((v) => v.impact >= 0.5))) {
      expect(saysOf(move), move.id).toMatch(/socks|land|Land|jump/i)
      for (const v of move.versions) if (v.impact >= 0.5) expect(kitOf(move, v)).not.toContain('step')
    }
  })
})

it.each([0, 1, 2, 3, 4, 5, 6])('grade %i has a warm-up, a circuit and a cool-down', (grade) => {
  const fits = moves.filter((m) => versionFor(m, { grades: [grade] }).fromGrade <= grade)
  const count = (test: (m: (typeof moves)[number]) => boolean) => fits.filter(test).length
  expect(count((m) => m.builds.includes('endurance') && m.posture === 'standing')).toBeGreaterThanOrEqual(4)
  const strength = ['squat', 'lunge', 'hinge', 'push', 'brace', 'curl', 'jump']
  expect(count((m) => strength.includes(m.family))).toBeGreaterThanOrEqual(10)
  expect(count((m) => m.family === 'stretch' && m.stretches !== undefined)).toBeGreaterThanOrEqual(5)
})

it('gives a group the hardest version its lowest grade is ready for, but not harder than the standard one', () => {
  const jump = library.moves.get('squat-jump')!
  const version = (...grades: number[]) => versionFor(jump, { grades }).id
  expect([version(0, 1), version(2, 3), version(4, 5, 6), version(1, 6)]).toEqual([
    'frog',
    'squat-jump',
    'squat-jump',
    'frog',
  ])
  // Where none fits, the easiest.
  expect(versionFor(library.moves.get('side-plank')!, { grades: [0] }).id).toBe('knee-side-plank')
})

it('inserts an exercise with what most groups share as the shared value', () => {
  const { groups } = newSession(
    'x',
    [
      [0, 1],
      [2, 3],
      [4, 5, 6],
    ],
    20,
    1,
  )
  expect(groups.map((g) => g.name)).toEqual(['K–1', '2–3', '4–6'])
  expect(cellsFor(library.moves.get('squat-jump')!, groups, 'intervals')).toEqual({
    all: { move: 'squat-jump', version: 'squat-jump' },
    by: { g1: { move: 'squat-jump', version: 'frog' } },
  })
  expect(gradesName([3])).toBe('3')
})

describe('search', () => {
  const first = (typed: string) => searchMoves(moves, typed)[0]?.id

  it('finds exercises by name, synonym, version, muscle and part of a word', () => {
    expect(first('press-up')).toBe('push-up')
    expect(first('Tuck jump')).toBe('squat-jump')
    // "Shoulder tap" is also called plank taps, and stands before it in the library.
    expect(first('plank')).toBe('plank')
    expect(first('heron')).toBe('one-leg-stand')
    // A word of a move's own name before another's synonym: some call a plank a bridge hold.
    expect(first('bridge')).toBe('bridge')
    expect(searchMoves(moves, 'stretch hamstr').map((m) => m.id)).toContain('hamstring-stretch')
    expect(searchMoves(moves, 'zzz')).toEqual([])
    expect(searchMoves(moves, '')).toHaveLength(moves.filter((m) => !m.retired).length)
  })

  it.each([
    ['sqaut', 'squat'],
    ['burpie', 'burpee'],
    ['moutain climbr', 'mountain-climber'],
    ['jumpng jack', 'jumping-jack'],
    ['areoplane', 'aeroplane'],
    ['tricep strech', 'triceps-stretch'],
    ['dribbel', 'dribble'],
  ])('tolerates the spelling of %s', (typed, id) => {
    expect(searchMoves(library.moves.values(), typed).slice(0, 3).map((m) => m.id)).toContain(id)
  })
})
