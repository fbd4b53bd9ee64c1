import type { EntryData, EntryKind } from '#shared/chapters/index'

type Recapping = Extract<EntryKind, `capacitor${string}` | 'prices.set'>

/** Entries of recapping with what each says; see `entry-examples.ts`. */
export const ofCapacitors: { [K in Recapping]: [EntryData<K>, string] } = {
  'capacitors.school': [{ school: 'evidence' }, 'Its capacitors: on evidence, for this machine.'],
  'capacitors.listed': [{ assembly: 'Supply', count: 12, fromTag: 'M-2026-004', known: '' }, '12 capacitors of Supply listed, as M-2026-004 has them.'],
  'capacitors.kept': [{ of: 'Petrel 8, issue 3', count: 26 }, '26 capacitors kept as known of Petrel 8, issue 3.'],
  'capacitor.changed': [
    {
      assembly: 'Supply',
      place: 'C12',
      spec: { capacitanceF: 0.00047, voltageV: 25 },
      fixing: 'glue',
      stressed: true,
      looksBad: true,
      note: 'leans on the coil',
    },
    'Supply C12, as it now reads: 470 µF, 25 V; it bulges, leaks or is cracked.',
  ],
  'capacitor.measured': [
    { assembly: 'Supply', place: 'C12', capacitanceF: 0.00031, esrOhm: 1.2, leakageA: 0.00002, atV: 25, reformed: true, inCircuit: false, says: 'bad' },
    'Supply C12 measured: 310 µF, series resistance 1.2 Ω, leaks 20 µA at 25 V, reformed before; bad.',
  ],
  'capacitor.out': [
    { assembly: 'Supply', place: 'C12', spec: { capacitanceF: 0.00047, voltageV: 25 }, plus: 'towards C13', fixing: 'glue', bagged: true },
    'Supply C12 taken out: 470 µF, 25 V; plus towards C13; glued; bagged.',
  ],
  'capacitor.fitted': [
    { assembly: 'Supply', place: 'C12', part: 'Electrolytic 470 µF, 35 V', polarityAsked: true, joints: 2, note: 'Stands a little higher' },
    'Supply C12 changed: Electrolytic 470 µF, 35 V; its polarity asked again; 2 joints made. Stands a little higher.',
  ],
  'capacitor.back': [
    { assembly: 'Supply', place: 'C12', reason: 'Tested good at its voltage' },
    'Supply C12: the old one is in its place again: Tested good at its voltage.',
  ],
  'capacitor.dropped': [
    { assembly: 'Supply', place: 'C12', reason: 'No such place on this issue' },
    'Supply C12 taken off the list: No such place on this issue.',
  ],
  'prices.set': [{ supplier: 'a shop abroad', lines: 40, postage: 4.5 }, 'Prices of a shop abroad: 40 lines.'],
}
