import { verdicts } from '#core/parts/substitute/compare'
import { serves } from '#core/parts/offers'
import { placesOnBoard } from '#core/parts/recap/off-board'
import { judgeListed } from '#core/parts/recap/rules'
import type { ViewOf } from '#shared/chapters/index'
import { type BoardPlaces, Capacitor, type CapacitorOffer } from '#shared/chapters/recap/index'
import { and, asc, eq, ne } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { sistersHaving } from '../../kernel/sisters-having'
import { machineByTag } from '../../kernel/sheet'
import { boards, pinsOf } from '../continuity/index'
import { heldParts } from '../parts/index'
import { facts } from './facts'
import { capacitors, knownBoards } from './schema'

/** A model with its issue, as it is called. */
export const issueNamed = (name: string, variant: string): string => [name, variant].filter(Boolean).join(', ')

/** What is known of the issues of its model, its own first; boards that have a list already are left out. */
function knownOf(tx: Tx, { machine, capacitors }: MachineFile): ViewOf<'recap'>['recap']['known'] {
  if (machine.modelId === null) return []
  const listed = new Set(capacitors.map(one => one.assembly))
  const byIssue = new Map<string, number>()
  for (const board of tx.select().from(knownBoards).where(eq(knownBoards.modelId, machine.modelId)).orderBy(asc(knownBoards.variant)).all())
    if (!listed.has(board.assembly)) byIssue.set(board.variant, (byIssue.get(board.variant) ?? 0) + board.capacitors.length)
  return [...byIssue]
    .map(([variant, count]) => ({ variant, capacitors: count, sameIssue: variant !== '' && variant === machine.variant }))
    .sort((a, b) => Number(b.sameIssue) - Number(a.sameIssue))
}

/** The capacitors of a machine, with what its school does about each. */
export function recapView({ tx, file }: ViewInput): ViewOf<'recap'> {
  const record = facts(file)
  return {
    recap: {
      school: record.capacitorSchool,
      ownSchool: Boolean(file.recapSchools?.school),
      photographs: file.photographs.map(({ id, caption, name }) => ({ id, says: caption || name })),
      capacitors: file.capacitors.map(one => {
        const { id, version, spec, fixing, plus, bagged, photographId, measured, state } = one
        return {
          id,
          version,
          ...Capacitor.of(one),
          spec,
          fixing,
          plus,
          bagged,
          photographId,
          measured: measured ?? null,
          state,
          ...judgeListed({ ...one, measured: measured ?? null }, record),
        }
      }),
      // Where there is none yet, a sister's could be taken over.
      known: knownOf(tx, file),
      issue: file.machine.variant,
      keptFor: file.machine.modelId === null ? null : issueNamed(file.machine.name, file.machine.variant),
      from: file.capacitors.length ? [] : sistersHaving(tx, file, capacitors).map(({ rows, ...sister }) => ({ ...sister, capacitors: rows })),
    },
  }
}

/** The capacitors of the boards of its model that are in use, by their nets; boards without any are left out. @throws NotFound */
export function placesOnBoards(tx: Tx, tag: string): BoardPlaces[] {
  const { modelId } = machineByTag(tx, tag)
  if (modelId === null) return []
  return tx
    .select()
    .from(boards)
    .where(and(eq(boards.modelId, modelId), eq(boards.active, true)))
    .all()
    .map(board => ({ board: board.name, issue: board.issue, places: placesOnBoard(pinsOf(tx, board)) }))
    .filter(({ places }) => places.length)
}

const mostOffers = 12

/** What of the shelf would go into the place of a capacitor, the best first. @throws NotFound */
export function offersForCapacitor(tx: Tx, capacitorId: number): CapacitorOffer[] {
  const one = tx.select().from(capacitors).where(eq(capacitors.id, capacitorId)).get()
  if (!one) throw new NotFound('No such capacitor is listed.')
  return tx
    .select()
    .from(heldParts)
    .where(and(eq(heldParts.kind, 'capacitor'), eq(heldParts.at, 'shelf'), ne(heldParts.condition, 'bad'), ne(heldParts.condition, 'not-looked-at')))
    .all()
    .flatMap(held => {
      const served = serves({ name: '', kind: 'capacitor', spec: one.spec }, held)
      return served && served.verdict !== 'does-not' ? [{ held, served }] : []
    })
    .sort((a, b) => verdicts.indexOf(a.served.verdict) - verdicts.indexOf(b.served.verdict))
    .slice(0, mostOffers)
    .map(({ held, served }) => ({ heldId: held.id, name: held.name, lies: held.lies, says: served.says }))
}
