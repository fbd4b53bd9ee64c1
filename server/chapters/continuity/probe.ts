import { isSupplyNet, netsOf } from '#core/continuity/board'
import { type ShortAsked, shortsOfPieces, shortsOfWire } from '#core/continuity/beside'
import { type Contact, judgeContact } from '#core/continuity/contact'
import { planProbes } from '#core/continuity/probe-plan'
import { asExpected, netOnSheet, netWords, sameIssue, tallyOf } from '#core/continuity/sheet'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, asc, count, eq, isNull, or } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import type { MachineWork } from '../../kernel/work'
import { boardOf, pinsOf } from './boards'
import { patches, probeChecks, probeNets, probeSheets } from './schema'

/** So long a check is left to whoever took it. */
const takenMs = 120_000
/** More checks than this no sheet grows to. */
const mostChecks = 8000

type Sheet = typeof probeSheets.$inferSelect
type Check = typeof probeChecks.$inferSelect

/** Begins a sheet: its checks are planned once, from the board as it is now. */
export function beginProbeSheet(work: MachineWork, input: CommandInput<'begin-probe-sheet'>): { sheetId: number } {
  const { tx, machine, at, write } = work
  const { boardId, title, parts, outline, oneHop, leadsOhm, bridges, otherIssueRead, supplies, notSupplies } = input
  const board = boardOf(tx, boardId)
  if (board.modelId !== machine.modelId || !board.active) throw new InputError('boardId', boardId, 'Board: choose one of this machine’s model.')
  const otherIssue = !sameIssue(board.issue, machine.variant)
  if (otherIssue && !otherIssueRead)
    throw new InputError(
      'otherIssueRead',
      false,
      `The file is of issue ${board.issue || 'unknown'}, and this machine’s board is ${machine.variant || 'of an issue nobody has said'}. Say that you have read this: pins may differ.`,
    )
  const pins = pinsOf(tx, board)
  const plan = planProbes({ pins, zone: { parts, ...(outline ? { outline } : {}) }, oneHop, bridges, supplies, notSupplies })
  if (!plan.probes.length) throw new NotNow('There is nothing to check in this zone.')
  const { id } = tx
    .insert(probeSheets)
    .values({ machineId: machine.id, boardId, board: board.name, issue: board.issue, otherIssue, title, leadsOhm, total: plan.probes.length, startedAt: at })
    .returning({ id: probeSheets.id })
    .get()
  const ends = netsOf(pins)
  for (const [field, named] of Object.entries({ supplies, notSupplies }))
    for (const net of named) if (!ends.has(net)) throw new InputError(field, net, `${net} is no net of this board. Write it as the board does.`)
  const isSupply = (net: string) => !notSupplies.includes(net) && (supplies.includes(net) || isSupplyNet(net))
  for (const net of new Set(plan.probes.filter(p => p.kind !== 'short').flatMap(p => [p.netA, p.netB])))
    tx.insert(probeNets)
      .values({ sheetId: id, net, supply: isSupply(net), ends: ends.get(net)! })
      .run()
  for (const probe of plan.probes)
    tx.insert(probeChecks)
      .values({ sheetId: id, ...probe })
      .run()
  write(
    'probe.begun',
    { title, board: board.name, checks: plan.probes.length, otherIssue: otherIssue ? board.issue || 'unknown' : '' },
    { subject: { table: 'probeSheets', id } },
  )
  return { sheetId: id }
}

const sheetOf = (work: MachineWork, sheetId: number): Sheet => rowOf(work, probeSheets, sheetId, 'probe sheet')

/** The next check that nobody else is at; whoever asks keeps what they had. */
export function takeProbe(work: MachineWork, { sheetId, device }: CommandInput<'take-probe'>): { checkId: number | null } {
  const { tx, person, at, now } = work
  const sheet = sheetOf(work, sheetId)
  if (sheet.endedAt) throw new NotNow('This sheet has been ended.')
  const since = new Date(now.getTime() - takenMs).toISOString()
  const open = tx
    .select()
    .from(probeChecks)
    .where(and(eq(probeChecks.sheetId, sheetId), isNull(probeChecks.contact)))
    .orderBy(asc(probeChecks.id))
    .all()
    // What an answer left unclear is asked while the probes are still there.
    .sort((a, b) => Number(a.why === '') - Number(b.why === ''))
  const mine = open.find(c => c.takenBy === person.id && c.takenOn === device && c.takenAt! > since)
  const free = mine ?? open.find(c => c.takenAt === null || c.takenAt <= since)
  if (!free) return { checkId: null }
  tx.update(probeChecks).set({ takenBy: person.id, takenOn: device, takenAt: at }).where(eq(probeChecks.id, free.id)).run()
  return { checkId: free.id }
}

