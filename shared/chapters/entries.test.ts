import { describe, expect, it } from 'vitest'
import { type EntryData, type EntryKind, entries, isOpen, isStrikeable, sentenceOf } from './index'

/** One entry of every kind, and the sentence it reads as. A new kind without its line here does not compile. */
const examples: { [K in EntryKind]: [EntryData<K>, string] } = {
  'machine.booked-in': [{ tag: 'SH-2026-031', name: 'Petrel 8', maker: 'Tarnwick Instruments' }, 'Booked in as SH-2026-031: Petrel 8 by Tarnwick Instruments.'],
  'provenance.recorded': [
    { acquired: 'lent', fromWhom: 'the keepers’ trust', owner: 'the keepers’ trust' },
    'Lent to us, from the keepers’ trust; it belongs to the keepers’ trust.',
  ],
  'identity.corrected': [{ changes: [{ field: 'serial number', from: '', to: '17' }] }, 'Identity corrected: serial number “nothing” to “17”.'],
  'claim.recorded': [{ says: 'only a fuse', byWhom: 'the giver' }, 'Claimed by the giver: “only a fuse”'],
  'claim.judged': [{ says: 'only a fuse', verdict: 'refuted', because: 'both fuses whole' }, 'Claim “only a fuse”: refuted. both fuses whole.'],
  'last-powered.recorded': [{ when: '', byWhom: '', what: 'smoked' }, 'Last powered at a time nobody knows: smoked.'],
  'accessory.noted': [{ name: 'Mains lead' }, 'Came with it: Mains lead.'],
  'date-code.read': [
    { part: 'IC7', code: '8235', reworked: true, socketed: true, says: 'week 35 of 1982' },
    'Date code 8235 on IC7, reworked, in a socket: week 35 of 1982.',
  ],
  'stage.moved': [{ from: 'mend', to: 'clean' }, 'Moved from Mend to Clean.'],
  'bench.changed': [{ onBench: false }, 'Taken off the bench.'],
  'assembly.added': [{ name: 'Drive C' }, 'Assembly added: Drive C.'],
  'assembly.graded': [{ name: 'Case', presence: 'present', grade: 1, note: 'ticket glue' }, 'Case: grade 1, minor. ticket glue.'],
  'damage.recorded': [
    { assembly: 'Main board', kind: 'tide-line', where: 'lower edge', extent: '40 mm', severity: 'severe' },
    'Severe tide line on main board, lower edge, 40 mm.',
  ],
  'damage.changed': [
    { assembly: 'Main board', kind: 'crust', where: 'edge', extent: '', severity: 'clear' },
    'Damage now reads: clear crust on main board, edge.',
  ],
  'check.settled': [{ says: 'Look under every socket', outcome: 'found', note: 'two green pins' }, 'Look under every socket. Something found: two green pins.'],
  'photograph.added': [{ name: 'a.jpg', assembly: 'Supply', caption: 'As found', hash: '0' }, 'Photograph added of supply: As found.'],
  'photograph.described': [{ assembly: '', caption: 'Lower edge' }, 'Photograph now reads: Lower edge.'],
  'scale.set': [{ photograph: 'Lower edge', distanceMm: 2.54 }, 'Scale set on photograph “Lower edge”, from 2.54 mm.'],
  'corrosion.measured': [
    { what: 'lower edge', areaPct: 4.25, errorPct: 1.5, rating: 4, rustDegree: null },
    'Corrosion measured, lower edge: 4.3 % ± 1.5, rating 4 of 10.',
  ],
  'opening.step': [{ step: 1, what: 'Lid off', fixings: ['4 × 8 mm pan'] }, 'Opened, step 1: Lid off (4 × 8 mm pan).'],
  'opening.reused': [{ fromTag: 'SH-2026-004', steps: 5 }, 'Opening record of SH-2026-004 taken over: 5 steps ahead.'],
  'opening.back': [{ step: 1, what: 'Lid off', missing: 1 }, 'Put back, step 1: Lid off; 1 missing.'],
  'intervention.logged': [
    { kind: 'added-wire', assembly: 'Main board', where: 'from pin 8 to nowhere', note: '', understood: false },
    'Somebody was here before: added wire on main board, from pin 8 to nowhere; not understood yet.',
  ],
  'intervention.settled': [{ kind: 'added-wire', where: 'pin 8', state: 'undone', note: 'it shorted +12 V' }, 'Added wire, pin 8: undone. it shorted +12 V.'],
  'machine.appraised': [{ hoursLow: 10, hoursHigh: 20, costLow: 0, costHigh: 45.5, currency: 'EUR' }, 'Appraised: 10 to 20 hours, 0.00 EUR to 45.50 EUR.'],
  'path.chosen': [{ path: 'conserve', reason: 'The only one known' }, 'Path chosen: conserve as found. The only one known.'],
  'consent.recorded': [
    { agreedWith: 'the trust', agreedOn: '2026-03-01', allowed: ['open', 'clean'], upTo: 50, currency: 'EUR', mustAsk: 'paint' },
    'Agreed with the trust on 2026-03-01: open it and look, clean it; up to 50.00 EUR; to be asked: paint.',
  ],
  'money.spent': [{ what: 'capacitors', amount: 12.5, currency: 'EUR' }, 'Spent 12.50 EUR: capacitors.'],
  'owner.written-to': [{ owner: 'the trust', questions: ['May we start it?'] }, 'Letter to the trust: May we start it?'],
  'model.added': [{ maker: 'Tarnwick Instruments', name: 'Petrel 8' }, 'Model added: Petrel 8 by Tarnwick Instruments.'],
  'model.changed': [{ maker: 'Tarnwick Instruments', name: 'Petrel 8' }, 'Model changed: Petrel 8 by Tarnwick Instruments.'],
  'power.assessed': [
    {
      changes: [
        { fact: 'battery', to: 'out' },
        { fact: 'fan', to: null },
      ],
      inspected: true,
    },
    'Inspected for power. Battery: out, nothing left behind; Fan: not looked at.',
  ],
  'school.chosen': [{ school: 'baseline-first' }, 'For this machine: baseline first.'],
  'hazard.settled': [
    { kind: 'smoke', state: 'dealt-with', evidence: 'Filter capacitor replaced' },
    'Hazard, smoke reported: dealt with. Filter capacitor replaced.',
  ],
  'gate.changed': [
    { from: 'keep-off', to: 'guarded-start', why: 'The rails have not been read yet.' },
    'The gate went from Keep off to Guarded start: The rails have not been read yet.',
  ],
  'configuration.set': [{ configuration: { kind: 'partly', out: ['Drive A', 'Drive B'] } }, 'What is connected: Some of it out; out: Drive A, Drive B.'],
  'battery.recorded': [{ where: 'IC3', chemistry: 'nickel-cadmium', state: 'leaking', fitted: true }, 'Battery, IC3, nickel-cadmium: leaking, still in.'],
  'battery.changed': [{ where: 'IC3', state: 'sound', fitted: false }, 'Battery, IC3: now no leak seen, out.'],
  'battery.stepped': [{ where: 'IC3', step: 'rinsed' }, 'Battery, IC3, on its way home: rinsed.'],
  'alarm.explained': [{ alarm: '+5 V has carried 8.4 V.', says: 'Regulator replaced' }, 'Explained: +5 V has carried 8.4 V. Regulator replaced.'],
  'battery.replaced': [
    { where: 'IC3', how: 'diode-cell', chemistry: 'lithium-coin', diode: true },
    'In place of the battery, IC3: coin cell with a blocking diode, lithium coin cell behind a diode.',
  ],
  'inlet.expected': [{ says: '9 V DC, centre negative, 1 A' }, 'Its inlet wants 9 V DC, centre negative, 1 A.'],
  'supply.assigned': [{ name: 'S-03', says: '9 V DC' }, 'Runs from supply S-03: 9 V DC.'],
  'temperature.taken': [{ part: 'heat-sink', where: '7805', celsius: 62.25, readings: 1, says: 'Usual' }, 'Heat sink of a regulator (7805): 62.3 °C. Usual.'],
  'start.begun': [{ atProbe: 'Rua', atSwitch: 'Teodor', configuration: 'Whole' }, 'Start begun: Whole. At the probe Rua, at the switch Teodor.'],
  'start.called-off': [{ why: '+5 V is missing', noticed: ['smoke'], onSeconds: 4.4 }, 'A run of 4 s was called off: +5 V is missing. Noticed: smoke.'],
  'start.ended': [
    { outcome: 'called-off', why: '+5 V is missing', onSeconds: 6.4, rails: 1 },
    'Start ended after 6 s: called off, 1 rail kept. +5 V is missing.',
  ],
  'gate.overruled': [
    { computed: 'keep-off', verdict: 'guarded-start', reason: 'Supply alone, board out' },
    'Gate overruled from Keep off to Guarded start: Supply alone, board out.',
  ],
  'gate.overrule-ended': [{ why: 'the facts have changed' }, 'Overrule of the gate ended: the facts have changed.'],
  'cleaning.done': [{ what: 'the case', withWhat: 'soapy water', byWhom: 'Hanneke' }, 'Cleaned the case with soapy water.'],
  'cleaning.part': [
    { name: 'Keyboard', made: 'case plastic, printed legends', soiled: 'grease', works: 'Nobody has seen it work' },
    'Keyboard: made of case plastic, printed legends; soiled with grease; nobody has seen it work.',
  ],
  'cleaning.part-dropped': [{ name: 'Keyboard' }, 'Keyboard is no longer cleaned apart.'],
  'cleaning.schools': [
    { boards: 'wash', plastic: null },
    'Practice of cleaning for this machine: boards wet wash and low bake, yellowed plastic as the collection has it.',
  ],
  'cleaning.planned': [{ steps: 5, minutes: 140 }, 'Cleaning planned: 5 steps, about 140 minutes.'],
  'cleaning.parts-taken-over': [{ from: 'SH-2026-004', parts: 1 }, 'Took over from SH-2026-004 what a part is made of.'],
  'cleaning.step-added': [{ says: 'Solvent wipe: keyboard' }, 'Step of cleaning added: solvent wipe: keyboard.'],
  'cleaning.step-done': [{ says: 'Brush and vacuum: case' }, 'Cleaned: brush and vacuum: case.'],
  'cleaning.step-left': [{ says: 'Whitening: bezel', reason: 'It is patina' }, 'Left out: whitening: bezel; It is patina.'],
  'cleaning.step-given': [{ says: 'Soapy water: case', to: 'Rua' }, 'Rua takes: soapy water: case.'],
  'breakage.logged': [{ what: 'a clip of the lid', how: 'It came off with the tail' }, 'Broke: a clip of the lid. It came off with the tail.'],
  'contamination.found': [{ kind: 'liquid', where: 'main board', says: 'A tide line' }, 'Liquid found, main board: A tide line.'],
  'contamination.stepped': [{ kind: 'liquid', where: 'main board', step: 'gone' }, 'Liquid, main board: looked at again: gone.'],
  'drying.started': [{ what: 'Main board', massG: 332.14 }, 'Laid out to dry: Main board, 332.14 g.'],
  'drying.weighed': [{ what: 'Main board', massG: 321.3, says: 'Still drying.' }, 'Weighed Main board: 321.3 g. Still drying.'],
  'drying.ended': [{ what: 'Main board', reason: '' }, 'Dry by its mass: Main board.'],
  'whitening.followed': [
    { name: 'Bezel, left half', goalB: 1, l: 74.2, a: 2.4, b: 24.1 },
    'Whitening of Bezel, left half is followed: L* 74.2, a* 2.4, b* 24.1; done at a difference of 1 in b*.',
  ],
  'whitening.measured': [{ name: 'Bezel', l: 80, a: 0.5, b: 9.1, hours: 14, says: 'Go on.' }, 'Colour of Bezel after 14 h: L* 80.0, a* 0.5, b* 9.1. Go on.'],
  'whitening.exposed': [
    { name: 'Bezel', how: 'cream', hours: 4, strengthPct: 12, temperatureC: null, turned: true, note: '' },
    'Bezel treated for 4 h: cream under film, 12 %, turned.',
  ],
  'whitening.ended': [
    { name: 'Bezel', outcome: 'Matches the other half', relookOn: '2027-05-01' },
    'Whitening of Bezel ended: Matches the other half. To be looked at again on 2027-05-01.',
  ],
  'wait.started': [{ what: 'board drying', until: '2026-03-04T08:00:00.000Z' }, 'Wait started: board drying.'],
  'wait.ended': [{ what: 'board drying', early: true }, 'Wait ended early: board drying.'],
  'fault.reported': [{ symptom: 'No picture', firstSeen: '2026', stopsMachine: true }, 'Fault reported: No picture, first seen 2026; it stops the machine.'],
  'fault.changed': [{ from: 'a', to: 'Rolling picture', stopsMachine: false }, 'Fault now reads: Rolling picture; it does not stop the machine.'],
  'fault.observed': [{ symptom: 'No picture', says: 'Set a channel off?' }, 'Observed on “No picture”: Set a channel off?'],
  'fault.repaired': [{ symptom: 'No picture', did: 'Retuned', closes: false }, 'Repair on “No picture”: Retuned. It did not close it.'],
  'fault.tried': [
    { symptom: 'No picture', did: 'Controller of a sister', minutes: 15, parts: ['Drive A', 'Controller'], outcome: 'fails', trusted: false },
    'Tried on “No picture”: Controller of a sister. With Drive A, Controller it fails. Its own equipment was in doubt. 15 minutes.',
  ],
  'fault.parts': [{ symptom: 'No picture', parts: 6 }, 'Parts that take part in swaps on “No picture”: 6.'],
  'soak.begun': [
    { what: 'Memory test', failures: 1, passes: 60, wanted: 179, confidencePct: 95 },
    'Soak begun: Memory test. It failed 1 of 60 times before; 179 clean passes are wanted for 95 %.',
  ],
  'soak.tallied': [
    { what: 'Memory test', passes: 20, failures: 0, all: 120, allFailures: 0, verdict: 'go-on' },
    'Soak, Memory test: 20 passes, 0 failed; 0 of 120 by now, not decided.',
  ],
  'soak.ended': [
    { what: 'Memory test', passes: 180, failures: 0, verdict: 'cured', note: '' },
    'Soak ended, Memory test: 0 of 180 failed, believable as cured.',
  ],
  'code.noted': [{ model: 'Sextant 16', code: '2 short', says: 'Memory of bank 0' }, 'Code 2 short of Sextant 16: Memory of bank 0.'],
  'theory.held': [
    { symptom: 'No picture', says: 'IC7 is dead', why: 'It is hot', wouldRefute: 'A good one in its socket' },
    'Theory on “No picture”: IC7 is dead. It is hot. It would be refuted by: A good one in its socket.',
  ],
  'theory.judged': [
    { symptom: 'No picture', says: 'IC7 is dead', state: 'struck', why: 'A good one changed nothing' },
    'Theory on “No picture”, “IC7 is dead”, is refuted: A good one changed nothing.',
  ],
  'fault.left': [
    { symptom: 'No picture', leftAs: 'came-back', says: 'Six evenings without it' },
    '“No picture” came back by itself: it stays open as intermittent. Six evenings without it.',
  ],
  'board.added': [
    { model: 'Petrel 8S', name: 'Main board', issue: 'B', pins: 412, nets: 96, file: 'petrel.csv' },
    'Board of Petrel 8S: Main board, issue B, 96 nets and 412 pins from petrel.csv.',
  ],
  'board.pairs': [{ name: 'Main board', pairs: 12 }, 'Main board: 12 pin pairs added from the schematic.'],
  'board.part-typed': [{ name: 'Main board', part: 'U7', pins: 14 }, 'Main board: U7 typed by hand, 14 pins.'],
  'board.noted': [{ name: 'Main board', functions: 9, areas: 3 }, 'Main board: what 9 of its nets do, and 3 places that wires keep clear of.'],
  'board.pin-struck': [
    { name: 'Main board', pin: 'U7.12', reason: 'Not connected on this issue' },
    'Main board: U7.12 is not as the file has it. Not connected on this issue.',
  ],
  'board.changed': [{ name: 'Main board', issue: 'B', active: false }, 'Board Main board, issue B is used no more.'],
  'board.registered': [
    { board: 'Main board', photograph: 'Board as found', places: 5, residualMm: 0.314, mirrored: true },
    'Main board found on the photograph “Board as found”, seen from its back, by 5 pins; 0.31 mm are left.',
  ],
  'probe.begun': [
    { title: 'Below the battery', board: 'Main board', checks: 84, otherIssue: 'A' },
    'Probe sheet begun: Below the battery; Main board, 84 checks, by a file of issue A, which is not this board’s.',
  ],
  'probe.answered': [{ a: 'U7.12', b: 'R31.1', net: 'D3', contact: 'open', ohm: null, expected: false }, 'Probed U7.12 to R31.1, D3: open; not as expected.'],
  'probe.again': [{ a: 'U7.12', b: 'R31.1', why: 'after cleaning' }, 'To be asked again, U7.12 to R31.1: after cleaning.'],
  'probe.ended': [
    { title: 'Below the battery', broken: 2, shorts: 0, left: 0, note: '' },
    'Probe sheet ended: Below the battery; 2 broken, 0 joined that should not be, 0 not asked.',
  ],
  'patch.fitted': [
    { net: 'D3', a: 'U7.12', b: 'R31.1', lengthMm: 42, awg: 30, contact: 'joined', ohm: 0.3 },
    'Wire fitted on D3, U7.12 to R31.1, 42 mm of gauge 30; after it joined, 0.3 Ω.',
  ],
  'damage.patina': [{ assembly: 'Case', kind: 'stain', where: 'lid', reason: 'The keeper’s cup' }, 'Stain on case, lid: stays as patina. The keeper’s cup.'],
  'copper.bare': [{ where: 'below IC3' }, 'Bare copper after cleaning: below IC3.'],
  'copper.sealed': [{ where: 'below IC3', withWhat: 'lacquer' }, 'Bare copper sealed, below IC3: plain lacquer, pads kept free.'],
  'counted.out': [{ what: 'Keycaps', out: 73 }, 'Counted out: 73 × Keycaps.'],
  'counted.back': [{ what: 'Keycaps', out: 73, back: 72, note: 'one under the bench' }, 'Counted back: 72 of 73 × Keycaps. one under the bench.'],
  'whitening.sunned': [
    { name: 'Bezel', days: 2, hours: 9.5, from: '2026-05-01', to: '2026-05-02' },
    'Bezel in the sun, from a table: 9.5 h on 2 days, 2026-05-01 to 2026-05-02.',
  ],
  'passport.pictures': [{ before: 'As found', after: 'Cleaned' }, 'On the passport, before and after: As found; Cleaned.'],
  'thing.added': [{ name: 'Long tank', kind: 'tank' }, 'Tank to share: Long tank.'],
  'thing.changed': [{ name: 'Long tank', kind: 'tank', active: false }, 'Tank Long tank is gone.'],
  'shelf.added': [{ name: 'White vinegar', amount: 1000, unit: 'ml' }, 'On the shelf: 1000 ml of White vinegar.'],
  'shelf.changed': [{ name: 'White vinegar', amount: 400, unit: 'ml', active: true }, 'The shelf now has 400 ml of White vinegar.'],
  'shelf.used': [{ name: 'White vinegar', amount: 25, unit: 'ml', what: 'Main board' }, 'Used 25 ml of White vinegar: Main board.'],
  'booking.made': [{ thing: 'Oven', what: 'Main board', from: '2026-03-03T19:00:00.000Z', until: '2026-03-04T07:00:00.000Z' }, 'Booked Oven for Main board.'],
  'booking.ended': [
    { thing: 'Oven', what: 'Main board', from: '2026-03-03T19:00:00.000Z', until: '2026-03-04T07:00:00.000Z', began: true },
    'Out of Oven: Main board.',
  ],
  'part.wanted': [{ name: 'Fuse', quantity: 2, stopsStart: true }, 'Wanted: 2 × Fuse; it cannot be started without.'],
  'part.settled': [{ name: 'Fuse', outcome: 'fitted' }, 'Fuse: found and fitted.'],
  'rails.expected': [
    {
      rails: [
        { name: '+5 V', nominalV: 5 },
        { name: '-5 V', nominalV: -5 },
      ],
    },
    'Rails expected: +5 V, −5 V.',
  ],
  'off-state.measured': [{ rail: '+5 V', ohm: 0.4, verdict: 'short' }, 'Measured +5 V to ground with the power off: 0.4 Ω; short.'],
  'reading.taken': [{ rail: '-5 V', valueV: -5.09, load: 'loaded', verdict: 'good' }, 'Read −5 V: −5.09 V under load; within limits.'],
  'machine.signed-off': [{ statement: 'All keys' }, 'Signed off: All keys.'],
  'sign-off.ended': [{ why: 'A rail is out of limits.' }, 'The sign-off no longer stands: A rail is out of limits.'],
  'life.chosen': [{ life: 'hands-on' }, 'Its life from now on: hands-on.'],
  'question.asked': [{ question: 'Whose initials?' }, 'Open question: Whose initials?'],
  'question.settled': [{ question: 'Whose initials?', answer: 'The tester’s' }, 'Question settled: Whose initials? The tester’s.'],
  'passport.switched': [{ on: true }, 'Public passport switched on.'],
  'result.pinned': [{ tool: 'identify/date-code', title: 'Date code', says: 'Most likely week 35 of 1982.' }, 'Date code: Most likely week 35 of 1982.'],
  'entry.struck': [{ entryId: 7, reason: 'wrong rail' }, 'Entry 7 struck: wrong rail.'],
  'practice.set': [
    { name: 'Skerrow Head', school: 'caps-first', numbering: 'SH-{n}', zone: 'UTC' },
    'Practice of Skerrow Head: caps first, numbering SH-{n}, zone UTC.',
  ],
  'job.started': [{ says: 'Look at: Drive B', hands: ['Maeve', 'Rua'], guessMinutes: 40 }, 'Maeve and Rua took in hand: Look at: Drive B.'],
  'job.done': [{ says: 'Look at: Drive B', hands: ['Maeve'], minutes: 35, did: 'two springs gone' }, 'Done in 35 min: Look at: Drive B. two springs gone.'],
  'job.handed-on': [{ says: 'Look at: Drive B', note: 'lid is off' }, 'Handed on: Look at: Drive B. “lid is off”'],
  'evening.here': [{ name: 'Maeve', day: '2026-03-03', until: '2026-03-03T21:30:00.000Z' }, 'Maeve is here on 2026-03-03.'],
  'evening.left': [{ name: 'Maeve', day: '2026-03-03' }, 'Maeve went home on 2026-03-03.'],
  'evening.dealt': [{ day: '2026-03-03', people: 3, jobs: 7 }, 'The evening of 2026-03-03 was dealt out: 7 jobs, 3 people.'],
  'evening.told': [{ day: '2026-03-03', to: '' }, 'The story of 2026-03-03 was written.'],
  'session.ended': [{ name: 'Maeve' }, 'A session of Maeve was ended.'],
  'list.kept': [{ name: 'Wet ones' }, 'The list “Wet ones” was kept.'],
  'list.dropped': [{ name: 'Wet ones' }, 'The list “Wet ones” was dropped.'],
  'person.added': [{ name: 'Rua', role: 'volunteer' }, 'Rua added as volunteer.'],
  'person.password-set': [{ name: 'Rua' }, 'Rua was given a new password.'],
  'person.password-changed': [{ name: 'Petra Lindqvist' }, 'Petra Lindqvist changed their own password.'],
  'person.renamed': [{ before: 'Petra Lindqvist', name: 'Petra L.' }, 'Petra Lindqvist is now called Petra L.'],
  'person.skilled': [{ name: 'Rua', skills: ['mains', 'lifting'] }, 'Rua may: mains, lifting.'],
  'meter.set': [{ host: '192.0.2.20', port: 5025 }, 'The meter answers at 192.0.2.20, port 5025.'],
  'supply.added': [{ name: 'S-03', says: '9 V DC' }, 'Supply S-03: 9 V DC.'],
  'supply.changed': [{ name: 'S-03', says: '9 V DC', active: false }, 'Supply S-03 is gone.'],
  'person.changed': [{ name: 'Rua', role: 'volunteer', active: false }, 'Rua is no longer active.'],
}

