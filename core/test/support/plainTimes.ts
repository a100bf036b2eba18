import {
  type Amount,
  type Block,
  type BlockOf,
  type Cell,
  type Dose,
  type Group,
  type Library,
  type PerGroup,
  type Station,
  type Session,
} from '@esfuerzo/core'

// How long a session takes, implemented a second time from docs/computation.md alone, slowly and plainly: it shares only the documents'
// types with the timing it is compared with. Fractions are exact; nothing is rounded twice.

type Q = { n: bigint; d: bigint }
const q = (x: number): Q => ({ n: BigInt(Math.round(x * 1e6)), d: 1_000_000n })
const mul = (...all: Q[]): Q => all.reduce((a, b) => ({ n: a.n * b.n, d: a.d * b.d }), { n: 1n, d: 1n })
const sub = (a: Q, b: Q): Q => ({ n: a.n * b.d - b.n * a.d, d: a.d * b.d })
const round = ({ n, d }: Q): number => (n <= 0n ? 0 : Number((2n * n + d) / (2n * d)))

export type Three = [low: number, typical: number, high: number]
const sure = (n: number): Three => [n, n, n]
const spread = (seconds: Q): Three => [round(mul(seconds, q(0.75))), round(seconds), round(mul(seconds, q(1.35)))]
/** Getting into position is zero for everybody if it takes a usual child less than a whole second. */
const change = (seconds: Q): Three => (round(seconds) === 0 ? sure(0) : spread(seconds))

/** One period of one block. `end`: the state afterward: the child's posture, the things in its hands. */
interface Bit {
  time: Three
  work: boolean
  reps: Record<string, number>
  end?: Partial<Child>
}
interface Child {
  posture: string
  hands: string[]
  begun: boolean
  rested: number
}

const height = (posture: string) =>
  ['standing', 'leaning'].includes(posture) ? 0 : ['kneeling', 'handsAndFeet'].includes(posture) ? 1 : 2

/**
 * Seconds of every block for a quick, a usual and a slow child, and reps of counted work by move.
 *
 * @param lots the random choices, taken as given: the answers of a block of sums, and the station a block of calls or chance ends with
 */
