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
