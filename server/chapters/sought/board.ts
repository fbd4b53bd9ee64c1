import { setImmediate } from 'node:timers/promises'
import { and, asc, count, desc, eq, isNull } from 'drizzle-orm'
import { needRank } from '#core/parts/needs'
import { partConditions } from '#core/parts/ledger'
import { specWords } from '#core/parts/substitute/words'
import { readWouldDo, wouldDoWords } from '#core/parts/would-do'
import { withoutPrivate } from '#core/sharing/private-words'
import type { OffersView, SoughtPart, SoughtView, SparedPart } from '#shared/chapters/sought/index'
import type { MachineFile } from '../../kernel/file'
import { collectionChain } from '../../kernel/history/journal'
import { loadFile } from '../../kernel/load'
import { csvOf } from '../../kernel/csv'
import { NotFound } from '../../kernel/refusals'
import { journalHeads, machines } from '../../kernel/trunk'
import type { Bench } from '../../kernel/work'
import type { Tx } from '../../kernel/history/journal'
import { publicRecord } from '../home/index'
import { photographs } from '../look/index'
import { heldParts, partNeeds } from '../parts/index'
import { namesOfPeople } from '../people/index'
import { practiceOf } from '../practice/index'
import { boardOf, isShown } from './carry-out'
import { offersIn, wantsShown } from './schema'

/** More than anybody reads through. */
const mostShown = 500

const like = ({ kind, spec }: Pick<typeof partNeeds.$inferSelect, 'kind' | 'spec'>) => (kind ? specWords(kind, spec) : '')

/** What one machine seeks, as anybody may read it: in what people typed, no private name stands. */
function soughtFor(tx: Tx, file: MachineFile): SoughtPart[] {
  const { clean } = publicRecord(tx, file, false)
  const { machine, wantsShown: shown } = file
  const hasPicture = shown!.photographId !== null && file.photographs.some(p => p.id === shown!.photographId)
  return file.partNeeds
    .filter(need => need.outcome === 'wanted')
    .sort((a, b) => needRank(a) - needRank(b))
    .map(need => ({
      key: `w${need.id}`,
      name: clean(need.name),
      count: need.quantity,
      like: clean(like(need)),
      stops: need.stops,
      wouldDo: readWouldDo(clean(need.wouldDo), clean(need.forFirstStart)),
      model: clean([machine.maker, machine.name].filter(Boolean).join(' ')),
      says: clean(shown!.says),
      byWhen: need.byWhen,
      since: need.wantedAt,
      picture: hasPicture,
    }))
}

function sparedParts(tx: Tx): SparedPart[] {
  const rows = tx
    .select()
    .from(heldParts)
    .where(and(eq(heldParts.spared, true), eq(heldParts.at, 'shelf')))
    .orderBy(asc(heldParts.name), asc(heldParts.id))
    .limit(mostShown)
    .all()
  const people = rows.length ? namesOfPeople(tx, 0).map(word => ({ word, kind: 'person' as const })) : []
  return rows.map(held => {
    const clean = withoutPrivate([...people, ...[held.source, held.lender].filter(Boolean).map(word => ({ word, kind: 'giver' as const }))])
    return { key: `s${held.id}`, name: clean(held.name), count: held.count, like: clean(like(held)), condition: held.condition, since: held.trail[0]?.at ?? '' }
  })
}

/** What each machine seeks, by the heads of its history and the collection's when that was read. */
const bySeeker = new Map<number, { head: string; parts: SoughtPart[] }>()
const mostRemembered = 500
let made: { key: string; view: SoughtView } | undefined

/**
 * The public list: made when something in it has changed, not whenever somebody looks; a machine at a time, so that others are answered between.
 * The same as before is the same object, by which its pages are remembered.
 * @throws NotFound while it is closed
 */
