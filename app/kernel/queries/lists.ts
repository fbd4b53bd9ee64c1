import type { Page } from '#shared/kernel/answers'
import type { MachineQuery, MachineSummary, TodayView } from '#shared/kernel/machine'

/** Lists are patched by the summaries that a change brings along, wherever the page can tell; else they are asked for anew. */

export type ListQuery = Partial<Pick<MachineQuery, 'find' | 'gate' | 'stage' | 'bench' | 'sort' | 'page' | 'size'>>

const fits = (machine: MachineSummary, { gate, stage, bench }: ListQuery) =>
  (!gate || machine.gate === gate) && (!stage || machine.stage === stage) && (!bench || machine.onBench === (bench === 'on'))

/**
 * A list with these summaries in place of those it showed.
 * @returns nothing where a machine came, went or moved, so that the list has to be asked for anew
 */
export function patchedList(list: Page<MachineSummary>, query: ListQuery, changed: readonly MachineSummary[]): Page<MachineSummary> | null {
  const rows = [...list.rows]
  for (const machine of changed) {
    const at = rows.findIndex(row => row.tag === machine.tag)
    const there = rows[at]
    // Whether what was typed is found in it, only the server can tell.
    if (!there && !query.find && !fits(machine, query)) continue
    const stays = there && fits(machine, query) && (query.sort !== 'harm' || there.harm.rank === machine.harm.rank)
    if (!stays) return null
    rows[at] = machine
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
