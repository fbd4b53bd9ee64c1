import { count, eq, isNull } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import { kindsFor, mostWaitingOffers } from '#core/sharing/sought'
import type { CommandInput } from '#shared/chapters/index'
import type { OfferMade } from '#shared/chapters/sought/index'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork, Work } from '../../kernel/work'
import { workOn } from '../../kernel/work-on'
import { photographOf } from '../look/index'
import { heldParts, holdPart, nothingKnown, partNeeds } from '../parts/index'
import { consentAgainst } from '../stewardship/index'
import { offersIn, soughtBoard, wantsShown } from './schema'

/** The list as it stands; closed, until somebody opened it. */
export const boardOf = (tx: Tx): typeof soughtBoard.$inferSelect => tx.select().from(soughtBoard).get() ?? { id: 1, version: 0, open: false, greeting: '' }

/** Says whether anybody may read what this machine wants, and with which picture. */
export function showWants(work: MachineWork, { shows, says, photographId }: CommandInput<'show-wants'>): void {
  if (photographId !== null) photographOf(work, photographId)
  const set = { shows, says, photographId }
  work.tx
    .insert(wantsShown)
    .values({ machineId: work.machine.id, ...set })
    .onConflictDoUpdate({ target: wantsShown.machineId, set })
    .run()
  work.write('wants.shown', { shows, says })
}

export function setBoard(work: Work, { version, open, greeting }: CommandInput<'set-board'>): void {
  const before = boardOf(work.tx)
  expectVersion(work, before, version, before.version, ['open', 'greeting'])
  const set = { open, greeting, version: before.version + 1 }
  work.tx
    .insert(soughtBoard)
    .values({ id: 1, ...set })
    .onConflictDoUpdate({ target: soughtBoard.id, set })
    .run()
  work.write('board.set', { open, greeting })
}

/** @throws NotNow where as many wait as are looked over in an evening */
function expectRoom(tx: Tx): void {
  const waiting = tx.select({ n: count() }).from(offersIn).where(isNull(offersIn.takenAt)).get()!.n
  if (waiting >= mostWaitingOffers) throw new NotNow('More offers wait than we can look over just now. Please come back in a few days.')
}

/** Somebody of the house has one, or knows of one. */
export function offerPart(work: Work, { partId, kind, says }: CommandInput<'offer-part'>): void {
  const need = work.tx.select().from(partNeeds).where(eq(partNeeds.id, partId)).get()
  if (need?.outcome !== 'wanted') throw new NotFound('That part is not wanted any more.')
  expectRoom(work.tx)
  const machine = work.tx.select().from(machines).where(eq(machines.id, need.machineId)).get()!
  work.tx.insert(offersIn).values({ needId: need.id, name: need.name, kind, who: work.person.name, says, personId: work.person.id, at: work.at }).run()
  workOn(work, machine).write('offer.made', { name: need.name, kind })
}

/** What of the list a key names. */
export interface Named {
  needId: number | null
  heldId: number | null
  name: string
}

/**
 * Keeps what somebody outside said; nothing is sent to anybody, and it stands in no history before somebody of the house takes it up.
 * @throws InputError, NotNow
 */
export function keepOffer(tx: Tx, at: string, { about, kind, who, reach, says }: OfferMade, line: Named): void {
  if (!kindsFor(about).includes(kind)) throw new InputError('kind', kind, 'What you can do: choose one of those that stand there.')
  expectRoom(tx)
  tx.insert(offersIn)
    .values({ ...line, kind, who, reach, says, at })
    .run()
}

function offerOf(work: Work, { offerId, version }: { offerId: number; version: number }) {
  const offer = work.tx.select().from(offersIn).where(eq(offersIn.id, offerId)).get()
  if (!offer) throw new NotFound('There is no such offer any more.')
  expectVersion(work, offer, version, offer.version, ['who', 'says', 'takenAt'])
  return offer
}

/** Takes an offer up: what somebody has is promised to the house from then on, and goes its way through the ledger. */
export function takeUpOffer(
  work: Work,
  { offerId, version, terms, count, unitPrice, dueBy, backBy }: CommandInput<'take-up-offer'>,
): { heldId: number | null } {
  const offer = offerOf(work, { offerId, version })
  if (offer.takenAt) throw new NotNow('That offer has been taken up already.')
  if (offer.kind === 'have' && terms === 'lent' && !backBy) throw new InputError('backBy', null, 'Back to them by: choose a day; it can be put off.')
  const need = offer.needId === null ? undefined : work.tx.select().from(partNeeds).where(eq(partNeeds.id, offer.needId)).get()
  const machine = need && work.tx.select().from(machines).where(eq(machines.id, need.machineId)).get()
  work.tx
    .update(offersIn)
    .set({ takenAt: work.at, version: offer.version + 1 })
    .where(eq(offersIn.id, offer.id))
    .run()
  const entry = { name: offer.name, kind: offer.kind, who: offer.who, terms }
  if (machine) workOn(work, machine).write('offer.taken-up', entry)
  else work.write('offer.taken-up', entry)
  if (offer.kind !== 'have') return { heldId: null }
  return holdPart(work, {
    ...nothingKnown,
    name: offer.name,
    // What it is like is what was asked for only once somebody has looked at it.
    count,
    at: 'pledged',
    source: offer.who,
    unitPrice: terms === 'bought' ? unitPrice : null,
    dueBy,
    lender: terms === 'lent' ? offer.who : '',
    backBy: terms === 'lent' ? backBy : null,
    note: machine ? `Offered for ${machine.tag}` : '',
  })
}

/** Forgets an offer, and with it how whoever made it is reached. */
export function clearOffer(work: Work, input: CommandInput<'clear-offer'>): void {
  const offer = offerOf(work, input)
  work.tx.delete(offersIn).where(eq(offersIn.id, offer.id)).run()
  work.write('offer.cleared', { name: offer.name, taken: offer.takenAt !== null })
}

/** Whether anybody may read what this machine wants: somebody chose so, and its owner, where it is not ours, has agreed to it and does still. */
export function isShown(tx: Tx, machineId: number): boolean {
  const machine = tx.select().from(machines).where(eq(machines.id, machineId)).get()
  const shown = tx.select().from(wantsShown).where(eq(wantsShown.machineId, machineId)).get()?.shows
  return machine !== undefined && shown === true && !consentAgainst({ tx, machine }, 'show')
}

/** A line that anybody may answer to, by its key. @throws NotFound where it is not shown any more */
export function lineOf(tx: Tx, key: string): Named {
  const id = Number(key.slice(1))
  const gone = () => new NotFound('That line is not on the list any more. Thank you all the same.')
  if (key.startsWith('s')) {
    const held = tx.select().from(heldParts).where(eq(heldParts.id, id)).get()
    if (!held?.spared || held.at !== 'shelf') throw gone()
    return { needId: null, heldId: id, name: held.name }
  }
  const need = tx.select().from(partNeeds).where(eq(partNeeds.id, id)).get()
  if (need?.outcome !== 'wanted' || !isShown(tx, need.machineId)) throw gone()
  return { needId: id, heldId: null, name: need.name }
}
