import { InputError } from '../../kernel/input-error'
import { type Programme, type Solve, solved, termsOf } from '../../kernel/programme'

/** What a machine wants of one part. */
export interface WantedHere {
  id: number
  name: string
  count: number
  /** Whether it cannot be started without; else one function waits for it. */
  starts: boolean
}
/** A machine that parts could be given to. */
export interface Contender {
  id: number
  name: string
  /** What it is worth to the house that it runs, above zero. */
  weight: number
  needs: WantedHere[]
}
/** Like units that can be given, and which needs they would serve. */
export interface Source {
  id: number
  name: string
  units: number
  from: 'shelf' | 'donor' | 'ordered'
  serves: number[]
  /** Those of them that want it before it is here. */
  tooLateFor?: number[]
}
/** A part that could be bought, and which needs it would serve. */
export interface Purchasable {
  id: number
  name: string
  /** What one costs; nothing where nobody knows. */
  unitPrice: number | null
  serves: number[]
}
export interface AllocationInput {
  machines: readonly Contender[]
  sources: readonly Source[]
  purchasables?: readonly Purchasable[]
}

export interface Given {
  sourceId: number
  needId: number
  count: number
  /** It comes after the day that it is wanted by. */
  late: boolean
}
export interface Lacks {
  needId: number
  /** How many it is short of, once all is given. */
  short: number
  /** The machines that got what would have served. */
  wentTo: number[]
}
export interface Unlock {
  buys: { purchasableId: number; units: number; cost: number | null }[]
  /** Of all of it; nothing where a price is not known. */
  cost: number | null
  /** The machines that come to life by it. */
  machines: number[]
  /** By how much more the house has running. */
  worth: number
}
export interface Allocation {
  /** What all that is served is worth: ten times its weight for a machine that can be started, once its weight for a function of it. */
  worth: number
  gives: Given[]
  /** The machines that can be started by it. */
  alive: number[]
  /** Those that cannot, with what each lacks and where it went. */
  refused: { machineId: number; lacks: Lacks[] }[]
}

/** A machine that starts is worth so many times a function of it. Common practice, no source. */
const startShare = 10
/**
 * Of two ways to the same, the shelf comes first, then what is on its way already, then a donor is opened; what comes after the day that it is
 * wanted by is worse than all of these. Common practice, no source.
 */
const trouble = { shelf: 1, donor: 3, ordered: 2, late: 30 } as const
const isLate = ({ tooLateFor = [] }: Source, needId: number): boolean => tooLateFor.includes(needId)

const x = (machine: Contender) => `x${machine.id}`
const f = (need: WantedHere) => `f${need.id}`
const y = (source: Source, needId: number) => `y${source.id}_${needId}`
const b = (buy: Purchasable, needId: number) => `b${buy.id}_${needId}`
const z = (buy: Purchasable) => `z${buy.id}`
const n = (buy: Purchasable) => `n${buy.id}`

const sorted = (ids: readonly number[]) => [...new Set(ids)].sort((p, q) => p - q).join()
/** Lines that would serve the same, as one: to whoever weighs they are one heap. @param apart whether it matters where they are */
function heapsOf(sources: readonly Source[], apart = true): { whole: Source; lines: Source[] }[] {
  const heaps = new Map<string, Source[]>()
  for (const source of sources) {
    const key = `${sorted(source.serves)} ${apart ? `${source.from} ${sorted(source.tooLateFor ?? [])}` : ''}`
    const heap = heaps.get(key)
    if (heap) heap.push(source)
    else heaps.set(key, [source])
  }
  return [...heaps.values()].map(lines => ({ whole: { ...lines[0]!, units: lines.reduce((all, one) => all + one.units, 0) }, lines }))
}

/** What a heap gives, line by line. */
function dealt(lines: readonly Source[], wanted: { needId: number; count: number }[]): Given[] {
  const left = lines.map(({ id, units }) => ({ id, units }))
  return wanted.flatMap(({ needId, count }) => {
    const given: Given[] = []
    for (let open = count; open > 0;) {
      const line = left.find(one => one.units > 0)!
      const taken = Math.min(open, line.units)
      given.push({ sourceId: line.id, needId, count: taken, late: isLate(lines[0]!, needId) })
      line.units -= taken
      open -= taken
    }
    return given
  })
}