export async function soughtView({ db }: Pick<Bench, 'db'>): Promise<SoughtView> {
  const board = boardOf(db)
  if (!board.open) throw new NotFound('There is no public list of parts here, or it is closed just now.')
  const seekers = db
    .select({ id: machines.id, head: journalHeads.hash })
    .from(wantsShown)
    .innerJoin(machines, eq(machines.id, wantsShown.machineId))
    .leftJoin(journalHeads, eq(journalHeads.chain, machines.uid))
    .where(eq(wantsShown.shows, true))
    .orderBy(desc(machines.id))
    .limit(mostShown)
    .all()
    .filter(({ id }) => isShown(db, id))
  const ours = db.select().from(journalHeads).where(eq(journalHeads.chain, collectionChain)).get()?.hash ?? ''
  // A part that is spared may be fitted, which stands in the history of that machine alone.
  const lines = db
    .select({ id: heldParts.id, version: heldParts.version })
    .from(heldParts)
    .where(and(eq(heldParts.spared, true), eq(heldParts.at, 'shelf')))
    .limit(mostShown)
    .all()
  const key = [ours, ...seekers.map(s => `${s.id} ${s.head}`), ...lines.map(l => `${l.id} ${l.version}`)].join()
  if (made?.key === key) return made.view
  for (const { id, head } of seekers) {
    // Names that are private now may have been none when this was read.
    const now = `${head} ${ours}`
    if (bySeeker.get(id)?.head === now) continue
    await setImmediate()
    bySeeker.delete(id)
    bySeeker.set(id, { head: now, parts: soughtFor(db, loadFile(db, id)) })
    if (bySeeker.size > mostRemembered) bySeeker.delete(bySeeker.keys().next().value!)
  }
  const wanted = seekers.flatMap(({ id }) => bySeeker.get(id)?.parts ?? []).slice(0, mostShown)
  const spared = sparedParts(db)
  const updated = [...wanted, ...spared].reduce((latest, { since }) => (since > latest ? since : latest), '')
  const view = { collection: practiceOf(db).name, greeting: board.greeting, updated, wanted, spared }
  made = { key, view }
  return view
}

/** The hash of the picture beside a part that is sought. @throws NotFound */
export function soughtPicture(tx: Tx, key: string): string {
  const row = tx
    .select({ hash: photographs.hash, machineId: partNeeds.machineId })
    .from(partNeeds)
    .innerJoin(wantsShown, eq(wantsShown.machineId, partNeeds.machineId))
    .innerJoin(photographs, eq(photographs.id, wantsShown.photographId))
    .where(and(eq(partNeeds.id, Number(key.slice(1)) || 0), eq(partNeeds.outcome, 'wanted'), eq(wantsShown.shows, true), isNull(photographs.struckBy)))
    .get()
  if (!row || !key.startsWith('w') || !boardOf(tx).open || !isShown(tx, row.machineId)) throw new NotFound('There is no such picture on the list.')
  return row.hash
}

/** The list as a table. */
export const soughtCsv = ({ wanted, spared }: SoughtView): string =>
  csvOf([
    ['Sought or spared', 'Part', 'How many', 'What it is like', 'For', 'Would do', 'How it is', 'Since', 'By'],
    ...wanted.map(p => ['Sought', p.name, p.count, p.like, p.model, p.wouldDo.map(wouldDoWords).join('; '), '', p.since.slice(0, 10), p.byWhen ?? '']),
    ...spared.map(p => ['Spared', p.name, p.count, p.like, '', '', partConditions[p.condition], p.since.slice(0, 10), '']),
  ])

/** What was said to the list, what waits first, the latest first; for those who may take it up. */
export function offersView(tx: Tx): OffersView {
  const { version, open, greeting } = boardOf(tx)
  const rows = tx
    .select({ offer: offersIn, tag: machines.tag })
    .from(offersIn)
    .leftJoin(partNeeds, eq(partNeeds.id, offersIn.needId))
    .leftJoin(machines, eq(machines.id, partNeeds.machineId))
    .orderBy(asc(offersIn.takenAt), desc(offersIn.id))
    .limit(mostShown)
    .all()
  return {
    board: { version, open, greeting },
    offers: rows.map(({ offer: { id, version, kind, name, who, reach, says, at, personId, takenAt }, tag }) => ({
      id,
      version,
      kind,
      name,
      tag,
      who,
      reach,
      says,
      at,
      ours: personId !== null,
      taken: takenAt !== null,
    })),
  }
}

/** How many offers wait to be looked over. */
export const offersWaiting = (tx: Tx): number => tx.select({ n: count() }).from(offersIn).where(isNull(offersIn.takenAt)).get()!.n
