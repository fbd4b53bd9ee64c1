import { type BoardPin, isSupplyNet, pinName } from './board'
import { Joined } from './join'
import type { Contact } from './contact'
import { type Answer, type NetFound, netFound } from './net-state'
import type { ProbeKind } from './probe-plan'

/** A check as it stands on a sheet; no contact while nobody has answered it. Instants in UTC. */
export interface SheetCheck {
  kind: ProbeKind
  a: string
  b: string
  netA: string
  netB: string
  beyond: boolean
  contact: Contact | null
  at: string
}
/** A wire that was fitted, with what the reading after it was. */
export interface FittedWire {
  a: string
  b: string
  contact: Contact
  at: string
}

/** Whether a board's issue is the one that a machine is said to have; what nobody has said is not the same, nor is a letter that stands in other words. */
export function sameIssue(issue: string, variant: string): boolean {
  const wanted = issue.trim().toLowerCase()
  const said = variant.trim().toLowerCase()
  const named = /\b(?:issue|rev(?:ision)?\.?|version)\s*([\w.-]+?)(?![\w-])/g
  return wanted !== '' && (said === wanted || [...said.matchAll(named)].some(m => m[1]!.replace(/\.$/, '') === wanted))
}

/** Whether a contact is what was expected: open between two nets side by side, joined everywhere else. */
export const asExpected = (kind: ProbeKind, contact: Contact) => contact === (kind === 'short' ? 'open' : 'joined')

/** The net of a check in words; both where it lies between two. */
export const netWords = ({ netA, netB }: Pick<SheetCheck, 'netA' | 'netB'>) => (netA === netB ? netA : `${netA} and ${netB}`)

/**
 * What the checks and the wires of one net say of it, and the check that its sheet grows by; nothing where none is wanted.
 * Only a wire with a good reading after it joins, and what was open before it says nothing against it where the wire made the two one.
 * What a doubt asks is asked at once;
 * pieces are told apart once all that was planned of the net is answered, and of a supply they are not.
 * @param checks of this net, in the order of their answers
 * @returns what is known, what to ask next, and whether its pieces are told apart: then each is asked for shorts (see `shortsOfPieces`)
 */
export function netOnSheet(
  ends: readonly BoardPin[],
  checks: readonly SheetCheck[],
  wires: readonly FittedWire[],
  supply: boolean,
): { found: NetFound; grows: NetFound['ask']; toldApart: boolean } {
  const bridged = wires.filter(w => w.contact === 'joined')
  const index = new Map(ends.map((p, i) => [pinName(p), i]))
  const joined = new Joined(ends.length)
  for (const { a, b } of [...bridged, ...checks.filter(c => c.contact === 'joined')])
    if (index.has(a) && index.has(b)) joined.join(index.get(a)!, index.get(b)!)
  const lastWire = bridged.reduce((last, w) => (w.at > last ? w.at : last), '')
  // What was open before a wire says nothing against it, where the wire made the two one; elsewhere it stands: one wire is no other piece.
  const overcome = (c: SheetCheck) => c.contact !== 'joined' && c.at <= lastWire && joined.together(index.get(c.a) ?? 0, index.get(c.b) ?? 0)
  // In the order in which they were read: what is open after a wire was fitted says that the wire no longer holds.
  const answers: Answer[] = [
    ...checks.flatMap(c => (c.contact === null || overcome(c) ? [] : [{ a: c.a, b: c.b, contact: c.contact, beyond: c.beyond, at: c.at }])),
    ...bridged.map(w => ({ a: w.a, b: w.b, contact: 'joined' as const, beyond: true, at: w.at })),
  ].sort((p, q) => (p.at < q.at ? -1 : p.at > q.at ? 1 : 0))
  const found = netFound(ends, answers)
  const open = checks.filter(c => c.contact === null)
  const { ask } = found
  const planned = open.some(c => ask && [c.a, c.b].includes(ask.a) && [c.a, c.b].includes(ask.b))
  const wanted = ask && !planned && (ask.beyond || (!supply && found.state === 'broken' && !open.length))
  // A net that answers differently each time is not asked without end.
  const grows = wanted && checks.length - open.length < ends.length * 3 + 8 ? ask : null
  return { found, grows, toldApart: found.state === 'broken' && !supply && !grows && !open.length }
}

/** What a sheet has shown by now. @param checks in the order of their answers */
export function tallyOf(checks: readonly SheetCheck[], nets: readonly { net: string; state: NetFound['state']; supply: boolean }[]) {
  // As it was marked when the sheet was begun; a net that stands on it only as a neighbour goes by its name.
  const marked = new Map(nets.map(n => [n.net, n.supply]))
  const isSupply = (net: string) => marked.get(net) ?? isSupplyNet(net)
  // Of the same two pins the newest counts; of nets, their state says it already.
  const newest = new Map<string, SheetCheck>()
  for (const c of checks) if (c.contact !== null && (c.kind === 'short' || c.kind === 'bridge')) newest.set([c.a, c.b].sort().join('\n'), c)
  const last = [...newest.values()]
  const shorts = last.filter(c => c.kind === 'short')
  const bridges = last.filter(c => c.kind === 'bridge')
  const named = (state: NetFound['state']) => nets.filter(n => n.state === state).map(n => n.net)
  const unsure = (c: SheetCheck) => c.contact === 'high' || c.contact === 'wobbling'
  return {
    total: checks.length,
    answered: checks.filter(c => c.contact !== null).length,
    broken: [...named('broken'), ...bridges.filter(c => c.contact === 'open').map(netWords)],
    doubtful: [...named('doubtful'), ...[...bridges, ...shorts].filter(unsure).map(netWords)],
    shorts: shorts.filter(c => c.contact === 'joined').map(c => ({ nets: [c.netA, c.netB] as [string, string], supply: isSupply(c.netA) || isSupply(c.netB) })),
  }
}
