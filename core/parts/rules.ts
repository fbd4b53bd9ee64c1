import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import type { Held } from './ledger'
import { type Need, holdsUpStart, needRank } from './needs'

export interface PartsRecord {
  partNeeds: readonly (Need & { id: number; name: string; quantity: number; outcome: string })[]
  /** What of the ledger is in it, or set aside for it. */
  heldParts: readonly Pick<Held, 'count' | 'at' | 'needId' | 'lies'>[]
}
export interface PartsFacts {
  /** What is still wanted, the most pressing first; where it lies, if as many as are wanted are set aside. */
  wantedParts: (Need & { name: string; ready: string | null })[]
}

/** Where what is set aside for a need lies, once it is enough together with what is fitted. */
function readyFor({ id, quantity }: { id: number; quantity: number }, held: PartsRecord['heldParts']): string | null {
  const itsOwn = held.filter(h => h.needId === id && (h.at === 'promised' || h.at === 'fitted'))
  if (itsOwn.reduce((n, h) => n + h.count, 0) < quantity) return null
  return [...new Set(itsOwn.filter(h => h.at === 'promised' && h.lies).map(h => h.lies))].join(', ')
}

const partsFacts = ({ partNeeds, heldParts }: PartsRecord): PartsFacts => ({
  wantedParts: partNeeds
    .filter(p => p.outcome === 'wanted')
    .map(({ id, name, quantity, stops, affects, workaround }) => ({ name, stops, affects, workaround, ready: readyFor({ id, quantity }, heldParts) }))
    .sort((a, b) => needRank(a) - needRank(b)),
})

const findOrFit = ({ name, ready }: PartsFacts['wantedParts'][number]) => (ready === null ? `Find ${name}` : `Fit ${name}${ready && `, from ${ready}`}`)

declare module '../kernel/machine' {
  interface MachineRecord extends PartsRecord {}
  interface MachineKnown extends PartsFacts {}
}

/** What a start depends on is found before other work on the machine makes sense; where something else does until then, it is not. */
export const parts = discipline({
  name: 'parts',
  about: 'the parts it needs',
  facts: partsFacts,
  unknown: { wantedParts: [] },
  steps: { mend: m => m.wantedParts.map(p => step(findOrFit(p), false)) },
  moves: m =>
    m.wantedParts
      .filter(holdsUpStart)
      .map(p =>
        move('part', 'part', 'mend', {
          says: findOrFit(p),
          why: p.ready === null ? 'It cannot be started without it.' : 'It cannot be started without it, and it lies ready.',
          ...(p.ready === null ? { coordinator: true } : {}),
        }),
      ),
})