describe('every kind of entry', () => {
  it.each(Object.entries(examples))('%s reads as one sentence', (kind, [data, sentence]) => {
    expect(sentenceOf(kind, JSON.parse(JSON.stringify(data)))).toBe(sentence)
  })

  it('that names a donor, an owner, a claimant, a person or trust stays off the passport', () => {
    expect(
      Object.keys(entries)
        .filter(kind => !isOpen(kind))
        .sort(),
    ).toEqual([
      'board.added',
      'board.changed',
      'board.noted',
      'board.pairs',
      'board.part-typed',
      'board.pin-struck',
      'claim.judged',
      'claim.recorded',
      'cleaning.step-given',
      'code.noted',
      'consent.recorded',
      'entry.struck',
      'evening.dealt',
      'evening.here',
      'evening.left',
      'evening.told',
      'fault.parts',
      'gate.overrule-ended',
      'gate.overruled',
      'identity.corrected',
      'job.done',
      'job.handed-on',
      'job.started',
      'last-powered.recorded',
      'list.dropped',
      'list.kept',
      'machine.appraised',
      'meter.set',
      'model.added',
      'model.changed',
      'money.spent',
      'owner.written-to',
      'passport.pictures',
      'passport.switched',
      'path.chosen',
      'person.added',
      'person.changed',
      'person.password-changed',
      'person.password-set',
      'person.renamed',
      'person.skilled',
      'practice.set',
      'probe.again',
      'probe.answered',
      'provenance.recorded',
      'session.ended',
      'shelf.added',
      'shelf.changed',
      'start.begun',
      'supply.added',
      'supply.changed',
      'theory.held',
      'theory.judged',
      'thing.added',
      'thing.changed',
    ])
    // Who cleaned is kept, and not told.
    expect(sentenceOf('cleaning.done', examples['cleaning.done'][0])).not.toContain('Hanneke')
  })

  it('can be struck only where it is an observation', () => {
    expect(isStrikeable('reading.taken')).toBe(true)
    expect(isStrikeable('machine.signed-off')).toBe(false)
  })

  it('of an unknown or older shape still reads as something, and is shown to nobody outside', () => {
    expect(sentenceOf('reading.taken', { volts: 5 })).toBe('reading.taken.')
    expect([isOpen('of.tomorrow'), isStrikeable('of.tomorrow')]).toEqual([false, false])
  })
})
