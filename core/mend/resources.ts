import { counted } from '../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Solve, solved, termsOf } from '../kernel/programme'

/** What cards share, and may not share: each kind collides with its own alone. */
export const resourceKinds = {
  irq: { title: 'Interrupt', of: 'interrupt' },
  dma: { title: 'DMA channel', of: 'channel' },
  port: { title: 'Ports', of: 'ports' },
  mem: { title: 'Memory', of: 'memory' },
} as const
export type ResourceKind = keyof typeof resourceKinds

/** From a number to a number, both within; an interrupt or a channel is one number. */
export interface Range {
  from: number
  to: number
}
/** What a card takes of a kind: as it is set now, and what else it can be set to. */
export interface Taken {
  kind: ResourceKind
  now: Range
  others: Range[]
}
export interface Card {
  name: string
  takes: Taken[]
}
export interface Clash {
  kind: ResourceKind
  cards: [string, string]
  where: string
}
export interface Change {
  card: string
  kind: ResourceKind
  from: string
  to: string
}
export interface ResourcesJudged {
  clashes: Clash[]
  /** The fewest that end as many clashes as can be ended. */
  changes: Change[]
  /** What no setting ends. */
  left: Clash[]
  findings: Finding[]
}

const hex = (n: number) => n.toString(16).toUpperCase()
const rangeWords = (kind: ResourceKind, { from, to }: Range): string =>
  kind === 'irq' || kind === 'dma' ? String(from) : from === to ? hex(from) : `${hex(from)}–${hex(to)}`
const overlap = (a: Range, b: Range) => a.from <= b.to && b.from <= a.to

/** Numbers that there are. An 8-bit slot ends at interrupt 7 and channel 3; from memory. */
const limits: Record<ResourceKind, number> = { irq: 15, dma: 7, port: 0xffff, mem: 0xffffff }
export const mostCards = 24
const mostOptions = 16

function readRange(text: string, kind: ResourceKind, line: string): Range {
  const numbered = kind === 'irq' || kind === 'dma'
  const found = (numbered ? /^(\d{1,2})$/ : /^(?:0x)?([0-9a-f]{1,6})h?(?:\s*[-–]\s*(?:0x)?([0-9a-f]{1,6})h?)?$/i).exec(text.trim())
  if (!found)
    throw new InputError(
      'cards',
      line,
      numbered ? `“${text}”: a number, such as ${kind} 5 or 7.` : `“${text}”: hexadecimal, such as ${kind} ${kind === 'port' ? '220-22F' : 'C8000-CBFFF'}.`,
    )
  const from = Number.parseInt(found[1]!, numbered ? 10 : 16)
  const to = found[2] ? Number.parseInt(found[2], 16) : from
  if (to < from || to > limits[kind])
    throw new InputError('cards', line, `“${text}”: from a number up to a higher one, ${rangeWords(kind, { from: limits[kind], to: limits[kind] })} at most.`)
  return { from, to }
}

/**
 * Cards as they are written, a line each: `Sound: irq 5 or 7; dma 1; port 220-22F or 240-24F; mem D0000-D3FFF`. What stands first is how it is set
 * now, what stands behind *or* is what else it can be set to. Interrupts and channels are decimal, ports and memory hexadecimal.
 * @throws InputError at `cards`, naming the line
 */
export function readCards(text: string): Card[] {
  const lines = text
    .split(/\r?\n/)
    .map(line => line.trim())
    .filter(line => line && !line.startsWith('#'))
  if (!lines.length) throw new InputError('cards', text, 'The cards: a line each, such as Sound: irq 5 or 7; port 220-22F.')
  if (lines.length > mostCards) throw new InputError('cards', lines.length, `The cards: ${mostCards} at most.`)
  const cards = lines.map((line): Card => {
    const at = line.indexOf(':')
    const name = line.slice(0, at).trim()
    if (at < 1 || !name || name.length > 60)
      throw new InputError('cards', line, `“${line.slice(0, 60)}”: a name, a colon, and what it takes, such as irq 5 or 7.`)
    const takes = line
      .slice(at + 1)
      .split(';')
      .map(part => part.trim())
      .filter(Boolean)
      .map((part): Taken => {
        const found = /^(irq|dma|ports?|mem(?:ory)?)\s+(.+)$/i.exec(part)
        if (!found) throw new InputError('cards', line, `“${part}”: irq, dma, port or mem stands first, such as irq 5 or 7.`)
        const kind = found[1]!.toLowerCase().replace(/s$/, '').replace('memory', 'mem') as ResourceKind
        const [now, ...others] = found[2]!.split(/\s+or\s+|\s*,\s*/i).map(one => readRange(one, kind, line))
        if (others.length >= mostOptions) throw new InputError('cards', line, `“${part.slice(0, 40)}…”: ${mostOptions} settings at most.`)
        return { kind, now: now!, others }
      })
    if (!takes.length) throw new InputError('cards', line, `${name}: what it takes stands behind the colon, such as irq 5 or 7.`)
    return { name, takes }
  })
  const twice = cards.find((card, at) => cards.findIndex(other => other.name.toLowerCase() === card.name.toLowerCase()) !== at)
  if (twice) throw new InputError('cards', twice.name, `${twice.name} stands there twice.`)
  return cards
}