export function plainTimes(
  session: Session,
  group: Group,
  library: Library,
  lots: { sums: (block: BlockOf<'sums'>) => number[]; last: (block: Block) => string | undefined },
): { blocks: Record<string, Three>; reps: Record<string, number> } {
  const grades = group.grades.map((g): bigint => (g <= 1 ? 125n : g <= 3 ? 110n : 100n))
  const pace: Q = { n: grades.reduce((a, b) => a + b), d: 100n * BigInt(grades.length) }
  const small = Math.min(...group.grades) <= 1
  const own = <T>(value: PerGroup<T>): T => value.by?.[group.id] ?? value.all
  let child: Child = { posture: 'standing', hands: [], begun: false, rested: 0 }
  let bits: Bit[] = []
  let fade: Q = q(1)

  const put = (bit: Bit) => {
    bits.push(bit)
    Object.assign(child, bit.end)
  }
  const still = (seconds: number, end: Partial<Child> = { rested: 0 }) =>
    put({ time: sure(seconds), work: false, reps: {}, end })
  const pause = (seconds: number) => seconds > 0 && still(seconds, { rested: child.rested + seconds })

  function read(station: Station, lap: number) {
    let cell: Cell = own(station.cells)
    for (const change of cell.fromLap ?? []) if (change.lap <= lap) cell = { ...cell, ...change }
    const move = library.moves.get(cell.move)!
    const version = move.versions.find((v) => v.id === cell.version)!
    const things = (version.kit ?? move.kit).filter((k) => !k.optional && library.kit.get(k.id)?.held).map((k) => k.id)
    return {
      move,
      cell,
      version,
      posture: version.posture ?? move.posture,
      sided: (version.sides ?? move.sides) === 'each',
      hands: cell.load && !(move.loadable && things.length) ? [...things, 'a weight'] : things,
      tempo: q({ led: 1, own: 1.15, slow: 2 }[cell.tempo ?? 'led']),
    }
  }
  type Turn = ReturnType<typeof read>

  const apart = (from: string, to: string) => {
    const [a, b] = [height(from), height(to)]
    return from === to || (a === 0 && b === 0) ? 1 : a === 2 || b === 2 ? 4 : 3
  }
  function getInto(turn: Turn) {
    const moved = [
      ...child.hands.filter((h) => !turn.hands.includes(h)),
      ...turn.hands.filter((h) => !child.hands.includes(h)),
    ]
    const place = child.begun || child.posture !== turn.posture ? apart(child.posture, turn.posture) : 0
    const left = sub(mul(q(place + 3 * moved.length), pace), q(child.rested))
    const end = { posture: turn.posture, hands: turn.hands, begun: true, rested: 0 }
    put({ time: change(mul(left, fade)), work: false, reps: {}, end })
  }
  /** The unit for a move that does not take the one asked for: seconds before goes. */
  const unitOf = ({ move }: Turn, unit: Dose['unit']): Dose['unit'] =>
    move.measures.includes(unit) || unit === 'seconds'
      ? unit
      : ((['seconds', 'goes', 'breaths', 'metres', 'reps'] as const).find((u) => move.measures.includes(u)) ?? unit)
  const middle = (a: Amount) =>
    typeof a === 'number' ? a : 'from' in a ? (a.from + a.to) / 2 : 'most' in a ? a.most * 0.6 : a.atLeast

  function lasts(turn: Turn, dose: Dose): Three {
    const unit = dose.unit === 'reps' ? unitOf(turn, 'reps') : dose.unit
    const open = typeof dose.amount === 'object' && 'most' in dose.amount ? dose.amount.most : undefined
    const mid = q(middle(dose.amount))
    if (unit === 'seconds' && open === undefined) return sure(round(mid))
    const one =
      unit === 'seconds'
        ? q(1)
        : unit === 'breaths'
          ? mul(q(small ? 5 : 6), fade)
          : mul(q(each(turn, unit)), turn.tempo, pace, fade)
    const [low, typical, high] = spread(mul(mid, one))
    return [low, typical, open === undefined ? high : round(mul(q(open), one))]
  }
  const each = ({ version }: Turn, unit: string) =>
    (unit === 'metres' ? version.secondsPerMetre : unit === 'goes' ? version.secondsPerGo : undefined) ??
    version.secondsPerRep
  function work(turn: Turn, dose: Dose) {
    const unit = dose.unit === 'reps' ? unitOf(turn, 'reps') : dose.unit
    const reps = unit === 'reps' ? { [turn.move.id]: Math.floor(middle(dose.amount) + 0.5) } : {}
    const bit: Bit = { time: lasts(turn, dose), work: true, reps }
    put(bit)
    if (turn.sided) {
      still(1)
      put({ ...bit })
    }
    child.rested = 0
  }
  const half: Dose = { unit: 'seconds', amount: 30 }
  const counted = (turn: Turn, dose: Dose = turn.cell.dose ?? half) => {
    getInto(turn)
    work(turn, dose)
  }
  const walk = (travel: { seconds: PerGroup<number> } | undefined, clocked = false) => {
    if (!travel) return
    if (!clocked && child.posture !== 'standing') {
      const up = mul(sub(mul(q(apart(child.posture, 'standing')), pace), q(child.rested)), fade)
      put({ time: change(up), work: false, reps: {}, end: { posture: 'standing', rested: 0 } })
    }
    put({ time: sure(own(travel.seconds)), work: true, reps: {}, end: { rested: 0 } })
  }
  const slot = (turn: Turn, seconds: number, split: boolean) => {
    const parts = split && seconds > 1 ? [Math.ceil(seconds / 2), Math.floor(seconds / 2)] : [seconds]
    for (const part of parts) put({ time: sure(part), work: true, reps: {} })
    child = { posture: turn.posture, hands: turn.hands, begun: true, rested: 0 }
  }
  const test = (id: string, trials: number) =>
    still(
      (id === 'sitAndReach' ? 60 : 0) +
        trials * ({ pulse: 15, sitAndReach: 20, hold: 60, reps30: 30 }[id as 'pulse'] + 5),
    )

  /** Three children, each stopped at the cap; the effects of the usual child's cut step do not happen. */
  function capped(cap: number | undefined, run: () => void): Three | undefined {
    if (cap === undefined) return void run()
    const before = { ...child }
    run()
    const total = ([0, 1, 2] as const).map((i) => Math.min(cap, sum(bits.map((b) => b.time[i])))) as Three
    child = before
    let at = 0
    const kept: Bit[] = []
    for (const bit of bits) {
      if (at >= cap && bit.time[1] > 0) break
      const fits = at + bit.time[1] <= cap
      kept.push(fits ? bit : { ...bit, reps: {} })
      if (fits) Object.assign(child, bit.end)
      // A cut rest counts for its elapsed part.
      else if (bit.end?.rested) child.rested += cap - at
      else child.rested = 0
      if (bit.work && fits) child.rested = 0
      at += bit.time[1]
      if (!fits) break
    }
    bits = kept
    return total
  }

  function chance(block: Extract<Block, { form: 'chance' }>): Three {
    const faces = {
      coin: ['heads', 'tails'],
      cards: ['clubs', 'diamonds', 'hearts', 'spades'],
      dice: ['one', 'two', 'three', 'four', 'five', 'six'],
      toss: ['left', 'right'],
    }[block.device]
    const table = faces.map((): Turn[] => [])
    block.stations.forEach((station, i) => {
      const named = station.face ? faces.indexOf(station.face) : -1
      table[named >= 0 ? named : i % faces.length]!.push(read(station, 1))
    })
    if (block.stations.length === 0) return sure(0)
    if (block.stop.kind === 'seconds') return sure(block.stop.seconds)
    const draw = { coin: 12, cards: 8, dice: 4, toss: 35 }[block.device]
    const rounds = block.stop.kind === 'draws' ? block.stop.draws : block.device === 'toss' ? 3 : undefined
    const after: Record<string, number> = {}
    /** Every way a game can go, draw by draw, each with its probability. */
    function go(n: number, seconds: number, chances: number, at: Child, called: number[], deck: Map<string, number>) {
      if (chances < 1e-7) return
      if (rounds === undefined ? table.every((rows, f) => called[f]! >= rows.length) : n === rounds) {
        after[seconds] = (after[seconds] ?? 0) + chances
        return
      }
      const on = (p: number, tasks: [Turn, Dose][], nowCalled: number[], left = deck) => {
        child = { ...at, rested: 0 }
        bits = []
        for (const [turn, dose] of tasks) counted(turn, dose)
        go(n + 1, seconds + draw + sum(bits.map((b) => b.time[1])), p, child, nowCalled, left)
      }
      if (block.device === 'toss') {
        for (const [left, p] of [1, 5, 10, 10, 5, 1].entries()) {
          const tasks = table.flatMap((rows, f): [Turn, Dose][] => {
            const reps = f === 0 ? left : 5 - left
            return rows.length && reps ? [[rows[n % rows.length]!, { unit: 'reps', amount: reps }]] : []
          })
          on((chances * p) / 32, tasks, called)
        }
        return
      }
      const size = sum([...deck.values()])
      for (const [f, rows] of table.entries()) {
        const next = called.map((c, i) => (i === f ? c + 1 : c))
        const turn = rounds === undefined ? rows[called[f]!] : rows[called[f]! % rows.length]
        if (block.device !== 'cards') {
          on(chances / faces.length, turn ? [[turn, turn.cell.dose ?? half]] : [], next)
        } else
          for (const [card, count] of deck) {
            const [suit, value] = card.split(' ').map(Number) as [number, number]
            if (suit !== f || count === 0) continue
            const left = new Map(deck).set(card, count - 1)
            on((chances * count) / size, turn ? [[turn, { unit: 'reps', amount: value }]] : [], next, left)
          }
      }
    }
    const pack = new Map(
      faces.flatMap((_, f) =>
        [1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((v): [string, number] => [`${f} ${v}`, v === 10 ? 4 : 1]),
      ),
    )
    go(
      0,
      0,
      1,
      { ...child },
      faces.map(() => 0),
      pack,
    )
    const sorted = Object.entries(after).map(([s, p]) => [Number(s), p] as const)
    const all = sum(sorted.map(([, p]) => p))
    return [0.05, 0.5, 0.95].map((share) => {
      let so = 0
      for (const [seconds, p] of sorted) if ((so += p / all) >= share - 1e-9) return seconds
      return sorted.at(-1)![0]
    }) as Three
  }

  function times(block: Block): Three | undefined {
    switch (block.form) {
      case 'talk':
        return void pause(own(block.seconds))
      case 'game':
        return void still(own(block.seconds))
      case 'quiz':
        return void block.questions.forEach(() => still(20))
      case 'measure':
        return void test(block.test, own(block.trials))
      case 'calls':
        if (block.stations.length) still(own(block.seconds))
        return
      case 'target':
        for (let r = 0; r < own(block.rounds); r++) {
          put({ time: spread(q(4 * own(block.throws))), work: true, reps: {}, end: { rested: 0 } })
          still(15 + 5)
        }
        return
      case 'list':
        return void block.stations.forEach((s, i) => {
          if (i) walk(block.travel)
          if (i) pause(own(block.restAfter))
          counted(read(s, 1))
        })
      case 'relay':
        for (let lap = 1; lap <= own(block.rounds); lap++)
          block.stations.forEach((s, i) => {
            if (i || lap > 1) pause(own(block.change))
            const turn = read(s, lap)
            getInto(turn)
            const from = bits.length
            work(turn, turn.cell.dose ?? half)
            const asLong = ([0, 1, 2] as const).map((end) => sum(bits.slice(from).map((b) => b.time[end]))) as Three
            pause(own(block.change))
            put({ time: asLong, work: false, reps: {}, end: { rested: child.rested + asLong[1] } })
          })
        return
      case 'sets':
        return void block.stations.forEach((s, i) => {
          for (let set = 1; set <= own(block.sets); set++) {
            if (set > 1) pause(own(block.restBetween))
            else if (i) pause(own(block.restStations))
            counted(read(s, set))
          }
        })
      case 'rounds':
        return capped(block.cap && own(block.cap), () => {
          for (let lap = 1; lap <= own(block.rounds); lap++)
            block.stations.forEach((s, i) => {
              if (i) walk(block.travel)
              if (i) pause(own(block.restStations))
              if (!i && lap > 1) {
                if (block.betweenLaps) test(block.betweenLaps, 1)
                pause(own(block.restBetween))
              }
              counted(read(s, lap))
            })
        })
      case 'amrap': {
        const cap = own(block.cap)
        if (block.stations.length === 0) return sure(0)
        capped(cap, () => {
          for (let round = 1; sum(bits.map((b) => b.time[1])) < cap; round++) {
            if (round > 2) fade = mul(fade, q(1.04))
            block.stations.forEach((s, i) => {
              if (i || round > 1) walk(block.travel)
              counted(read(s, round))
            })
          }
          fade = q(1)
        })
        return sure(cap)
      }
      case 'ladder': {
        const rungs = block.rungs ? own(block.rungs) : climb(own(block.from), own(block.to), block.by, block.shape)
        return void rungs.forEach((amount, r) =>
          block.stations.forEach((s, i) => {
            if (r && !i) pause(own(block.restBetween))
            const turn = read(s, r + 1)
            counted(turn, { unit: unitOf(turn, block.unit), amount })
          }),
        )
      }
      case 'sums':
        return void lots.sums(block).forEach((amount, i) => {
          still(small ? 12 : 8)
          const turn = read(block.stations[i]!, 1)
          counted(turn, { unit: unitOf(turn, block.unit), amount })
        })
      case 'levels': {
        const ladder = block.bonus ? block.stations.slice(0, -1) : block.stations
        const [a, b] = [own(block.from), own(block.to)]
        const done = ladder.slice(Math.min(a, b) - 1, Math.max(a, b))
        if (block.bonus && block.stations.length) done.push(block.stations.at(-1)!)
        return void done.map((s) => read(s, 1)).forEach((turn) => slot(turn, own(block.seconds), turn.sided))
      }
      case 'intervals': {
        const laps = own(block.laps)
        laps.forEach((lap, l) => {
          const slots = block.stations.flatMap((s): [Turn, 0 | 1 | 2][] => {
            const turn = read(s, l + 1)
            return turn.sided && block.sideSlots === 2
              ? [
                  [turn, 1],
                  [turn, 2],
                ]
              : [[turn, 0]]
          })
          const pick = block.pick && own(block.pick)
          const chosen = pick !== undefined && pick < block.stations.length
          const here = chosen ? slots.slice(0, pick) : slots
          here.forEach(([turn, side], s) => {
            if (s && (chosen || side !== 2)) walk(block.travel, true)
            if (chosen) put({ time: sure(lap.work), work: true, reps: {}, end: { rested: 0 } })
            else slot(turn, lap.work, turn.sided && side === 0)
            const [lastSlot, lastLap] = [s === here.length - 1, l === laps.length - 1]
            if (lastSlot && !lastLap && block.betweenLaps) test(block.betweenLaps, 1)
            if (lastSlot && lastLap && block.lastRest === false) return
            pause(lastSlot && !lastLap && block.lapRest ? own(block.lapRest) : lap.rest)
          })
        })
        return
      }
      case 'chance':
        return chance(block)
    }
  }

  function leave(block: Block & { stations: Station[] }) {
    const station = block.stations.find((s) => s.id === lots.last(block))
    if (!station) return
    const { posture, hands } = read(station, 1)
    child = { posture, hands, begun: true, rested: 0 }
  }

  const blocks: Record<string, Three> = {}
  const reps: Record<string, number> = {}
  for (const block of session.sections.flatMap((s) => s.blocks)) {
    bits = []
    const told = times(block)
    blocks[block.id] = told ?? (([0, 1, 2] as const).map((i) => sum(bits.map((b) => b.time[i]))) as Three)
    if (block.form === 'chance') bits = []
    if (block.form === 'chance' || block.form === 'calls') leave(block)
    for (const bit of bits) for (const [id, n] of Object.entries(bit.reps)) reps[id] = (reps[id] ?? 0) + n
  }
  return { blocks, reps }
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)

function climb(from: number, to: number, by: number, shape: 'up' | 'down' | 'upDown'): number[] {
  const [least, most] = [Math.min(from, to), Math.max(from, to)]
  const up: number[] = []
  for (let n = least; n <= most; n += by) up.push(n)
  return shape === 'up' ? up : shape === 'down' ? up.reverse() : [...up, ...up.slice(0, -1).reverse()]
}
