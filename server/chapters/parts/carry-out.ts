import { InputError } from '#core/kernel/input-error'
import { readSpec } from '#core/parts/substitute/typed'
import type { CommandInput } from '#shared/chapters/index'
import { PartNeed } from '#shared/chapters/parts/index'
import { and, eq } from 'drizzle-orm'
import { NotFound } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { crewOf } from '../people/index'
import { putBack } from './ledger'
import { partNeeds } from './schema'

type Wanted = Pick<CommandInput<'want-part'>, 'name' | 'quantity' | 'stops'> & Partial<CommandInput<'want-part'>>

/** What is wanted, whole: which function is said where it is one, and whoever looks for it is one of the crew. @throws InputError */
function wantedOf({ tx }: MachineWork, { seekerId = null, ...need }: Wanted) {
  const { affects = '', place = '', workaround = '', byWhen = null, wouldDo = '', forFirstStart = '' } = need
  if (need.stops === 'function' && !affects) throw new InputError('affects', affects, 'Which function: say it in a word, such as sound.')
  const { kind = null, spec = {} } = need
  const seeker = seekerId === null ? '' : crewOf(tx).find(p => p.id === seekerId)?.name
  if (seeker === undefined) throw new InputError('seekerId', seekerId, 'Who looks for it: choose somebody of the list.')
  return {
    ...PartNeed.of({ ...need, affects: need.stops === 'function' ? affects : '', place, workaround, byWhen, wouldDo, forFirstStart, kind, spec: {} }),
    spec: kind ? readSpec(kind, spec, 'spec') : {},
    seekerId,
    seeker,
  }
}

/** Puts a part on the list; other chapters do, with what they know of it. */
export function wantPart(work: MachineWork, input: Wanted): void {
  const { tx, machine, at, write } = work
  const wanted = wantedOf(work, input)
  tx.insert(partNeeds)
    .values({ machineId: machine.id, wantedAt: at, ...wanted })
    .run()
  const { seekerId: _, ...said } = wanted
  write('part.wanted', said)
}

/** Says of a part that the records ask for that it is not wanted; nobody proposes it again. */
export function declinePart(work: MachineWork, { name, place }: CommandInput<'decline-part'>): void {
  const { tx, machine, at, write } = work
  tx.insert(partNeeds).values({ machineId: machine.id, wantedAt: at, name, place, quantity: 1, outcome: 'not-needed' }).run()
  write('part.settled', { name, outcome: 'not-needed' })
}

/** A part that this machine wants. @throws NotFound */
function partOf({ tx, machine }: MachineWork, partId: number) {
  const part = tx
    .select()
    .from(partNeeds)
    .where(and(eq(partNeeds.id, partId), eq(partNeeds.machineId, machine.id)))
    .get()
  if (!part) throw new NotFound(`${machine.tag} wants no such part.`)
  return part
}

export function changePart(work: MachineWork, { partId, version, ...input }: CommandInput<'change-part'>): void {
  const { tx, write } = work
  const part = partOf(work, partId)
  expectVersion(work, part, version, part.version, [...PartNeed.names, 'seekerId'])
  const wanted = wantedOf(work, input)
  tx.update(partNeeds)
    .set({ ...wanted, version: part.version + 1 })
    .where(eq(partNeeds.id, partId))
    .run()
  const { seekerId: _, ...said } = wanted
  write('part.changed', said)
}

export function settlePart(work: MachineWork, { partId, version, outcome }: CommandInput<'settle-part'>): void {
  const { tx, write } = work
  const part = partOf(work, partId)
  expectVersion(work, part, version, part.version, ['name', 'outcome'])
  tx.update(partNeeds)
    .set({ outcome, version: part.version + 1 })
    .where(eq(partNeeds.id, partId))
    .run()
  write('part.settled', { name: part.name, outcome })
  if (outcome !== 'wanted') putBack(work, partId)
}
