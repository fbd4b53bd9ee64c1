import { type Story, assessed, did, external, graded, inOrder, marked, measuredOff, moved, places, read, shot, undid } from '../story'

/** First to last pin of a 16-pin package, on every photograph of a Petrel 8S board. */
const pinRow = { from: places([171, 454])[0]!, to: places([325, 454])[0]!, distanceMm: 17.78 }
/** The same surface and the same spots on both visits. */
const belowBarrel = {
  outline: places([660, 855], [757, 855], [757, 902], [1000, 902], [1000, 1000], [660, 1000]),
  corroded: places([705, 892], [720, 872], [790, 960], [830, 935], [880, 932]), sound: places([970, 980], [985, 935], [676, 990]), threshold: 0.5,
}

/** Home and classroom micros, and the two home-built tide predictors. */
export const small: Story[] = [
  { model: 'petrel-8s', daysAgo: 45, who: 'baraka', arrives: { nickname: 'Schoolroom A', acquired: 'given', fromWhom: 'the island school', owner: 'the museum', serial: '8S-40117', weightKg: 3, lastPowered: '1999', place: 'Bench 1', claims: ['Worked when stored'], accessories: ['External supply'], dateCodes: [{ part: 'clock chip', code: '8603' }, { part: 'memory', code: '8549' }] }, steps: [
    moved(10, 'baraka', 'look'), ...graded(10, 'baraka', { 'Main board': [2, 'crust round the barrel'], 'Clock battery': [3, 'leaking'], 'Keyboard': [1], 'Case': [0] }),
    undid(10, 'baraka', 'Lid off: screws under the rear feet', [[2, 'pan, cross', 12, 'A'], [2, 'pan, cross', 8, 'B']], { hides: 'two clips at the front, press them in' }),
    undid(10, 'baraka', 'Keyboard tail out of its connector', [], { connectors: ['Keyboard tail: printed side towards the board'], hazard: 'The tail is brittle: lift it, do not bend it' }),
    shot(10, 'baraka', 'petrel-board-found', 'Board as found', 'Main board'),
    did(10, 'baraka', 'set-scale', { photograph: 'Board as found', scale: pinRow }),
    marked(10, 'baraka', 'Board as found', { assembly: 'Main board', kind: 'crust', where: 'under and beside the nickel barrel', severity: 'severe' }, places([685, 862], [755, 862], [770, 900], [915, 900], [925, 930], [905, 980], [860, 985], [840, 1005], [745, 1000], [730, 960], [690, 920])),
    did(10, 'baraka', 'keep-corrosion', { photograph: 'Board as found', what: 'below the barrel', inputs: belowBarrel, steel: false }),
    undid(10, 'baraka', 'Main board loose', [[5, 'countersunk, cross', 6, 'C']], { hides: 'a fifth screw under the modulator' }),
    shot(2, 'baraka', 'petrel-board-later', 'Board a week later', 'Main board'),
    did(2, 'baraka', 'set-scale', { photograph: 'Board a week later', scale: pinRow }),
    did(2, 'baraka', 'keep-corrosion', { photograph: 'Board a week later', what: 'below the barrel', inputs: belowBarrel, steel: false }),
    assessed(10, 'baraka', { filterCapacitors: 'none-fitted', mainsLead: 'not-used' }),
    did(10, 'baraka', 'record-battery', { where: 'beside the clock chip', chemistry: 'nickel-cadmium', cells: 3, year: 1986, state: 'leaking', fitted: true, charging: 'yes' }),
  ] },
  { model: 'petrel-8s', daysAgo: 45, who: 'baraka', arrives: { nickname: 'Schoolroom B', acquired: 'given', fromWhom: 'the island school', owner: 'the museum', serial: '8S-40122', weightKg: 3, lastPowered: '1999', place: 'Buoy shed, rack 1', claims: ['Worked when stored'], accessories: ['External supply'] }, steps: [] },
  { model: 'petrel-8s', daysAgo: 45, who: 'baraka', arrives: { nickname: 'Schoolroom C', acquired: 'given', fromWhom: 'the island school', owner: 'the museum', weightKg: 3, lastPowered: '', place: 'Buoy shed, rack 1', claims: [], accessories: [] }, steps: [] },
  { model: 'petrel-8', daysAgo: 320, who: 'ilka', arrives: { nickname: 'Weather club', acquired: 'given', fromWhom: 'a retired teacher', owner: 'the museum', weightKg: 3, lastPowered: '1994', place: 'Gallery, case 4', claims: ['Never repaired'], accessories: ['External supply', 'Cassette lead', 'Two cassettes'], dateCodes: [{ part: 'processor', code: '8117' }, { part: 'memory', code: '8109' }] }, steps: [
    moved(315, 'sunniva', 'look'), ...graded(310, 'sunniva', { 'External supply': [0], 'Main board': [0], 'Keyboard': [1, 'worn home row'], 'Modulator': [0], 'Case': [0] }),
    moved(300, 'teodor', 'make-safe'), assessed(300, 'teodor', external, 'Teodor'), ...read(299, 'teodor', 'loaded', { '+5 V': 4.98, '+12 V': 11.9, '-5 V': -5.09 }),
    moved(290, 'sunniva', 'clean'), did(289, 'sunniva', 'record-cleaning', { what: 'case and keycaps', withWhat: 'warm soapy water', byWhom: 'Sunniva' }), moved(280, 'sunniva', 'mend'),
    did(280, 'sunniva', 'report-fault', { symptom: 'Picture rolls for a minute', stopsMachine: false }), did(276, 'joaquim', 'observe-fault', { fault: 'Picture rolls for a minute', says: 'Set was a channel off; retuned' }), did(276, 'joaquim', 'repair-fault', { fault: 'Picture rolls for a minute', did: 'Retuned the set', closes: true }),
    moved(270, 'maeve', 'prove'), did(262, 'maeve', 'sign-off', { statement: 'All keys, tape in and out, two hours of a period program' }), did(260, 'ilka', 'choose-life', { life: 'demonstration' }), moved(258, 'ilka', 'home'), did(258, 'ilka', 'put-on-bench', { onBench: false }), did(257, 'ilka', 'switch-passport', { on: true }),
  ] },
  { model: 'petrel-8', daysAgo: 16, who: 'hanneke', arrives: { nickname: 'Lamp store', acquired: 'found', fromWhom: 'the lamp store', owner: 'the museum', weightKg: 3, lastPowered: '', place: 'Bench 3', claims: ['Nobody remembers it'], accessories: ['A supply that may not be its own'] }, steps: [
    moved(9, 'hanneke', 'look'), ...graded(9, 'hanneke', { 'External supply': [0, 'plug fits, label gone'], 'Main board': [0], 'Keyboard': [0], 'Modulator': [0], 'Case': [1] }),
    moved(2, 'rua', 'make-safe'), assessed(2, 'rua', { ...external, supply: 'doubtful' }, 'Rua'),
  ] },
  { model: 'petrel-8', daysAgo: 70, who: 'ilka', arrives: { nickname: 'Radio hut', acquired: 'given', fromWhom: 'a radio amateur', owner: 'the museum', weightKg: 3, lastPowered: '2022', place: 'Bench 2', claims: ['Starts one time in three'], accessories: ['External supply', 'Cassette lead'] }, steps: [
    moved(66, 'rua', 'look'), ...graded(64, 'rua', { 'External supply': [0], 'Main board': [1, 'sockets dull'], 'Keyboard': [0], 'Modulator': [0], 'Case': [0] }),
    moved(60, 'teodor', 'make-safe'), assessed(60, 'teodor', external, 'Teodor'), did(60, 'teodor', 'assign-supply', { supply: 'S-01' }),
    ...measuredOff(59, 'rua', { '+5 V': [210, 340], '+12 V': ['1k1', '2k2'], '-5 V': ['3k9', 'OL'] }), moved(50, 'rua', 'mend'),
    did(50, 'rua', 'report-fault', { symptom: 'Starts one time in three', stopsMachine: true }), did(44, 'rua', 'observe-fault', { fault: 'Starts one time in three', says: 'Reset line slow to rise; single-wipe sockets' }),
    did(44, 'rua', 'want-part', { name: '40-pin turned-pin socket', quantity: 2, stopsStart: false }), did(9, 'rua', 'start-wait', { what: 'sockets in the post', hours: 24 * 12 }),
  ] },
  { daysAgo: 190, who: 'ilka', arrives: { name: 'Home-built tide predictor', maker: 'a harbour pilot', nickname: 'Tide predictor, north', acquired: 'given', fromWhom: 'the pilot’s daughter', owner: 'the museum', weightKg: 6, lastPowered: '1988', place: 'Gallery, case 1', claims: ['Never the same since the move'], accessories: ['Notebook with the wiring'] }, steps: [
    moved(188, 'baraka', 'look'), ...graded(187, 'baraka', { 'Supply': [0], 'Main board': [0], 'Keyboard': [0], 'Drives': ['-'], 'Display': [0], 'Case': [0] }), moved(186, 'teodor', 'make-safe'), assessed(186, 'teodor', inOrder, 'Teodor'),
    did(186, 'baraka', 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }, { name: '-5 V', nominalV: -5 }] }), moved(185, 'baraka', 'mend'),
    did(185, 'baraka', 'report-fault', { symptom: 'Dead', stopsMachine: true }), did(185, 'baraka', 'observe-fault', { fault: 'Dead', says: 'The lead in its box was open in the plug' }), did(184, 'baraka', 'repair-fault', { fault: 'Dead', did: 'Fitted a sound lead; nothing else was wrong', closes: true }),
    ...read(184, 'baraka', 'loaded', { '+5 V': 5.01, '-5 V': -5.02 }), moved(183, 'baraka', 'prove'), did(182, 'maeve', 'sign-off', { statement: 'Predicted last week’s tides to the minute' }), did(181, 'ilka', 'choose-life', { life: 'gallery' }), moved(181, 'ilka', 'home'), did(181, 'ilka', 'put-on-bench', { onBench: false }), did(181, 'ilka', 'switch-passport', { on: true }),
  ] },
  { daysAgo: 110, who: 'ilka', arrives: { name: 'Home-built tide predictor', maker: 'a schoolteacher', nickname: 'Tide predictor, south', acquired: 'given', fromWhom: 'the schoolteacher’s family', owner: 'the museum', weightKg: 4, lastPowered: '', place: 'Bench 3', claims: ['Untested'], accessories: [] }, steps: [
    moved(100, 'maeve', 'look'), ...graded(98, 'maeve', { 'Supply': [1], 'Main board': [1], 'Keyboard': [1], 'Drives': ['-'], 'Display': [1], 'Case': [0] }),
    moved(97, 'teodor', 'make-safe'), assessed(97, 'teodor', { ...inOrder, filterCapacitors: 'none-fitted', wiring: 'doubtful' }, 'Teodor'), did(97, 'teodor', 'ask-question', { question: 'What are the two blue wires to the lid for?' }),
    shot(98, 'maeve', 'predictor-board', 'Board with the blue wires', 'Main board'),
    did(98, 'maeve', 'log-intervention', { assembly: 'Main board', kind: 'added-wire', where: 'two blue wires to the lid', note: 'soldered well, no label', understood: false, photograph: 'Board with the blue wires' }),
  ] },
  { model: 'petrel-8', daysAgo: 1, who: 'ilka', arrives: { nickname: 'Back door', acquired: 'given', fromWhom: 'someone who did not stay', owner: 'the museum', lastPowered: '', place: 'Back door', claims: ['Left with a note: please save it'], accessories: [] }, steps: [] },
]
