/**
 * How often a part of this kind is at fault when a machine of that age fails, before anything is tested; and how many of those fail only now and then.
 * Common practice, no source: an order of magnitude to begin with, replaced by the collection's own figures where it has them.
 */
export const partKinds = {
  'supply': { name: 'Power supply', share: 0.2, sometimes: 0.2 },
  'lead': { name: 'Lead', share: 0.05, sometimes: 0.5 },
  'monitor': { name: 'Monitor or converter', share: 0.08, sometimes: 0.2 },
  'drive': { name: 'Drive', share: 0.2, sometimes: 0.3 },
  'controller': { name: 'Controller or card', share: 0.05, sometimes: 0.2 },
  'main-board': { name: 'Main board', share: 0.15, sometimes: 0.2 },
  'processor': { name: 'Processor', share: 0.03, sometimes: 0.1 },
  'memory': { name: 'Memory', share: 0.1, sometimes: 0.3 },
  'rom': { name: 'ROM', share: 0.06, sometimes: 0.1 },
  'custom-chip': { name: 'Custom chip', share: 0.08, sometimes: 0.1 },
  'logic': { name: 'Logic chip', share: 0.03, sometimes: 0.1 },
  'keyboard': { name: 'Keyboard', share: 0.15, sometimes: 0.3 },
  'media': { name: 'Disk, tape or cartridge', share: 0.15, sometimes: 0.3 },
  'tester': { name: 'Tester or test bed', share: 0.02, sometimes: 0.2 },
  'other': { name: 'Something else', share: 0.05, sometimes: 0.2 },
} as const
export type PartKind = keyof typeof partKinds
export const partKindNames = Object.keys(partKinds) as PartKind[]

/**
 * The share of parts of a kind that were at fault, from the collection's own causes; the table counts as so many cases, so that one case of our own
 * does not turn it over. Source: the mean of a beta distribution with the table as its prior.
 */
export function priorOf(kind: PartKind, own: { faulty: number; looked: number } = { faulty: 0, looked: 0 }): number {
  const counted = 20
  return (partKinds[kind].share * counted + own.faulty) / (counted + own.looked)
}