interface Wish extends Taken {
  card: string
  options: Range[]
}
const wishesOf = (cards: readonly Card[]): Wish[] =>
  cards.flatMap(card => card.takes.map(taken => ({ ...taken, card: card.name, options: [taken.now, ...taken.others] })))
function clashesOf(wishes: readonly Wish[], chosen: (at: number) => Range): Clash[] {
  return wishes.flatMap((a, i) =>
    wishes.slice(i + 1).flatMap((b, j): Clash[] => {
      const [mine, theirs] = [chosen(i), chosen(i + 1 + j)]
      if (a.kind !== b.kind || !overlap(mine, theirs)) return []
      const where = rangeWords(a.kind, { from: Math.max(mine.from, theirs.from), to: Math.min(mine.to, theirs.to) })
      return [{ kind: a.kind, cards: [a.card, b.card], where }]
    }),
  )
}
const clashWords = ({ kind, cards: [a, b], where }: Clash) => `${a} and ${b}: ${resourceKinds[kind].of} ${where}`

/**
 * Where cards collide, and the fewest changes that end it; exactly, as an integer programme: of all ways to set them one that leaves the fewest
 * clashes, and of those one that changes the fewest settings.
 * @param solve the solver that is asked @throws TooLarge where it could not be weighed in time
 */
export function judgeResources(cards: readonly Card[], solve: Solve): ResourcesJudged {
  const wishes = wishesOf(cards)
  const clashes = clashesOf(wishes, at => wishes[at]!.now)
  const name = (wish: number, option: number) => `y${wish}_${option}`
  /** One clash more is worse than all changes together. */
  const perClash = wishes.length + 1
  const pairs = wishes.flatMap((a, i) => wishes.flatMap((b, j) => (j > i && a.kind === b.kind ? [[i, j] as const] : [])))
  const met = pairs.map(([i, j]) => ({
    i,
    j,
    together: wishes[i]!.options.flatMap((mine, o) => wishes[j]!.options.flatMap((theirs, p) => (overlap(mine, theirs) ? [[o, p] as const] : []))),
  }))
  const contested = met.filter(pair => pair.together.length)
  let chosen = wishes.map(() => 0)
  if (clashes.length) {
    const { values } = solved(solve, {
      least: true,
      goal: termsOf([
        ...contested.map(({ i, j }) => [perClash, `c${i}_${j}`] as const),
        ...wishes.flatMap((wish, i) => wish.options.flatMap((_, o) => (o ? [[1, name(i, o)] as const] : []))),
      ]),
      rows: [
        ...wishes.map((wish, i) => `${termsOf(wish.options.map((_, o) => [1, name(i, o)] as const))} = 1`),
        ...contested.flatMap(({ i, j, together }) =>
          together.map(
            ([o, p]) =>
              `${termsOf([
                [1, name(i, o)],
                [1, name(j, p)],
                [-1, `c${i}_${j}`],
              ])} <= 1`,
          ),
        ),
      ],
      binaries: wishes.flatMap((wish, i) => wish.options.map((_, o) => name(i, o))),
    })
    chosen = wishes.map((wish, i) =>
      Math.max(
        0,
        wish.options.findIndex((_, o) => (values[name(i, o)] ?? 0) > 0.5),
      ),
    )
  }
  const left = clashesOf(wishes, at => wishes[at]!.options[chosen[at]!]!)
  const changes = wishes.flatMap((wish, at): Change[] =>
    chosen[at] ? [{ card: wish.card, kind: wish.kind, from: rangeWords(wish.kind, wish.now), to: rangeWords(wish.kind, wish.options[chosen[at]!]!) }] : [],
  )
  return {
    clashes,
    changes,
    left,
    findings: mostPressingFirst([
      clashes.length
        ? finding('care', 'resources.clash', `${counted(clashes.length, 'clash', 'clashes')} as they are set.`, clashes.map(clashWords), commonPractice)
        : finding(
            'fine',
            'resources.none',
            'Nothing collides, by what is written here.',
            'What a card takes and is not written down may collide all the same.',
            commonPractice,
          ),
      ...(changes.length
        ? [
            finding(
              'note',
              'resources.changes',
              `${counted(changes.length, 'change')} ${left.length ? 'leave the least' : `${changes.length === 1 ? 'ends' : 'end'} it`}: ${changes.map(c => `${c.card}, ${resourceKinds[c.kind].of} from ${c.from} to ${c.to}`).join('; ')}.`,
              'No fewer do. Write down how each is set before it is changed; the program that speaks to the card has to be told as well.',
              commonPractice,
            ),
          ]
        : []),
      ...(left.length
        ? [
            finding(
              'stop',
              'resources.left',
              `${counted(left.length, 'clash', 'clashes')} that no setting ends: ${left.map(clashWords).join('; ')}.`,
              'One of the two comes out, or another card does its work.',
              commonPractice,
            ),
          ]
        : []),
    ]),
  }
}