/** @throws InputError at what is no allocation */
function expectInput({ machines, sources, purchasables = [] }: AllocationInput): void {
  const needs = new Set(machines.flatMap(m => m.needs.map(one => one.id)))
  if (needs.size !== machines.reduce((all, m) => all + m.needs.length, 0))
    throw new InputError('machines', null, 'Every need stands once, under its own machine.')
  for (const m of machines) {
    if (!(m.weight > 0 && Number.isFinite(m.weight))) throw new InputError('machines', m.weight, `${m.name}: a weight above zero, please.`)
    for (const one of m.needs)
      if (!Number.isInteger(one.count) || one.count < 1) throw new InputError('machines', one.count, `${m.name}, ${one.name}: how many, as a whole number.`)
  }
  for (const s of sources) if (!Number.isInteger(s.units) || s.units < 1) throw new InputError('sources', s.units, `${s.name}: how many, as a whole number.`)
  for (const p of purchasables)
    if (p.unitPrice !== null && !(p.unitPrice >= 0)) throw new InputError('purchasables', p.unitPrice, `${p.name}: a price of zero or more.`)
}

/** The same once what is served is settled: only who gives to whom is asked. */
const settled = (programme: Programme, values: Record<string, number>): Programme => ({
  ...programme,
  rows: [...programme.rows, ...programme.binaries.map(name => `+ 1 ${name} = ${Math.round(values[name] ?? 0)}`)],
  binaries: [],
})

/** What is served, and by what: the one programme that all questions are asked of. */
function programmeOf({ machines, sources, purchasables = [] }: AllocationInput, most: number | null): Programme {
  const needs = machines.flatMap(machine => machine.needs.map(need => ({ machine, need })))
  const known = new Map(needs.map(one => [one.need.id, one.need]))
  const reach = <T extends { serves: number[] }>(all: readonly T[]) => all.map(one => ({ one, serves: [...new Set(one.serves)].filter(id => known.has(id)) }))
  const [given, bought] = [reach(sources), most === null ? [] : reach(purchasables)]
  const into = new Map<number, string[]>(needs.map(({ need }) => [need.id, []]))
  for (const { one, serves } of given) for (const id of serves) into.get(id)!.push(y(one, id))
  for (const { one, serves } of bought) for (const id of serves) into.get(id)!.push(b(one, id))
  const hasStart = (machine: Contender) => machine.needs.some(need => need.starts)
  return {
    goal: termsOf([
      ...machines.filter(hasStart).map(m => [startShare * m.weight, x(m)] as const),
      ...needs.filter(({ need }) => !need.starts).map(({ machine, need }) => [machine.weight, f(need)] as const),
    ]),
    rows: [
      // A need is served whole or not at all: what brings nothing to life stays where it lies.
      ...needs.map(
        ({ machine, need }) => `${termsOf([...into.get(need.id)!.map(name => [1, name] as const), [-need.count, need.starts ? x(machine) : f(need)]])} = 0`,
      ),
      // One function of a machine that cannot be started is of no use yet.
      ...needs
        .filter(({ machine, need }) => !need.starts && hasStart(machine))
        .map(
          ({ machine, need }) =>
            `${termsOf([
              [1, f(need)],
              [-1, x(machine)],
            ])} <= 0`,
        ),
      ...given.filter(({ serves }) => serves.length).map(({ one, serves }) => `${termsOf(serves.map(id => [1, y(one, id)] as const))} <= ${one.units}`),
      ...bought
        .filter(({ serves }) => serves.length)
        .flatMap(({ one, serves }) => [
          `${termsOf([...serves.map(id => [1, b(one, id)] as const), [-1, n(one)]])} = 0`,
          `${termsOf([
            [1, n(one)],
            [-serves.reduce((all, id) => all + known.get(id)!.count, 0), z(one)],
          ])} <= 0`,
        ]),
      ...(most !== null && bought.some(({ serves }) => serves.length)
        ? [`${termsOf(bought.filter(({ serves }) => serves.length).map(({ one }) => [1, z(one)] as const))} <= ${most}`]
        : []),
    ],
    binaries: [
      ...machines.filter(hasStart).map(x),
      ...needs.filter(({ need }) => !need.starts).map(({ need }) => f(need)),
      ...bought.filter(({ serves }) => serves.length).map(({ one }) => z(one)),
    ],
  }
}