function checkOf(work: MachineWork, checkId: number): { check: Check; sheet: Sheet } {
  const check = work.tx.select().from(probeChecks).where(eq(probeChecks.id, checkId)).get()
  if (!check) throw new NotFound('There is no such check.')
  return { check, sheet: sheetOf(work, check.sheetId) }
}

/** An answer: judged, and what it leaves unclear is asked next. */
export function answerProbe(
  work: MachineWork,
  { checkId, readingsOhm, heard, beyond }: CommandInput<'answer-probe'>,
): { contact: Contact; says: string; because: string } {
  const { tx, person, at, write } = work
  const { check, sheet } = checkOf(work, checkId)
  if (sheet.endedAt) throw new NotNow('This sheet has been ended.')
  if (check.contact !== null) throw new NotNow(`It was answered already, by ${check.by}: ${check.contact}. Ask it again if you doubt it.`)
  if (!readingsOhm.length && heard === null) throw new InputError('readingsOhm', '', 'Reading: what the meter shows, or OL; or press what you heard.')
  // A resistor is not told from a trace by the buzzer.
  if (!readingsOhm.length && check.kind === 'bridge' && heard === 'joined')
    throw new InputError('readingsOhm', '', `Reading: about ${check.expectOhm} Ω is expected here; the buzzer alone does not tell. Type what the meter shows.`)
  const judged = readingsOhm.length
    ? judgeContact({ readingsOhm, leadsOhm: sheet.leadsOhm, expectOhm: check.expectOhm ?? 0, expectOpen: check.kind === 'short' })
    : null
  const contact = judged?.contact ?? heard!
  const ohm = judged?.ohm ?? null
  tx.update(probeChecks)
    .set({ contact, ohm, beyond: check.beyond || beyond, by: person.name, at })
    .where(eq(probeChecks.id, checkId))
    .run()
  write('probe.answered', { a: check.a, b: check.b, net: netWords(check), contact, ohm, expected: asExpected(check.kind, contact) })
  if (check.kind === 'whole' || check.kind === 'rail') settleNet(tx, sheet.id, check.netA)
  tally(tx, sheet.id)
  return { contact, says: judged?.findings[0]?.says ?? '', because: judged?.findings[0]?.because[0] ?? '' }
}

/** What the answers and the wires of one net say of it; what is unclear is put on the sheet. */
function settleNet(tx: Tx, sheetId: number, net: string): void {
  const row = tx
    .select()
    .from(probeNets)
    .where(and(eq(probeNets.sheetId, sheetId), eq(probeNets.net, net)))
    .get()
  if (!row) return
  const asked = tx
    .select()
    .from(probeChecks)
    .where(
      and(
        eq(probeChecks.sheetId, sheetId),
        eq(probeChecks.netA, net),
        eq(probeChecks.netB, net),
        or(eq(probeChecks.kind, 'whole'), eq(probeChecks.kind, 'rail')),
      ),
    )
    .orderBy(asc(probeChecks.at), asc(probeChecks.id))
    .all()
  const wires = tx
    .select()
    .from(patches)
    .where(and(eq(patches.sheetId, sheetId), eq(patches.net, net)))
    .all()
  const { found, grows, toldApart } = netOnSheet(row.ends, asked, wires, row.supply)
  const { state, pieces, breaks } = found
  tx.update(probeNets).set({ state, pieces, breaks }).where(eq(probeNets.id, row.id)).run()
  // Once its pieces are told apart, what was asked of one of them is asked of each.
  if (toldApart) {
    const nets = netsBeside(tx, sheetId)
    const shorts = tx
      .select({ a: probeChecks.a, b: probeChecks.b })
      .from(probeChecks)
      .where(and(eq(probeChecks.sheetId, sheetId), eq(probeChecks.kind, 'short')))
      .all()
    askShorts(tx, sheetId, shortsOfPieces({ ...row, pieces }, nets, shorts), `${net} is in pieces: what lies beside one of them is asked at each.`)
  }
  if (!grows || countOf(tx, sheetId) >= mostChecks) return
  const { a, b, beyond, why } = grows
  tx.insert(probeChecks)
    .values({ sheetId, kind: row.supply ? 'rail' : 'whole', a, b, netA: net, netB: net, expectOhm: 0, beyond, why })
    .run()
}

const netsBeside = (tx: Tx, sheetId: number) => tx.select().from(probeNets).where(eq(probeNets.sheetId, sheetId)).all()

