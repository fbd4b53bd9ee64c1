import { type Story, assessed, did, graded, inOrder, moved, read } from '../story'

/** Desktops, the minicomputer on loan, and the portables. */
export const desks: Story[] = [
  { model: 'sextant-16', daysAgo: 64, who: 'ilka', arrives: { nickname: 'Lifeboat house', acquired: 'given', fromWhom: 'the lifeboat crew', owner: 'the museum', serial: 'OF16-2207', weightKg: 21, lastPowered: '2025-12', lastPoweredBy: 'the coxswain', lastPoweredWhat: 'was running when the sea came in', place: 'Wash place', claims: ['It stood in salt water for an hour', 'Somebody rinsed it with a hose'], accessories: ['Keyboard', 'Mains lead', 'Box of crew rosters'] }, steps: [
    moved(63, 'rua', 'look'), ...graded(61, 'rua', { 'Supply': [3, 'tide line across the transformer'], 'Main board': [2, 'green crust on the lower edge'], 'Card cage': [2], 'Drive A': [3, 'spindle seized'], 'Drive B': [2], 'Keyboard': [1], 'Display': [0], 'Case': [2] }),
    did(61, 'rua', 'record-damage', { assembly: 'Supply', kind: 'tide-line', where: 'transformer and lower board edge', extent: 'to 40 mm', severity: 'severe' }),
    did(61, 'rua', 'record-damage', { assembly: 'Main board', kind: 'crust', where: 'edge connector, pins 1 to 12', extent: 'about 300 mm²', severity: 'clear' }),
    moved(58, 'teodor', 'make-safe'), assessed(58, 'teodor', { filterCapacitors: 'cracked', battery: 'none-fitted', liquidOrDirt: 'yes', burntTrace: 'no', mainsLead: 'sound', supply: 'known', fan: 'missing', pictureTube: 'none', wiring: 'known', smoke: 'no' }, 'Teodor'),
    did(57, 'teodor', 'want-part', { name: 'Line-filter capacitor, class X2, 470 nF', quantity: 1, stopsStart: true }),
    did(57, 'teodor', 'want-part', { name: '80 mm fan, 12 V', quantity: 1, stopsStart: false }),
    moved(12, 'hanneke', 'clean'), did(0.35, 'hanneke', 'record-cleaning', { what: 'main board and card cage', withWhat: 'distilled water, soft brush, three rinses', byWhom: 'Hanneke' }),
    did(0.3, 'hanneke', 'start-wait', { what: 'main board drying at 40 °C', hours: 14 }),
  ] },
  { model: 'sextant-16', daysAgo: 210, who: 'ilka', arrives: { nickname: 'Harbour office', acquired: 'given', fromWhom: 'the harbour office', owner: 'the museum', serial: 'OF16-0931', weightKg: 21, lastPowered: '2003', place: 'Bench 2', claims: ['It is only a fuse'], accessories: ['Keyboard', 'Display', 'Mains lead', 'Two manuals'], dateCodes: [{ part: 'logic near the slots', code: '8235' }, { part: 'memory', code: '8241' }, { part: 'regulator', code: '8229' }, { part: 'drive controller', code: '8247' }, { part: 'serial port', code: '8538', socketed: true, reworked: true }] }, steps: [
    moved(205, 'baraka', 'look'), ...graded(200, 'baraka', { 'Supply': [2, 'fuses are fine; no 5 V'], 'Main board': [0], 'Card cage': [1], 'Drive A': [1], 'Drive B': [1], 'Keyboard': [0], 'Display': [1], 'Case': [0] }),
    moved(190, 'teodor', 'make-safe'), assessed(190, 'teodor', { ...inOrder, filterCapacitors: 'sound', fan: 'present' }, 'Teodor'), assessed(120, 'teodor', { ...inOrder, fan: 'present' }, 'Teodor'),
    moved(95, 'baraka', 'mend'), ...read(95, 'baraka', 'unloaded', { '+5 V': 0.04, '+12 V': 11.1, '-12 V': -11.9 }),
    did(95, 'baraka', 'report-fault', { symptom: 'No 5 V', stopsMachine: true }), did(95, 'baraka', 'judge-claim', { claim: 'It is only a fuse', verdict: 'refuted', because: 'Both fuses are whole; the 5 V regulator is dead' }), did(95, 'baraka', 'observe-fault', { fault: 'No 5 V', says: '9 V into the regulator, next to nothing out' }),
    did(60, 'baraka', 'repair-fault', { fault: 'No 5 V', did: 'Replaced the 7805 regulator, new heat-sink paste', closes: true }),
    ...read(60, 'baraka', 'unloaded', { '+5 V': 5.06, '+12 V': 11.2 }), ...read(53, 'baraka', 'loaded', { '+5 V': 5.02, '-12 V': -11.8 }),
    did(53, 'baraka', 'report-fault', { symptom: 'Drive B seeks twice', stopsMachine: false }), moved(20, 'baraka', 'prove'),
  ] },
  { model: 'sextant-16', daysAgo: 270, who: 'ilka', arrives: { nickname: 'Pilot roster', acquired: 'for-repair', fromWhom: 'the pilots’ association', owner: 'the pilots’ association', weightKg: 21, lastPowered: '2026-01', place: 'Gone home', claims: ['It stopped after lunch'], accessories: ['Keyboard', 'Mains lead'] }, steps: [
    moved(265, 'baraka', 'look'), ...graded(262, 'baraka', { 'Supply': [1], 'Main board': [0], 'Card cage': [0], 'Drive A': [0], 'Drive B': ['-'], 'Keyboard': [0], 'Display': ['-'], 'Case': [0] }),
    moved(260, 'teodor', 'make-safe'), assessed(260, 'teodor', { ...inOrder, fan: 'present' }, 'Teodor'), moved(255, 'baraka', 'mend'),
    did(255, 'baraka', 'report-fault', { symptom: 'Dead after a click', firstSeen: '2026-01', stopsMachine: true }), did(250, 'baraka', 'observe-fault', { fault: 'Dead after a click', says: 'Loose wire at the inlet; both fuses whole' }),
    did(248, 'baraka', 'repair-fault', { fault: 'Dead after a click', did: 'Crimped the inlet wire anew', closes: true }), ...read(248, 'baraka', 'loaded', { '+5 V': 5.09, '+12 V': 12.1, '-12 V': -12.2 }),
    moved(246, 'baraka', 'prove'), did(241, 'baraka', 'sign-off', { statement: 'Roster program for two hours, all keys, drive A' }), did(240, 'ilka', 'choose-life', { life: 'back-to-owner' }), moved(240, 'ilka', 'home'), did(239, 'ilka', 'put-on-bench', { onBench: false }),
  ] },
  { model: 'buoymaster', daysAgo: 150, who: 'ilka', arrives: { nickname: 'Outer bank', acquired: 'lent', fromWhom: 'the lighthouse keepers’ trust', owner: 'the lighthouse keepers’ trust', serial: 'BM-014', weightKg: 118, lastPowered: '1996', lastPoweredBy: 'the last keeper', lastPoweredWhat: 'shut down in good order', place: 'Gallery back room', claims: ['Complete but for one card'], accessories: ['Front panel key', 'Paper tape, two boxes', 'Service binder'] }, steps: [
    moved(140, 'maeve', 'look'), ...graded(130, 'maeve', { 'Supply': [1, 'two large filter capacitors'], 'Processor cards': [1], 'Core and memory cards': [1], 'Front panel': [0], 'Disk drive': [2, 'foam perished'], 'Desk': [1] }),
    did(130, 'maeve', 'ask-question', { question: 'Which card belongs in slot 9?' }),
    moved(100, 'teodor', 'make-safe'), assessed(100, 'teodor', { ...inOrder, filterCapacitors: 'sound', fan: 'present', battery: 'none-fitted' }, 'Teodor'),
    did(99, 'ilka', 'want-part', { name: 'Line-filter capacitor, class X2, 1 µF', quantity: 2, stopsStart: true }), did(6, 'ilka', 'start-wait', { what: 'the owner’s answer about new line-filter capacitors', hours: 24 * 20 }),
  ] },
  { model: 'lumen', daysAgo: 120, who: 'ilka', arrives: { nickname: 'Two-tone', acquired: 'bought', fromWhom: 'an auction', owner: 'the museum', weightKg: 11, lastPowered: '2024', lastPoweredBy: 'the seller', lastPoweredWhat: 'showed a bright line', place: 'Bench 1', claims: ['Works, needs a clean'], accessories: ['Mains lead', 'Carrying strap'] }, steps: [
    moved(116, 'sunniva', 'look'), ...graded(115, 'sunniva', { 'Supply': [1], 'Main board': [0], 'Picture tube and its board': [1], 'Keyboard': [0], 'Drive': [0], 'Bezel': [1, 'lower half yellow, upper half white'], 'Case': [1] }),
    did(115, 'sunniva', 'record-damage', { assembly: 'Bezel', kind: 'stain', where: 'lower half', extent: 'the whole half', severity: 'clear' }),
    moved(100, 'teodor', 'make-safe'), assessed(100, 'teodor', { ...inOrder, pictureTube: 'enclosed' }, 'Teodor'), ...read(92, 'teodor', 'loaded', { '+5 V': 5.04, '+12 V': 12.05, '-12 V': -11.7 }),
    moved(40, 'sunniva', 'clean'), did(3, 'sunniva', 'record-cleaning', { what: 'keycaps', withWhat: 'warm soapy water', byWhom: 'Sunniva' }), did(1.2, 'sunniva', 'start-wait', { what: 'lower bezel under peroxide cream', hours: 8 }),
  ] },
  { model: 'lumen', daysAgo: 33, who: 'baraka', arrives: { nickname: 'Chart room', acquired: 'given', fromWhom: 'a yacht club', owner: 'the museum', weightKg: 11, lastPowered: '2015', lastPoweredBy: 'the club’s treasurer', lastPoweredWhat: 'it smoked when tried', place: 'Bench 3', claims: ['It smoked when I tried it'], accessories: ['Mains lead'] }, steps: [
    moved(26, 'sunniva', 'look'), ...graded(26, 'sunniva', { 'Supply': [2, 'brown film, one resin capacitor split'], 'Main board': [0], 'Bezel': [0], 'Case': [1] }),
    did(26, 'sunniva', 'record-damage', { assembly: 'Supply', kind: 'burn', where: 'beside the mains switch', extent: '15 mm', severity: 'clear' }),
    moved(19, 'teodor', 'make-safe'), assessed(19, 'teodor', { filterCapacitors: 'cracked', smoke: 'yes', burntTrace: 'yes', battery: 'none-fitted', pictureTube: 'open' }, 'Teodor'),
  ] },
  { model: 'spindrift', daysAgo: 230, who: 'ilka', arrives: { nickname: 'Sixty passes', acquired: 'given', fromWhom: 'the weather office', owner: 'the museum', weightKg: 13, lastPowered: '2019', place: 'Bench 2', claims: ['Crashes now and then'], accessories: ['Keyboard', 'Mains lead'], dateCodes: [{ part: 'memory bank 0', code: '8814' }, { part: 'memory bank 1', code: '8816' }] }, steps: [
    moved(225, 'joaquim', 'look'), ...graded(220, 'joaquim', { 'Supply': [0], 'Main board': [1, 'battery barrel removed in time'], 'Video card': [0], 'Drive controller': [0], 'Hard drive': [1], 'Keyboard': [0], 'Case': [0] }),
    moved(215, 'teodor', 'make-safe'), assessed(215, 'teodor', { ...inOrder, battery: 'out', fan: 'present' }, 'Teodor'), ...read(214, 'teodor', 'loaded', { '+5 V': 5.0, '+12 V': 12.1, '-12 V': -11.6, '-5 V': -5.09 }),
    moved(200, 'joaquim', 'mend'), did(199, 'joaquim', 'report-fault', { symptom: 'Drops a memory test about once in sixty passes', firstSeen: '2026', stopsMachine: true }),
    did(180, 'joaquim', 'observe-fault', { fault: 'Drops a memory test about once in sixty passes', says: 'Always the same bit, different addresses' }),
    did(150, 'joaquim', 'repair-fault', { fault: 'Drops a memory test about once in sixty passes', did: 'Cleaned and reseated bank 1', closes: false }), did(144, 'joaquim', 'observe-fault', { fault: 'Drops a memory test about once in sixty passes', says: 'Failed again on pass 131' }),
  ] },
  { model: 'spindrift', daysAgo: 90, who: 'hanneke', arrives: { nickname: 'Ferry accounts', acquired: 'bought', fromWhom: 'a clear-out', owner: 'the museum', weightKg: 13, lastPowered: '2011', place: 'Buoy shed, rack 3', claims: ['Untested'], accessories: ['Keyboard'] }, steps: [
    moved(80, 'joaquim', 'look'), ...graded(78, 'joaquim', { 'Supply': [0], 'Main board': [1], 'Video card': ['-'], 'Case': [1] }),
    assessed(78, 'joaquim', { battery: 'in', liquidOrDirt: 'no', burntTrace: 'no', fan: 'present', pictureTube: 'none' }), did(78, 'joaquim', 'want-part', { name: 'Video card for the Spindrift', quantity: 1, stopsStart: true }),
  ] },
]