/**
 * Gives the parts that are at hand so that as much comes to life as can, counted by what each machine is worth to the house; exactly, as an integer
 * programme. What it gives them is then taken from where it troubles least: the shelf, then what is ordered, then donors, and last what comes too late.
 * Only what is served is a whole number to the programme. With that settled, who gives to whom is a transport, whose best corners are whole numbers
 * by themselves where all it is asked for is (Hoffman and Kruskal 1956).
 * @param solve the solver, which runs beside: it takes a programme, and gives its figures
 * @throws InputError
 */
export function allocate(input: AllocationInput, solve: Solve): Allocation {
  expectInput(input)
  const { machines, sources } = input
  const heaps = heapsOf(sources)
  const weighed = programmeOf({ machines, sources: heapsOf(sources, false).map(heap => heap.whole) }, null)
  if (!weighed.binaries.length) return { worth: 0, gives: [], alive: [], refused: [] }
  const first = solved(solve, weighed)
  const programme = programmeOf({ machines, sources: heaps.map(heap => heap.whole) }, null)
  const needs = new Set(machines.flatMap(m => m.needs.map(need => need.id)))
  const troubles = termsOf(
    heaps.flatMap(({ whole }) =>
      [...new Set(whole.serves)].filter(id => needs.has(id)).map(id => [trouble[isLate(whole, id) ? 'late' : whole.from], y(whole, id)] as const),
    ),
  )
  const second = troubles ? solved(solve, settled({ ...programme, least: true, goal: troubles }, first.values)) : first
  const of = (name: string) => Math.round(second.values[name] ?? 0)
  const gives = heaps.flatMap(({ whole, lines }) =>
    dealt(
      lines,
      whole.serves.map(needId => ({ needId, count: of(y(whole, needId)) })),
    ),
  )
  const ownerOf = new Map(machines.flatMap(m => m.needs.map(need => [need.id, m.id] as const)))
  const lacking = machines.filter(m => m.needs.some(need => need.starts) && of(x(m)) === 0)
  const left = new Map(sources.map(s => [s.id, s.units - gives.filter(g => g.sourceId === s.id).reduce((all, g) => all + g.count, 0)]))
  return {
    worth: first.worth,
    gives,
    alive: machines.filter(m => m.needs.some(need => need.starts) && of(x(m)) === 1).map(m => m.id),
    refused: lacking.map(m => ({
      machineId: m.id,
      lacks: m.needs
        .filter(need => need.starts)
        .flatMap(need => {
          const would = sources.filter(s => s.serves.includes(need.id))
          const short = need.count - would.reduce((all, s) => all + left.get(s.id)!, 0)
          if (short <= 0) return []
          const wentTo = new Set(gives.filter(g => would.some(s => s.id === g.sourceId)).map(g => ownerOf.get(g.needId)!))
          return [{ needId: need.id, short, wentTo: [...wentTo] }]
        }),
    })),
  }
}

/**
 * Which purchases bring most to life for their money: so many lines at the most, each of as many units as it takes.
 * By Dinkelbach's way for a ratio (1967): the best of worth less price times what is asked for it, until that price is what the best gives.
 * @param most how many lines
 * @param before the allocation without them
 * @param known what is known to be good already, as with fewer lines; the search begins from there
 * @returns nothing where no purchase brings anything; where no price is known of what would, the best by worth alone, without a cost
 * @throws InputError
 */
export function bestPurchase(given: AllocationInput, most: number, before: Allocation, solve: Solve, known: Unlock | null = null): Unlock | null {
  expectInput(given)
  const input = { ...given, sources: heapsOf(given.sources, false).map(heap => heap.whole) }
  const all = input.purchasables ?? []
  const search = new Search({ ...input, purchasables: all.filter(p => p.unitPrice !== null) }, before, solve)
  const best = search.best(most, known?.cost === null ? null : (known ?? search.plain()))
  return best ?? new Search({ ...input, purchasables: all.map(p => ({ ...p, unitPrice: null })) }, before, solve).best(most, null)
}

