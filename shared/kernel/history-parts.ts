/** What of the history is looked at, by the kinds of its entries. */
export const historyParts = {
  measured: { title: 'Measured', kinds: ['reading.', 'off-state.', 'temperature.', 'corrosion.', 'start.', 'result.'] },
  gate: { title: 'Gate and dangers', kinds: ['gate.', 'power.', 'hazard.', 'alarm.', 'battery.', 'configuration.'] },
  faults: { title: 'Faults and parts', kinds: ['fault.', 'part.'] },
  found: {
    title: 'Found and claimed',
    kinds: ['assembly.', 'damage.', 'check.', 'intervention.', 'claim.', 'photograph.', 'opening.', 'date-code.', 'accessory.'],
  },
  work: { title: 'Work and waits', kinds: ['job.', 'cleaning.', 'booking.', 'shelf.', 'drying.', 'whitening.', 'wait.', 'stage.', 'bench.'] },
} as const satisfies Record<string, { title: string; kinds: readonly string[] }>
export type HistoryPart = keyof typeof historyParts
export const historyPartNames = Object.keys(historyParts) as HistoryPart[]

/** So many entries alike in a row are told as one, that may be unfolded. */
const alikeFrom = 4

/** Entries in their order, those of one kind and one person that follow each other in one row; rows of fewer than four stay apart. */
export function inRows<L extends { kind: string; by: string }>(lines: readonly L[]): L[][] {
  const rows: L[][] = []
  for (const line of lines) {
    const row = rows.at(-1)
    if (row?.[0]!.kind === line.kind && row[0]!.by === line.by) row.push(line)
    else rows.push([line])
  }
  return rows.flatMap(row => (row.length < alikeFrom ? row.map(line => [line]) : [row]))
}