function askShorts(tx: Tx, sheetId: number, shorts: readonly ShortAsked[], why: string): void {
  for (const short of shorts.slice(0, Math.max(0, mostChecks - countOf(tx, sheetId))))
    tx.insert(probeChecks)
      .values({ sheetId, kind: 'short', ...short, expectOhm: null, why })
      .run()
}

const countOf = (tx: Tx, sheetId: number) => tx.select({ n: count() }).from(probeChecks).where(eq(probeChecks.sheetId, sheetId)).get()!.n

/** What the sheet has shown by now, kept with it: the machine hears of it. */
function tally(tx: Tx, sheetId: number): void {
  const checks = tx.select().from(probeChecks).where(eq(probeChecks.sheetId, sheetId)).orderBy(asc(probeChecks.at), asc(probeChecks.id)).all()
  const nets = tx.select({ net: probeNets.net, state: probeNets.state, supply: probeNets.supply }).from(probeNets).where(eq(probeNets.sheetId, sheetId)).all()
  tx.update(probeSheets).set(tallyOf(checks, nets)).where(eq(probeSheets.id, sheetId)).run()
}

/** The same two pins once more: after cleaning, after a doubt. */
export function askProbeAgain(work: MachineWork, { checkId, why }: CommandInput<'ask-probe-again'>): void {
  const { check, sheet } = checkOf(work, checkId)
  if (check.contact === null) throw new NotNow('It has not been answered yet.')
  if (countOf(work.tx, sheet.id) >= mostChecks) throw new NotNow(`A sheet has up to ${mostChecks} checks. Begin another.`)
  const { kind, a, b, netA, netB, expectOhm } = check
  work.tx
    .insert(probeChecks)
    .values({ sheetId: sheet.id, kind, a, b, netA, netB, expectOhm, beyond: check.contact !== 'joined', why })
    .run()
  work.tx.update(probeSheets).set({ endedAt: null }).where(eq(probeSheets.id, sheet.id)).run()
  tally(work.tx, sheet.id)
  work.write('probe.again', { a, b, why })
}

export function endProbeSheet(work: MachineWork, { sheetId, note }: CommandInput<'end-probe-sheet'>): void {
  const sheet = sheetOf(work, sheetId)
  if (sheet.endedAt) throw new NotNow('Somebody has ended this sheet already.')
  const left = sheet.total - sheet.answered
  if (left && note.length < 5) throw new InputError('note', note, `What is left: ${left} checks are not answered. Say why it is ended all the same.`)
  work.tx.update(probeSheets).set({ endedAt: work.at, note }).where(eq(probeSheets.id, sheetId)).run()
  work.write('probe.ended', { title: sheet.title, broken: sheet.broken.length, shorts: sheet.shorts.length, left, note })
}

/** A wire across what is gone, with the reading after it; only a good one joins the net. */
export function fitPatch(work: MachineWork, { sheetId, afterOhm, ...wire }: CommandInput<'fit-patch'>): { contact: Contact } {
  const { tx, machine, person, at, write } = work
  const sheet = sheetOf(work, sheetId)
  const net = tx
    .select()
    .from(probeNets)
    .where(and(eq(probeNets.sheetId, sheetId), eq(probeNets.net, wire.net)))
    .get()
  if (!net) throw new InputError('net', wire.net, `Net: ${wire.net} is not on this sheet.`)
  const ends = net.ends.map(p => `${p.part}.${p.pin}`)
  for (const field of ['a', 'b'] as const)
    if (!ends.includes(wire[field]))
      throw new InputError(field, wire[field], `${wire[field]} is no end of ${wire.net}. Its ends: ${ends.slice(0, 8).join(', ')}.`)
  if (wire.a === wire.b) throw new InputError('b', wire.b, 'A wire has two ends.')
  const { contact, ohm } = judgeContact({ readingsOhm: [afterOhm], leadsOhm: sheet.leadsOhm })
  const { id } = tx
    .insert(patches)
    .values({ machineId: machine.id, sheetId, ...wire, afterOhm: ohm, contact, by: person.name, at })
    .returning({ id: patches.id })
    .get()
  write('patch.fitted', { ...wire, contact, ohm }, { subject: { table: 'patches', id } })
  settleNet(tx, sheetId, wire.net)
  const shorts = shortsOfWire(wire, net, netsBeside(tx, sheetId))
  askShorts(tx, sheetId, shorts, `A wire was soldered to ${wire.a} and ${wire.b}: solder runs.`)
  if (shorts.length) tx.update(probeSheets).set({ endedAt: null }).where(eq(probeSheets.id, sheetId)).run()
  tally(tx, sheetId)
  return { contact }
}