/** So many turns settle it: each but the last makes the ratio better, and it takes a handful. */
const mostTurns = 12
/** What costs nothing is bought last all the same: more than is needed is not. */
const leastPrice = 1e-3
class Search {
  constructor(
    private readonly input: AllocationInput & { purchasables: readonly Purchasable[] },
    private readonly before: Allocation,
    private readonly solve: Solve,
  ) {}

  private readonly priceOf = (p: Purchasable) => Math.max(p.unitPrice ?? 0, leastPrice)
  private readonly ratioOf = ({ worth, buys }: Unlock) =>
    worth / buys.reduce((all, { purchasableId, units }) => all + units * this.priceOf(this.input.purchasables.find(p => p.id === purchasableId)!), 0)

  /** What a programme says is bought, and what comes of it; nothing where nothing does. */
  private answer(programme: Programme, bought: readonly Purchasable[]): Unlock | null {
    const first = solved(this.solve, programme)
    const isWhole = bought.every(p => Math.abs((first.values[n(p)] ?? 0) - Math.round(first.values[n(p)] ?? 0)) < 1e-6)
    const { values } = isWhole ? first : solved(this.solve, settled(programme, first.values))
    const of = (name: string) => Math.round(values[name] ?? 0)
    const worth = worthOf(this.input, of) - this.before.worth
    const lines = bought.filter(p => of(n(p)) > 0)
    if (worth < 0.5 || !lines.length) return null
    const buys = lines.map(p => ({ purchasableId: p.id, units: of(n(p)), cost: p.unitPrice === null ? null : of(n(p)) * p.unitPrice }))
    return {
      buys,
      cost: buys.reduce<number | null>((all, one) => (all === null || one.cost === null ? null : all + one.cost), 0),
      machines: this.input.machines.filter(m => of(x(m)) === 1 && !this.before.alive.includes(m.id)).map(m => m.id),
      worth,
    }
  }

  /** A good beginning: the machine that lacks one thing alone, and for the least money. */
  plain(): Unlock | null {
    const candidates = this.before.refused.flatMap(({ machineId, lacks }) =>
      this.input.purchasables
        .filter(p => lacks.length && lacks.every(l => p.serves.includes(l.needId)))
        .map(p => {
          const units = lacks.reduce((all, l) => all + l.short, 0)
          return { p, units, ratio: this.input.machines.find(m => m.id === machineId)!.weight / (units * this.priceOf(p)) }
        }),
    )
    const [top] = candidates.sort((a, b) => b.ratio - a.ratio)
    if (!top) return null
    const programme = programmeOf({ ...this.input, purchasables: [top.p] }, 1)
    return this.answer({ ...programme, rows: [...programme.rows, `+ 1 ${n(top.p)} <= ${top.units}`] }, [top.p])
  }

  best(most: number, known: Unlock | null): Unlock | null {
    const programme = programmeOf(this.input, most)
    const bought = this.input.purchasables.filter(p => programme.binaries.includes(z(p)))
    if (!bought.length) return null
    const unpriced = bought.every(p => p.unitPrice === null)
    let best = known
    for (let turn = 0; turn < mostTurns; turn++) {
      const perMoney = best ? this.ratioOf(best) : 1e-6
      const prices = termsOf(bought.map(p => [-perMoney * this.priceOf(p), n(p)] as const))
      const found = this.answer({ ...programme, goal: `${programme.goal} ${prices}` }, bought)
      if (!found || (best && this.ratioOf(found) <= perMoney * (1 + 1e-9))) break
      best = found
      if (unpriced) break
    }
    return best
  }
}
const worthOf = ({ machines }: AllocationInput, of: (name: string) => number): number =>
  machines.reduce((all, m) => all + m.weight * (startShare * of(x(m)) + m.needs.filter(need => !need.starts).reduce((sum, need) => sum + of(f(need)), 0)), 0)
