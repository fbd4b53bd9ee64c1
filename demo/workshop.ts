import type { CommandRequest } from '#shared/chapters/index'

/** What the buoy shed shares: its tanks, its oven, its lamp. */
export const things: CommandRequest<'add-thing'>[] = [
  { name: 'Long tank', kind: 'tank', place: 'wet corner', roomL: 45, limits: 'Soapy or distilled water only' },
  { name: 'Ultrasonic bath', kind: 'tank', place: 'wet corner', roomL: 9, limits: 'Cleaner for boards only, never solvents' },
  { name: 'Drying oven', kind: 'oven', place: 'beside the sink', roomL: 64, minC: 30, maxC: 70, limits: 'Nothing with solvent on it' },
  { name: 'Light box', kind: 'light', place: 'back room', roomL: 50, limits: 'Ultraviolet: goggles, door shut' },
]
const ahead = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
/** What stands on its shelf. */
export const shelf: CommandRequest<'add-material'>[] = [
  { name: 'White vinegar', unit: 'ml', amount: 850, strengthPct: 5, lowAt: 500, openedOn: ahead(-90), useBy: ahead(400), place: 'wet corner' },
  { name: 'Citric acid', unit: 'g', amount: 400, strengthPct: 100, lowAt: 100, place: 'wet corner' },
  { name: 'Peroxide cream', unit: 'ml', amount: 180, strengthPct: 12, lowAt: 250, openedOn: ahead(-45), useBy: ahead(30), place: 'cool cupboard' },
  { name: 'Isopropyl alcohol', unit: 'ml', amount: 1400, strengthPct: 99, lowAt: 500, place: 'solvent cupboard' },
  { name: 'Distilled water', unit: 'ml', amount: 15000, lowAt: 5000, place: 'wet corner' },
  { name: 'Cleaner for the ultrasonic bath', unit: 'ml', amount: 700, lowAt: 250, openedOn: ahead(-400), useBy: ahead(-20), place: 'wet corner' },
  { name: 'Swabs', unit: 'pieces', amount: 130, lowAt: 50, place: 'shelf 2' },
]
