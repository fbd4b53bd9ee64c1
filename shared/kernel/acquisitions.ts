/** How a machine came. */
export const acquisitions = ['given', 'bought', 'found', 'lent', 'for-repair'] as const
export type Acquisition = (typeof acquisitions)[number]
export const acquisitionNames: Record<Acquisition, string> = {
  'given': 'Given',
  'bought': 'Bought',
  'found': 'Found',
  'lent': 'Lent to us',
  'for-repair': 'For repair only',
}
/** Ways of coming in that leave the machine somebody else's. */
export const notOurs: readonly Acquisition[] = ['lent', 'for-repair']
/** Whether it belongs to the collection. */
export const isOurs = ({ acquired }: { acquired: string }) => !notOurs.some(a => a === acquired)
