import { expect, it } from 'vitest'
import { assessGate } from '../safety/gate'
import { growingHarm } from '../safety/growing-harm'
import type { MachineState } from './machine-state'
import { nextMoves } from './next-moves'
import { runOf } from './run'

const gate = assessGate({ school: 'caps-first', facts: {} })
const fresh: MachineState = {
  stage: 'arrive', identified: true, provenanceKnown: false, lastPoweredKnown: false, accessoriesNoted: true,
  assemblies: [{ name: 'Supply', presence: 'present', grade: 1 }, { name: 'Keyboard', presence: 'missing', grade: null }, { name: 'Case', presence: 'present', grade: null }],
  checks: [], fixingsMissing: [], interventionsOpen: 0, consentWanted: false, pathChosen: true,
  facts: {}, gate, hazardsSuspected: [], gateInForce: gate.verdict, cleanings: 0, waits: [], faults: [], wantedParts: [],
  rails: [], railsVerdict: 'unread', signedOff: false, whole: true, batteriesToReplace: [], modelBatteryLeaks: false, life: null, daysHere: 3, sistersWithLeakedBattery: 0,
}

it('fills each stage by what is done', () => {
  const run = runOf(fresh)
  expect(run.map(s => s.stage)).toEqual(['arrive', 'look', 'make-safe', 'clean', 'mend', 'prove', 'home'])
  expect(run[0]).toMatchObject({ done: 2, of: 4, share: 0.5 })
  expect(run[1]).toMatchObject({ done: 2, of: 3 })
  expect(run[4]).toMatchObject({ of: 0, share: 0 })
  expect(runOf({ ...fresh, stage: 'prove' })[4]?.share).toBe(1)
})

it('puts the battery of an unopened sister before everything else', () => {
  const moves = nextMoves({ ...fresh, sistersWithLeakedBattery: 1, waits: [{ what: 'drying', over: true }] })
  expect(moves.slice(0, 2).map(m => m.code)).toEqual(['battery-sister', 'wait-over'])
  expect(moves.every(m => m.why && m.who)).toBe(true)
})

it('moves on only when nothing is left and nothing is waited for', () => {
  const facts = { filterCapacitors: 'replaced', battery: 'out', liquidOrDirt: 'no', burntTrace: 'no', shortedRail: 'no', mainsLead: 'sound', supply: 'known', fan: 'present', pictureTube: 'none', wiring: 'known', smoke: 'no', rails: 'good' }
  const open = assessGate({ school: 'caps-first', facts, inspectedBy: 'Ilka' })
  const done: MachineState = { ...fresh, stage: 'clean', facts, gate: open, gateInForce: open.verdict, assemblies: [], railsVerdict: 'good' }
  expect(nextMoves(done).map(m => m.code)).toEqual(['move-on'])
  expect(nextMoves({ ...done, waits: [{ what: 'drying', over: false }] })).toEqual([])
  expect(nextMoves({ ...done, stage: 'prove' }).map(m => m.code)).toEqual(['sign-off'])
})

it('ranks harm that grows: leaking now, then an unopened sister, then damp, and by days waited', () => {
  const rank = (facts: MachineState['facts'], sisters = 0, daysHere = 0) => growingHarm({ facts, sistersWithLeakedBattery: sisters, modelBatteryLeaks: false, mouldPresent: false, daysHere }).rank
  expect(rank({ battery: 'leaking' })).toBeGreaterThan(rank({}, 2))
  expect(rank({}, 2)).toBeGreaterThan(rank({ liquidOrDirt: 'yes' }))
  expect(rank({ battery: 'in' }, 0, 90)).toBeGreaterThan(rank({ battery: 'in' }, 0, 2))
  expect(rank({ battery: 'out' }, 2, 900)).toBe(0)
})
