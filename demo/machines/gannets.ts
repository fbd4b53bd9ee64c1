import { type Story, assessed, did, graded, inOrder, marked, moved, places, read, shot, undid } from '../story'

/** Six ticket terminals from the closed ferry terminal. Two run. */
const lot = (daysAgo: number, nickname: string, claims: string[], accessories: string[]): Omit<Story, 'steps'> => ({
  model: 'gannet',
  daysAgo,
  who: 'ilka',
  arrives: {
    nickname,
    acquired: 'found',
    fromWhom: 'the closed ferry terminal',
    owner: 'the museum',
    lastPowered: '2009',
    lastPoweredWhat: 'sold the last ticket',
    weightKg: 9.5,
    place: 'Buoy shed, rack 2',
    claims,
    accessories,
  },
})
const sound = graded(240, 'maeve', {
  'Supply': [0],
  'Main board': [0],
  'Membrane keyboard': [1, 'two keys need a firm push'],
  'Display': [0],
  'Case': [1, 'ticket glue on the lid'],
})
const tube = { ...inOrder, pictureTube: 'enclosed' }

export const gannets: Story[] = [
  {
    ...lot(300, 'Ticket hall 1', ['Working when the doors closed'], ['Mains lead']),
    steps: [
      moved(290, 'maeve', 'look'),
      ...sound,
      undid(240, 'maeve', 'Lid off', [[4, 'pan, cross', 16, 'A']], { hides: 'one screw under the ticket tray label' }),
      undid(240, 'maeve', 'Keyboard lifted out', [[2, 'countersunk, cross', 8, 'B']], {
        connectors: ['Membrane tail: silver side down, into the long socket'],
        hazard: 'The tail cracks where it folds',
      }),
      undid(239, 'maeve', 'Supply out', [[4, 'hexagon', 10, 'C']], {
        connectors: ['Six-way plug, red at the corner', 'Earth tag to the case, star washer under it'],
      }),
      did(236, 'maeve', 'count-back', { step: 3, back: [4] }),
      did(236, 'maeve', 'count-back', { step: 2, back: [2] }),
      did(236, 'maeve', 'count-back', { step: 1, back: [4] }),
      moved(235, 'teodor', 'make-safe'),
      assessed(235, 'teodor', { ...tube, filterCapacitors: 'sound' }, 'Teodor'),
      did(230, 'teodor', 'want-part', { name: 'Line-filter capacitor, class X2, 100 nF', quantity: 6, stopsStart: true }),
      did(221, 'teodor', 'settle-part', { part: 'Line-filter capacitor, class X2, 100 nF', outcome: 'fitted' }),
      assessed(221, 'teodor', tube, 'Teodor'),
      ...read(221, 'teodor', 'loaded', { '+5 V': 5.03, '+12 V': 11.92 }),
      moved(214, 'hanneke', 'clean'),
      did(214, 'hanneke', 'record-cleaning', { what: 'the case', withWhat: 'soapy water and a soft pad', byWhom: 'Hanneke' }),
      moved(200, 'maeve', 'prove'),
      did(199, 'maeve', 'judge-claim', {
        claim: 'Working when the doors closed',
        verdict: 'confirmed',
        because: 'It ran as it came, once the capacitors were replaced',
      }),
      did(198, 'maeve', 'sign-off', { statement: 'All keys, both ports, three hours of ticket printing without a jam' }),
      did(197, 'ilka', 'choose-life', { life: 'hands-on' }),
      moved(196, 'ilka', 'home'),
      did(196, 'ilka', 'put-on-bench', { onBench: false }),
      did(196, 'ilka', 'switch-passport', { on: true }),
    ],
  },
  {
    ...lot(300, 'Ticket hall 2', ['Working when the doors closed'], ['Mains lead', 'Roll of blank tickets']),
    steps: [
      moved(288, 'maeve', 'look'),
      ...sound,
      moved(220, 'teodor', 'make-safe'),
      assessed(220, 'teodor', tube, 'Teodor'),
      ...read(219, 'teodor', 'loaded', { '+5 V': 4.96, '+12 V': 11.8 }),
      moved(150, 'maeve', 'prove'),
      ...read(30, 'maeve', 'loaded', { '+5 V': 4.94, '+12 V': 11.75 }),
      did(30, 'maeve', 'ask-question', { question: 'Why does the clock lose exactly one minute a day?' }),
    ],
  },
  {
    ...lot(299, 'Quay desk', ['Screen came on, keyboard odd'], []),
    steps: [
      moved(280, 'joaquim', 'look'),
      ...graded(270, 'joaquim', {
        'Supply': [1],
        'Main board': [1, 'salt bloom near the keyboard connector'],
        'Membrane keyboard': [2, 'tail creased'],
        'Display': [0],
        'Case': [1],
      }),
      shot(270, 'joaquim', 'gannet-tail', 'Tail where it folds', 'Membrane keyboard'),
      marked(
        270,
        'joaquim',
        'Tail where it folds',
        { assembly: 'Membrane keyboard', kind: 'crack', where: 'tail, where it folds over the board', extent: 'two of fourteen lines', severity: 'clear' },
        places([680, 630], [760, 650], [1010, 660], [1060, 640]),
        'line',
      ),
      assessed(200, 'teodor', tube, 'Teodor'),
      ...read(200, 'teodor', 'loaded', { '+5 V': 5.01, '+12 V': 12.02 }),
      moved(120, 'joaquim', 'mend'),
      did(118, 'joaquim', 'report-fault', { symptom: 'Two keyboard columns dead', firstSeen: '2009', stopsMachine: false }),
      did(112, 'joaquim', 'judge-claim', { claim: 'Screen came on, keyboard odd', verdict: 'confirmed', because: 'The screen comes on; two columns are dead' }),
      did(111, 'joaquim', 'observe-fault', {
        fault: 'Two keyboard columns dead',
        says: 'Bridging row 3 and column 5 at the connector types a letter: the electronics are fine',
      }),
      did(97, 'joaquim', 'repair-fault', { fault: 'Two keyboard columns dead', did: 'Silver paint over the crease', closes: false }),
      did(90, 'joaquim', 'observe-fault', { fault: 'Two keyboard columns dead', says: 'Worked for an evening, dead again when cold' }),
      did(90, 'joaquim', 'want-part', { name: 'Membrane for the Gannet', quantity: 1, stopsStart: false }),
    ],
  },
  {
    ...lot(299, 'Store room', ['Untested'], ['Mains lead, plug cut off']),
    steps: [
      moved(260, 'rua', 'look'),
      ...graded(255, 'rua', {
        'Supply': [3, 'rust through the can'],
        'Main board': [1],
        'Membrane keyboard': ['-'],
        'Display': [2, 'neck board broken'],
        'Case': [2],
      }),
      assessed(255, 'rua', { mainsLead: 'cut', filterCapacitors: 'cracked', battery: 'none-fitted', liquidOrDirt: 'yes', smoke: 'no', pictureTube: 'open' }),
      did(255, 'rua', 'settle-hazard', { kind: 'sharp', state: 'present', evidence: 'Neck board broken off, splinters in the case' }),
      did(254, 'ilka', 'ask-question', { question: 'Keep it as the donor for the other five?' }),
      did(254, 'ilka', 'appraise', {
        significance: { historic: 0, research: 0, rarity: 0, completeness: 0, show: 1 },
        hoursLow: 40,
        hoursHigh: 80,
        costLow: 100,
        costHigh: 260,
        irreplaceable: [],
      }),
      did(254, 'ilka', 'put-on-bench', { onBench: false }),
    ],
  },
  {
    ...lot(298, 'Crew mess', ['It was fine until the coffee'], []),
    steps: [
      moved(180, 'hanneke', 'look'),
      ...graded(180, 'hanneke', { 'Main board': [2, 'sticky under the sockets'], 'Case': [1] }),
      did(180, 'hanneke', 'record-damage', {
        assembly: 'Main board',
        kind: 'stain',
        where: 'left of the processor',
        extent: 'a hand’s breadth',
        severity: 'clear',
      }),
      assessed(180, 'hanneke', { battery: 'none-fitted', liquidOrDirt: 'yes', pictureTube: 'enclosed' }),
      did(179, 'ilka', 'put-on-bench', { onBench: false }),
    ],
  },
  { ...lot(298, 'Car deck', ['Untested'], ['Mains lead']), steps: [did(250, 'ilka', 'put-on-bench', { onBench: false })] },
]
