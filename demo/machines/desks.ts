import { type Story, assessed, attended, did, graded, inOrder, marked, measuredOff, moved, places, read, shot } from '../story'

/** A drive that warms up over half an hour, as a logger saw it. */
const warming = Array.from({ length: 31 }, (_, i) => ({ atSeconds: i * 60, celsius: Number((22 + 21 * (1 - Math.exp(-i / 11))).toFixed(1)) }))

/** Desktops, the minicomputer on loan, and the portables. */
export const desks: Story[] = [
  { model: 'sextant-16', daysAgo: 64, who: 'ilka', arrives: { nickname: 'Lifeboat house', acquired: 'given', fromWhom: 'the lifeboat crew', owner: 'the museum', serial: 'OF16-2207', weightKg: 21, lastPowered: '2025-12', lastPoweredBy: 'the coxswain', lastPoweredWhat: 'was running when the sea came in', place: 'Wash place', claims: ['It stood in salt water for an hour', 'Somebody rinsed it with a hose'], accessories: ['Keyboard', 'Mains lead', 'Box of crew rosters'] }, steps: [
    moved(63, 'rua', 'look'), ...graded(61, 'rua', { 'Supply': [3, 'tide line across the transformer'], 'Main board': [2, 'green crust on the lower edge'], 'Card cage': [2], 'Drive A': [3, 'spindle seized'], 'Drive B': [2], 'Keyboard': [1], 'Display': [0], 'Case': [2] }),
    shot(61, 'rua', 'sextant-supply', 'Supply with its tide line', 'Supply'), shot(61, 'rua', 'sextant-board', 'Board, lower edge', 'Main board'), shot(61, 'rua', 'sextant-bottom', 'Bottom of the case', 'Case'),
    marked(61, 'rua', 'Supply with its tide line', { assembly: 'Supply', kind: 'tide-line', where: 'transformer and lower board edge', extent: 'to 40 mm', severity: 'severe' }, places([60, 790], [480, 770], [900, 795], [1300, 790], [1740, 775]), 'line'),
    marked(61, 'rua', 'Board, lower edge', { assembly: 'Main board', kind: 'crust', where: 'edge connector, pins 1 to 12', extent: 'about 300 mm²', severity: 'clear' }, places([245, 1075], [430, 1055], [580, 1070], [905, 1065], [1055, 1095], [1050, 1160], [250, 1155])),
    marked(61, 'rua', 'Bottom of the case', { assembly: 'Case', kind: 'rust', where: 'inside of the bottom', severity: 'slight' }, places([560, 780]), 'point'),
    did(60, 'rua', 'settle-check', { code: 'water.0.supply', outcome: 'found', note: 'salt under the mains inlet' }),
    did(60, 'ilka', 'appraise', { significance: { historic: 3, research: 1, rarity: 1, completeness: 2, show: 1 }, hoursLow: 60, hoursHigh: 120, costLow: 80, costHigh: 240, irreplaceable: ['Display'] }),
    moved(58, 'teodor', 'make-safe'), assessed(58, 'teodor', { filterCapacitors: 'cracked', battery: 'none-fitted', liquidOrDirt: 'yes', burntTrace: 'no', mainsLead: 'sound', supply: 'known', fan: 'missing', pictureTube: 'none', wiring: 'known', smoke: 'no' }, 'Teodor'),
    did(58, 'teodor', 'settle-hazard', { kind: 'conductive-dirt', state: 'present', evidence: 'Salt crystals across the mains side of the supply' }), did(57, 'teodor', 'want-part', { name: 'Line-filter capacitor, class X2, 470 nF', quantity: 1, stopsStart: true }),
    did(57, 'teodor', 'want-part', { name: '80 mm fan, 12 V', quantity: 1, stopsStart: false }),
    moved(12, 'hanneke', 'clean'), did(0.35, 'hanneke', 'record-cleaning', { what: 'main board and card cage', withWhat: 'distilled water, soft brush, three rinses', byWhom: 'Hanneke' }),
    did(0.3, 'hanneke', 'start-wait', { what: 'main board drying at 40 °C', hours: 14 }),
  ] },
  { model: 'sextant-16', daysAgo: 210, who: 'ilka', arrives: { nickname: 'Harbour office', acquired: 'given', fromWhom: 'the harbour office', owner: 'the museum', serial: 'OF16-0931', weightKg: 21, lastPowered: '2003', place: 'Bench 2', claims: ['It is only a fuse'], accessories: ['Keyboard', 'Display', 'Mains lead', 'Two manuals'], dateCodes: [{ part: 'logic near the slots', code: '8235' }, { part: 'memory', code: '8241' }, { part: 'regulator', code: '8229' }, { part: 'drive controller', code: '8247' }, { part: 'serial port', code: '8538', socketed: true, reworked: true }] }, steps: [
    moved(205, 'baraka', 'look'), ...graded(200, 'baraka', { 'Supply': [2, 'fuses are fine; no 5 V'], 'Main board': [0], 'Card cage': [1], 'Drive A': [1], 'Drive B': [1], 'Keyboard': [0], 'Display': [1], 'Case': [0] }),
    moved(190, 'teodor', 'make-safe'), assessed(190, 'teodor', { ...inOrder, filterCapacitors: 'sound', fan: 'present' }, 'Teodor'), did(190, 'teodor', 'settle-hazard', { kind: 'stored-charge', state: 'dealt-with', evidence: 'Both reservoirs have bleeders; measured empty after a minute' }), ...measuredOff(190, 'teodor', { '+5 V': [180, 260], '+12 V': ['1k2', '2k7'], '-12 V': ['4k7', 'OL'] }), assessed(120, 'teodor', { ...inOrder, fan: 'present' }, 'Teodor'),
    moved(95, 'baraka', 'mend'), ...read(95, 'baraka', 'unloaded', { '+5 V': 0.04, '+12 V': 11.1, '-12 V': -11.9 }),
    did(95, 'baraka', 'report-fault', { symptom: 'No 5 V', stopsMachine: true }), did(95, 'baraka', 'judge-claim', { claim: 'It is only a fuse', verdict: 'refuted', because: 'Both fuses are whole; the 5 V regulator is dead' }), did(95, 'baraka', 'observe-fault', { fault: 'No 5 V', says: '9 V into the regulator, next to nothing out' }),
    did(60, 'baraka', 'repair-fault', { fault: 'No 5 V', did: 'Replaced the 7805 regulator, new heat-sink paste', closes: true }),
    ...read(60, 'baraka', 'unloaded', { '+5 V': 5.06, '+12 V': 11.2 }), did(60, 'baraka', 'take-temperature', { part: 'heat-sink', where: '5 V regulator', celsius: 62.5 }), ...read(53, 'baraka', 'loaded', { '+5 V': 5.02, '-12 V': -11.8 }), ...read(22, 'baraka', 'loaded', { '+5 V': 4.91 }),
    did(53, 'baraka', 'report-fault', { symptom: 'Drive B seeks twice', stopsMachine: false }), moved(20, 'baraka', 'prove'),
  ] },
  { model: 'sextant-16', daysAgo: 270, who: 'ilka', arrives: { nickname: 'Pilot roster', acquired: 'for-repair', fromWhom: 'the pilots’ association', owner: 'the pilots’ association', weightKg: 21, lastPowered: '2026-01', place: 'Gone home', claims: ['It stopped after lunch'], accessories: ['Keyboard', 'Mains lead'] }, steps: [
    did(269, 'ilka', 'record-consent', { allowed: ['open', 'clean', 'start', 'repair'], upTo: 60, mustAsk: '', agreedWith: 'the chairman', agreedOn: '2026-02' }), did(247, 'baraka', 'record-spending', { what: 'crimp terminals', amount: 4.2 }),
    moved(265, 'baraka', 'look'), ...graded(262, 'baraka', { 'Supply': [1], 'Main board': [0], 'Card cage': [0], 'Drive A': [0], 'Drive B': ['-'], 'Keyboard': [0], 'Display': ['-'], 'Case': [0] }),
    moved(260, 'teodor', 'make-safe'), assessed(260, 'teodor', { ...inOrder, fan: 'present' }, 'Teodor'), moved(255, 'baraka', 'mend'),
    did(255, 'baraka', 'report-fault', { symptom: 'Dead after a click', firstSeen: '2026-01', stopsMachine: true }), did(250, 'baraka', 'observe-fault', { fault: 'Dead after a click', says: 'Loose wire at the inlet; both fuses whole' }),
    did(248, 'baraka', 'repair-fault', { fault: 'Dead after a click', did: 'Crimped the inlet wire anew', closes: true }), ...read(248, 'baraka', 'loaded', { '+5 V': 5.09, '+12 V': 12.1, '-12 V': -12.2 }),
    moved(246, 'baraka', 'prove'), did(241, 'baraka', 'sign-off', { statement: 'Roster program for two hours, all keys, drive A' }), did(240, 'ilka', 'choose-life', { life: 'back-to-owner' }), moved(240, 'ilka', 'home'), did(239, 'ilka', 'put-on-bench', { onBench: false }),
  ] },
  { model: 'buoymaster', daysAgo: 150, who: 'ilka', arrives: { nickname: 'Outer bank', acquired: 'lent', fromWhom: 'the lighthouse keepers’ trust', owner: 'the lighthouse keepers’ trust', serial: 'BM-014', weightKg: 118, lastPowered: '1996', lastPoweredBy: 'the last keeper', lastPoweredWhat: 'shut down in good order', place: 'Gallery back room', claims: ['Complete but for one card'], accessories: ['Front panel key', 'Paper tape, two boxes', 'Service binder'] }, steps: [
    moved(140, 'maeve', 'look'), ...graded(130, 'maeve', { 'Supply': [1, 'two large filter capacitors'], 'Processor cards': [1], 'Core and memory cards': [1], 'Front panel': [0], 'Disk drive': [2, 'foam perished'], 'Desk': [1] }),
    did(130, 'maeve', 'ask-question', { question: 'Which card belongs in slot 9?' }), shot(131, 'maeve', 'buoymaster-cage', 'Card cage before anything was touched', 'Processor cards'),
    marked(130, 'maeve', 'Card cage before anything was touched', { assembly: 'Processor cards', kind: 'missing', where: 'slot 9', severity: 'clear' }, places([1074, 590]), 'point'),
    moved(100, 'teodor', 'make-safe'), assessed(100, 'teodor', { ...inOrder, filterCapacitors: 'sound', fan: 'present', battery: 'none-fitted' }, 'Teodor'), ...measuredOff(99, 'teodor', { '+5 V': [34, 52], '+15 V': ['1k5', '2k4'], '-15 V': ['1k6', '2k2'] }),
    did(99, 'ilka', 'want-part', { name: 'Line-filter capacitor, class X2, 1 µF', quantity: 2, stopsStart: true }),
    did(98, 'ilka', 'record-consent', { allowed: ['open', 'clean', 'start', 'show'], upTo: 120, mustAsk: 'anything that is soldered', agreedWith: 'the trust’s secretary', agreedOn: '2026-08' }),
    did(40, 'maeve', 'record-spending', { what: 'two anti-static bags for large cards, distilled water', amount: 38.5 }),
    did(20, 'ilka', 'appraise', { significance: { historic: 3, research: 2, rarity: 3, completeness: 2, show: 2 }, hoursLow: 90, hoursHigh: 160, costLow: 60, costHigh: 310, irreplaceable: ['Core and memory cards', 'Processor cards'] }),
    did(6, 'ilka', 'write-to-owner', { questions: ['May we replace the two line-filter capacitors, and keep the old ones with the machine?', 'May it cost up to 310 EUR?', 'Do you know which card belongs in slot 9?'], to: 'secretary@keepers.example', hours: 24 * 20 }),
  ] },
  { model: 'lumen', daysAgo: 120, who: 'ilka', arrives: { nickname: 'Two-tone', acquired: 'bought', fromWhom: 'an auction', owner: 'the museum', weightKg: 11, lastPowered: '2024', lastPoweredBy: 'the seller', lastPoweredWhat: 'showed a bright line', place: 'Bench 1', claims: ['Works, needs a clean'], accessories: ['Mains lead', 'Carrying strap'] }, steps: [
    moved(116, 'sunniva', 'look'), ...graded(115, 'sunniva', { 'Supply': [1], 'Main board': [0], 'Picture tube and its board': [1], 'Keyboard': [0], 'Drive': [0], 'Bezel': [1, 'lower half yellow, upper half white'], 'Case': [1] }),
    shot(115, 'sunniva', 'lumen-bezel', 'Bezel, half yellow', 'Bezel'), marked(115, 'sunniva', 'Bezel, half yellow', { assembly: 'Bezel', kind: 'stain', where: 'lower half', extent: 'the whole half', severity: 'clear' }, places([130, 610], [390, 610], [390, 905], [1410, 905], [1410, 610], [1670, 610], [1670, 1100], [130, 1100])),
    moved(100, 'teodor', 'make-safe'), assessed(100, 'teodor', { ...inOrder, pictureTube: 'enclosed' }, 'Teodor'), ...read(92, 'teodor', 'loaded', { '+5 V': 5.04, '+12 V': 12.05, '-12 V': -11.7 }),
    moved(40, 'sunniva', 'clean'), did(3, 'sunniva', 'record-cleaning', { what: 'keycaps', withWhat: 'warm soapy water', byWhom: 'Sunniva' }), did(1.2, 'sunniva', 'start-wait', { what: 'lower bezel under peroxide cream', hours: 8 }),
  ] },
  { model: 'lumen', daysAgo: 33, who: 'baraka', arrives: { nickname: 'Chart room', acquired: 'given', fromWhom: 'a yacht club', owner: 'the museum', weightKg: 11, lastPowered: '2015', lastPoweredBy: 'the club’s treasurer', lastPoweredWhat: 'it smoked when tried', place: 'Bench 3', claims: ['It smoked when I tried it'], accessories: ['Mains lead'] }, steps: [
    moved(26, 'sunniva', 'look'), ...graded(26, 'sunniva', { 'Supply': [2, 'brown film, one resin capacitor split'], 'Main board': [0], 'Bezel': [0], 'Case': [1] }),
    shot(26, 'sunniva', 'lumen-supply', 'Burnt place beside the mains switch', 'Supply'), marked(26, 'sunniva', 'Burnt place beside the mains switch', { assembly: 'Supply', kind: 'burn', where: 'beside the mains switch', extent: '15 mm', severity: 'clear' }, places([830, 265], [900, 245], [970, 275], [985, 340], [940, 405], [860, 410], [815, 350])),
    moved(19, 'teodor', 'make-safe'), assessed(19, 'teodor', { filterCapacitors: 'cracked', smoke: 'yes', burntTrace: 'yes', battery: 'none-fitted', pictureTube: 'open' }, 'Teodor'),
    ...measuredOff(19, 'teodor', { '+5 V': [310, 620], '+12 V': [0.5, 0.5], '-12 V': ['1k8', '2k4'] }),
  ] },
  { model: 'spindrift', daysAgo: 230, who: 'ilka', arrives: { nickname: 'Sixty passes', acquired: 'given', fromWhom: 'the weather office', owner: 'the museum', weightKg: 13, lastPowered: '2019', place: 'Bench 2', claims: ['Crashes now and then'], accessories: ['Keyboard', 'Mains lead'], dateCodes: [{ part: 'memory bank 0', code: '8814' }, { part: 'memory bank 1', code: '8816' }] }, steps: [
    moved(225, 'joaquim', 'look'), ...graded(220, 'joaquim', { 'Supply': [0], 'Main board': [1, 'battery barrel removed in time'], 'Video card': [0], 'Drive controller': [0], 'Hard drive': [1], 'Keyboard': [0], 'Case': [0] }),
    moved(215, 'teodor', 'make-safe'), did(216, 'joaquim', 'record-battery', { where: 'beside the keyboard connector', chemistry: 'nickel-cadmium', cells: 3, year: 1988, state: 'sound', fitted: true, charging: 'yes' }),
    did(215, 'joaquim', 'change-battery', { battery: 'beside the keyboard connector', where: 'beside the keyboard connector', chemistry: 'nickel-cadmium', cells: 3, year: 1988, state: 'sound', fitted: false, charging: 'yes', replacement: { how: 'remote-holder', chemistry: 'alkaline', diode: true } }),
    assessed(215, 'teodor', { ...inOrder, battery: 'out', fan: 'present' }, 'Teodor'), did(213, 'joaquim', 'import-temperatures', { part: 'drive', where: 'hard drive, top', samples: warming }), ...read(214, 'teodor', 'loaded', { '+5 V': 5.0, '+12 V': 12.1, '-12 V': -11.6, '-5 V': -5.09 }),
    moved(200, 'joaquim', 'mend'), did(199, 'joaquim', 'report-fault', { symptom: 'Drops a memory test about once in sixty passes', firstSeen: '2026', stopsMachine: true }),
    did(180, 'joaquim', 'observe-fault', { fault: 'Drops a memory test about once in sixty passes', says: 'Always the same bit, different addresses' }),
    did(150, 'joaquim', 'repair-fault', { fault: 'Drops a memory test about once in sixty passes', did: 'Cleaned and reseated bank 1', closes: false }), did(144, 'joaquim', 'observe-fault', { fault: 'Drops a memory test about once in sixty passes', says: 'Failed again on pass 131' }),
  ] },
  { model: 'spindrift', daysAgo: 90, who: 'hanneke', arrives: { nickname: 'Ferry accounts', acquired: 'bought', fromWhom: 'a clear-out', owner: 'the museum', weightKg: 13, lastPowered: '2011', place: 'Buoy shed, rack 3', claims: ['Untested'], accessories: ['Keyboard'] }, steps: [
    moved(80, 'joaquim', 'look'), ...graded(78, 'joaquim', { 'Supply': [0], 'Main board': [1], 'Video card': ['-'], 'Case': [1] }),
    assessed(78, 'joaquim', { battery: 'in', liquidOrDirt: 'no', burntTrace: 'no', fan: 'present', pictureTube: 'none' }), did(78, 'joaquim', 'want-part', { name: 'Video card for the Spindrift', quantity: 1, stopsStart: true }),
    did(78, 'joaquim', 'record-battery', { where: 'beside the keyboard connector', chemistry: 'nickel-cadmium', cells: 3, year: 1989, state: 'sound', fitted: true, charging: 'yes' }),
  ] },
  { model: 'spindrift', daysAgo: 58, who: 'ilka', arrives: { nickname: 'Slipway', acquired: 'given', fromWhom: 'the boatyard', owner: 'the museum', serial: 'SP-4471', weightKg: 13, lastPowered: '2008', place: 'Bench 1', claims: ['Ran when the yard closed'], accessories: ['Mains lead'] }, steps: [
    moved(52, 'maeve', 'look'), ...graded(50, 'maeve', { 'Supply': [1, 'old filter capacitors'], 'Main board': [1], 'Video card': [0], 'Drive controller': [0], 'Hard drive': [1], 'Keyboard': ['-'], 'Case': [1] }),
    moved(45, 'teodor', 'make-safe'), assessed(45, 'teodor', { ...inOrder, filterCapacitors: 'sound', battery: 'in', fan: 'present' }, 'Teodor'),
    did(44, 'maeve', 'record-battery', { where: 'beside the keyboard connector', chemistry: 'nickel-cadmium', cells: 3, year: 1989, state: 'sound', fitted: true, charging: 'yes' }), did(43, 'maeve', 'change-battery', { battery: 'beside the keyboard connector', where: 'beside the keyboard connector', chemistry: 'nickel-cadmium', cells: 3, year: 1989, state: 'sound', fitted: false, charging: 'yes' }),
    assessed(30, 'teodor', { ...inOrder, battery: 'out', fan: 'present' }, 'Teodor'),
    did(30, 'teodor', 'set-configuration', { kind: 'supply-alone' }), ...measuredOff(30, 'teodor', { '+5 V': [62, 64], '+12 V': [210, 215], '-12 V': ['2k2', '2k2'], '-5 V': ['1k8', '1k8'] }),
    attended(30, 'teodor', { atProbe: 'maeve', atSwitch: 'teodor', scenario: 'ripple', secondsEach: 12 }), did(29, 'teodor', 'report-fault', { symptom: 'Ripple on every rail of the supply', stopsMachine: true }), did(16, 'baraka', 'repair-fault', { fault: 'Ripple on every rail of the supply', did: 'Replaced the secondary filter capacitors', closes: true }),
    attended(16, 'teodor', { atProbe: 'maeve', atSwitch: 'teodor', scenario: 'healthy' }),
    did(9, 'teodor', 'set-configuration', { kind: 'whole' }), ...measuredOff(9, 'maeve', { '+5 V': [48, 71], '+12 V': ['1k4', '2k6'], '-12 V': ['3k3', 'OL'], '-5 V': ['2k7', 'OL'] }),
  ] },
]
