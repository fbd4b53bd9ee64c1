import type { Page } from '#shared/kernel/answers'
import type { MachineQuery, MachineSummary, TodayView } from '#shared/kernel/machine'

/** Lists are patched by the summaries that a change brings along, wherever the page can tell; else they are asked for anew. */

export type ListQuery = Partial<MachineQuery>

/** What only the server can tell of a machine, from its summary alone. */
const onlyServerKnows = ['place', 'model', 'owner', 'acquired', 'life', 'waiting', 'person', 'olderThan', 'tags'] as const
const byServer = (query: ListQuery) => onlyServerKnows.some(name => query[name] !== undefined)

/** By which a machine keeps its row when it changes. */
const standsBy: Record<string, (machine: MachineSummary) => unknown> = { harm: m => m.harm.rank, name: m => m.name, place: m => m.place }

const fits = (machine: MachineSummary, { gate, stage, bench }: ListQuery) =>
  (!gate || machine.gate === gate) && (!stage || machine.stage === stage) && (!bench || machine.onBench === (bench === 'on'))

/**
 * A list with these summaries in place of those it showed.
 * @returns nothing where a machine came, went or moved, so that the list has to be asked for anew
 */
export function patchedList(list: Page<MachineSummary>, query: ListQuery, changed: readonly MachineSummary[]): Page<MachineSummary> | null {
  if (changed.length && byServer(query)) return null
  const rows = [...list.rows]
  const order = standsBy[query.sort ?? ''] ?? (() => 0)
  for (const machine of changed) {
    const at = rows.findIndex(row => row.tag === machine.tag)
    const there = rows[at]
    // Whether what was typed is found in it, only the server can tell.
    if (!there && !query.find && !fits(machine, query)) continue
    if (!there || !fits(machine, query) || order(there) !== order(machine)) return null
    rows[at] = there.found === undefined ? machine : { ...machine, found: there.found }
  }
  return { ...list, rows }
}

/** The same for what Today shows. Its waits are rows of their own: a change of them is asked for. */
export function patchedToday(view: TodayView, changed: readonly MachineSummary[]): TodayView | null {
  const part = (list: TodayView['urgent'], belongs: (machine: MachineSummary) => boolean) => {
    const rows = [...list.rows]
    for (const machine of changed) {
      const at = rows.findIndex(row => row.tag === machine.tag)
      const there = rows[at]
      if (!there && !belongs(machine)) continue
      if (!there || !belongs(machine) || there.harm.rank !== machine.harm.rank) return null
      rows[at] = machine
    }
    return { ...list, rows }
  }
  const waitsMoved = changed.some(machine => {
    const shown = view.waiting.rows.filter(w => w.tag === machine.tag)
    return shown.length !== machine.waits || (shown[0]?.until ?? null) !== machine.nextWaitAt || shown.some(w => w.nickname !== machine.nickname)
  })
  const urgent = part(view.urgent, machine => machine.harm.rank > 0)
  const moves = part(view.moves, machine => machine.onBench && machine.moves.length > 0)
  return urgent && moves && !waitsMoved ? { ...view, urgent, moves } : null
}
