import type { CommandRequest } from '#shared/chapters/index'

/** External supplies on the shelf of the buoy shed, with what stands on their labels. */
export const supplies: CommandRequest<'add-supply'>[] = [
  {
    name: 'S-01',
    place: 'shelf 4, tray A',
    label: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1.5, regulated: true, outerMm: 5.5, innerMm: 2.1 },
  },
  {
    name: 'S-02',
    place: 'shelf 4, tray A',
    label: { voltageV: 9, kind: 'dc', polarity: 'centre-positive', currentA: 2, regulated: true, outerMm: 5.5, innerMm: 2.1 },
  },
  { name: 'S-03', place: 'shelf 4, tray B', label: { voltageV: 9, kind: 'ac', currentA: 1, outerMm: 5.5, innerMm: 2.1 } },
  {
    name: 'S-04',
    place: 'shelf 4, tray B',
    label: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1, regulated: false, unloadedV: 13.1, outerMm: 5.5, innerMm: 2.1 },
  },
  { name: 'S-05', place: 'came with Lamp store', label: { voltageV: 12, outerMm: 5.5 } },
]
