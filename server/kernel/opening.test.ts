import fc from 'fast-check'
import { expect, it } from 'vitest'
import { closingsOf, opened } from '#core/safety/closings'
import { type CommandRequest, type MachineCommandName } from '#shared/chapters/index'
import { serverBench } from '../../tests/support/server-bench'
import { InputError } from '#core/kernel/input-error'
import { findBySignIn } from '../chapters/people/index'
import { NotAllowed, Refusal } from './refusals'
import { goodFacts } from '../../tests/support/good-facts'

const on = serverBench()
const { sheet } = on

/** Somebody without any skill. */
function newcomer() {
  on.collection('add-person', { name: 'Rua Marno', signInName: 'rua', role: 'volunteer', passwordHash: 'x' })
  return findBySignIn(on.db, 'rua')!
}

/** A machine with dangers of every origin, made by people of the house. */
function dangerous(): string {
  const tag = on.bookIn({ claims: ['The case tingles', 'The battery leaked'], lastPowered: '1999', lastPoweredWhat: 'It smoked' } as never)
  const ask = <N extends MachineCommandName>(name: N, input: object) => on.perform(tag, name, input as CommandRequest<N>)
  const { assemblies, power } = sheet(tag)
  const board = assemblies[0]!.id
  ask('expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }], found: '' })
  ask('assess-power', { version: power.version, facts: goodFacts, inspectedById: on.ilka.id })
  ask('record-damage', { assemblyId: board, kind: 'crack', where: 'mains cable', extent: '', severity: 'clear' })
  ask('record-damage', { assemblyId: board, kind: 'tide-line', where: 'lower edge', extent: '', severity: 'clear' })
  ask('report-fault', { symptom: 'White smoke from the supply', firstSeen: '', stopsMachine: true, symptoms: ['smoke'] })
  ask('log-intervention', { kind: 'unplugged', assemblyId: null, where: 'fan', note: 'Somebody unplugged it' })
  ask('take-reading', { rail: '+5 V', valueV: 12, load: 'loaded', sure: true })
  ask('measure-off-state', { rail: '+5 V', loadAttached: false, ohm: '0.2', reversedOhm: '0.2', rising: false })
  ask('start-wait', { what: 'Board drying in the oven', until: new Date(on.now.getTime() + 9e7).toISOString() })
  ask('start-drying', { what: 'Main board', massG: 300, errorG: 0.1, leftG: 0.2 })
  return tag
}

/** What somebody may do to get rid of a danger, by whatever act there is; each is as it would be sent. */
function acts(tag: string): [MachineCommandName, object][] {
  const s = sheet(tag)
  const strikes = s.history.filter(h => h.strikeable).map((h): [MachineCommandName, object] => ['strike-entry', { entryId: h.id, reason: 'It was a slip' }])
  const facts = s.power.entered
  const { tag: _, ...identity } = s.identity as never as Record<string, unknown>
  return [
    ...strikes,
    ...s.damages.flatMap(({ id, version, assemblyId, where }): [MachineCommandName, object][] =>
      (['wear', 'altered', 'stain'] as const).map(kind => [
        'change-damage',
        { damageId: id, version, assemblyId, kind, where, extent: '', severity: 'slight', found: 'It is only worn' },
      ]),
    ),
    ...s.damages.map(({ id, version, assemblyId, kind }): [MachineCommandName, object] => [
      'change-damage',
      { damageId: id, version, assemblyId, kind, where: 'the lid', extent: '', severity: 'slight', found: 'It is on the lid' },
    ]),
    ...s.claims.map(({ id, version }): [MachineCommandName, object] => ['judge-claim', { claimId: id, version, verdict: 'refuted', because: 'He was wrong' }]),
    ...s.sayings.map(({ id }): [MachineCommandName, object] => ['settle-saying', { sayingId: id, is: false, found: 'It was steam' }]),
    ...s.hazards.flatMap(({ kind, version }): [MachineCommandName, object][] =>
      (['ruled-out', 'dealt-with', 'suspected'] as const).map(state => ['settle-hazard', { kind, version, state, evidence: 'Looked at it' }]),
    ),
    ...s.faults.map(({ id, version }): [MachineCommandName, object] => [
      'change-fault',
      { faultId: id, version, symptom: 'Odd', stopsMachine: false, symptoms: [], found: 'It was nothing' },
    ]),
    ['correct-identity', { ...identity, lastPoweredWhat: '', found: 'Nothing happened' }],
    ['expect-rails', { rails: [{ name: 'Vcc', nominalV: 5, tolerancePct: 50 }], found: 'It is called Vcc' }],
    ['expect-rails', { rails: [{ name: '+5 V', nominalV: 12 }], found: 'It is 12 V' }],
    ...s.waits.map(({ id }): [MachineCommandName, object] => ['end-wait', { waitId: id, found: 'It feels dry' }]),
    ...s.waits.map(({ id }): [MachineCommandName, object] => ['set-wait-kind', { waitId: id, kind: 'post', found: 'It is only the post' }]),
    ...s.cleaning.dryings.map(({ id }): [MachineCommandName, object] => ['end-drying', { dryingId: id, reason: 'It is wanted tonight' }]),
    ...Object.entries(goodFacts).map(([name, value]): [MachineCommandName, object] => [
      'assess-power',
      { version: s.power.version, facts: { ...facts, [name]: value }, inspectedById: on.ilka.id },
    ]),
    ...(['mainsLead', 'supply'] as const).map((name): [MachineCommandName, object] => [
      'assess-power',
      { version: s.power.version, facts: { ...facts, [name]: name === 'supply' ? 'known' : 'not-used' }, inspectedById: null },
    ]),
    ...s.interventions.map(({ id, version }): [MachineCommandName, object] => [
      'settle-intervention',
      { interventionId: id, version, state: 'understood', note: 'Fine' },
    ]),
    ...s.assemblies.map(({ id, version }): [MachineCommandName, object] => [
      'grade-assembly',
      { assemblyId: id, version, presence: 'present', grade: 0, note: '' },
    ]),
  ]
}

it('no act of any kind takes back a danger without the leave that ruling it out takes', () => {
  const rua = newcomer()
  let refused = 0
  fc.assert(
    fc.property(fc.array(fc.nat(), { minLength: 12, maxLength: 12 }), picks => {
      const tag = dangerous()
      for (const pick of picks) {
        const all = acts(tag)
        const [name, input] = all[pick % all.length]!
        const before = closingsOf(sheet(tag).power.gate as never)
        try {
          on.perform(tag, name, input as never, rua)
        } catch (error) {
          if (error instanceof NotAllowed && /takes the skill/.test(error.message)) refused++
          // An act that no contract knows would prove nothing.
          else if (!(
            error instanceof Refusal ||
            (error as Error).name === 'ZodError' ||
            (error instanceof InputError && !/can be said here/.test(error.message))
          ))
            throw error
        }
        on.now = new Date(on.now.getTime() + 1000)
        const gone = opened(before, closingsOf(sheet(tag).power.gate as never)).filter(c => c.leave)
        expect(gone, `${name} ${JSON.stringify(input)}`).toEqual([])
      }
    }),
    { numRuns: 12 },
  )
  expect(refused).toBeGreaterThan(10)
})

it('whoever has the leave may, and says what was found', () => {
  const tag = dangerous()
  const damage = sheet(tag).damages.find(d => d.kind === 'crack')!
  const retype = (found: string) =>
    on.perform(tag, 'change-damage', {
      damageId: damage.id,
      version: damage.version,
      assemblyId: damage.assemblyId,
      kind: 'wear',
      where: 'lid',
      extent: '',
      severity: 'slight',
      found,
    } as never)
  expect(() => retype('')).toThrow('What was found')
  retype('The crack is in the lid, not in the cable')
  expect(sheet(tag).damages.find(d => d.id === damage.id)).toMatchObject({ kind: 'wear' })
})
