import { describe, expect, it } from 'vitest'
import { serverBench } from '../../../tests/support/server-bench'
import { captureText, faultsOfModel } from './index'

const on = serverBench()
const { perform, sheet } = on
const model = () => {
  const { modelId } = on.collection('add-model', {
    name: `Sextant ${Math.random()}`,
    maker: 'Oriel & Fyfe',
    variants: [],
    usualKit: [],
    assemblies: [],
    knownFaults: [],
    rails: [],
  } as never) as { modelId: number }
  return modelId
}
function faulty(modelId: number, symptoms = ['black']) {
  const tag = on.bookIn({ modelId })
  perform(tag, 'report-fault', { symptom: 'No picture', firstSeen: '', stopsMachine: true, symptoms, conditions: 'cold' } as never)
  return { tag, fault: () => sheet(tag).faults[0]!, faultId: sheet(tag).faults[0]!.id }
}
const trial = (parts: string[], outcome: 'works' | 'fails', more: object = {}) => ({ parts, outcome, runs: 1, trusted: true, ...more })

describe('a fault', () => {
  it('is solved by swaps that are kept as attempts, and its cause is offered on a sister with how often it was right', () => {
    const modelId = model()
    const { tag, fault, faultId } = faulty(modelId)
    const parts = ['Board', 'U1', 'U2'].map(name => ({ name, kind: 'logic' as const }))
    perform(tag, 'set-swap-parts', { faultId, version: fault().version, parts } as never)
    expect(() => perform(tag, 'try-on-fault', { faultId, area: 'swap', did: 'Swap', minutes: 10, trial: trial(['U9'], 'fails') } as never)).toThrow(
      'none of the parts',
    )
    perform(tag, 'try-on-fault', { faultId, area: 'swap', did: 'Swap', minutes: '12', trial: trial(['Board', 'U1'], 'fails') } as never)
    expect(fault()).toMatchObject({ minutes: 12, attempts: [{ trial: { parts: ['Board', 'U1'], outcome: 'fails' }, by: on.ilka.name }] })
    expect(() => perform(tag, 'set-swap-parts', { faultId, version: fault().version, parts: parts.slice(1) } as never)).toThrow('took part in a swap')
    perform(tag, 'repair-fault', {
      faultId,
      did: 'New U1',
      closes: true,
      cause: 'U1 dead',
      causeKind: 'logic',
      part: 'U1',
      partFrom: 'stock',
      reversible: true,
    } as never)
    expect(fault()).toMatchObject({ open: false, cause: 'U1 dead', repairs: [{ part: 'U1', partFrom: 'stock' }] })
    const sister = faulty(modelId, ['black', 'dim'])
    expect(sister.fault().likelyCauses).toEqual([{ cause: 'U1 dead', right: 1, of: 1, machines: [tag] }])
    expect(faulty(modelId, ['hum']).fault().likelyCauses).toEqual([])
    expect(faultsOfModel(on.db, modelId)).toMatchObject({ faults: { length: 3 }, causes: [{ cause: 'U1 dead', right: 1 }] })
    expect(sheet(tag).partPriors.logic).toBeGreaterThan(0.03)
  })

  it('has theories: refuted only by equipment that is known good, struck and not deleted', () => {
    const { tag, fault, faultId } = faulty(model())
    perform(tag, 'hold-theory', { faultId, says: 'IC7 is dead', why: 'It is hot', wouldRefute: 'A good one', damaged: false } as never)
    const judge = (more: object) =>
      perform(tag, 'judge-theory', { theoryId: fault().theories[0]!.id, state: 'struck', why: 'A good one changed nothing', trusted: false, ...more } as never)
    expect(() => judge({})).toThrow('Check the checker')
    judge({ trusted: true })
    expect(fault().theories).toMatchObject([{ state: 'struck', stateWhy: 'A good one changed nothing' }])
    expect(() => judge({ trusted: true })).toThrow('like that already')
    judge({ state: 'held', why: 'The good one was dead too' })
    expect(fault().theories[0]!.state).toBe('held')
  })

  it('goes back to basics when it has taken long, on its own sheet and among the next moves', () => {
    const { tag, fault, faultId } = faulty(model())
    perform(tag, 'try-on-fault', { faultId, area: 'video', did: 'Chased the picture', minutes: 200 } as never)
    expect(fault().findings).toMatchObject([{ code: 'fault.basics' }])
    expect(sheet(tag).moves.map(m => m.code)).toContain('fault-basics')
  })

  it('stays open as intermittent when it came back by itself, and as known only when it does not stop the machine', () => {
    const { tag, fault, faultId } = faulty(model())
    const leave = (leftAs: string) => perform(tag, 'leave-fault', { faultId, version: fault().version, leftAs, says: 'Six evenings without it' } as never)
    expect(() => leave('known')).toThrow('stops the machine')
    leave('came-back')
    expect(fault()).toMatchObject({ open: true, leftAs: 'came-back' })
    perform(tag, 'change-fault', { faultId, version: fault().version, symptom: 'Ghosting', stopsMachine: false, found: 'It runs with it' } as never)
    expect(fault()).toMatchObject({ conditions: 'cold', symptoms: ['black'] })
    leave('known')
    expect(
      sheet(tag)
        .moves.map(m => m.code)
        .filter(c => c.startsWith('fault')),
    ).toEqual([])
  })

  it('with a code of the model in its words tells what the code turned out to be', () => {
    const modelId = model()
    const note = (code: string, says: string) => on.collection('note-code', { modelId, code, says })
    note('E-04', 'Memory')
    note('e-04', 'Memory of bank 0')
    const { tag, fault, faultId } = faulty(modelId)
    perform(tag, 'change-fault', { faultId, version: fault().version, symptom: 'Stops with E-04', stopsMachine: true } as never)
    perform(tag, 'repair-fault', {
      faultId,
      did: 'Reseated',
      closes: true,
      cause: 'A socket',
      causeKind: '',
      part: '',
      partFrom: '',
      reversible: true,
    } as never)
    expect(sheet(faulty(modelId).tag).codes).toEqual([{ code: 'E-04', says: 'Memory of bank 0', turnedOut: [{ cause: 'A socket', tag }] }])
  })
})

it('instruments of the bench are kept as attempts, a capture with its text; what they know of a model stands at its sisters', () => {
  const modelId = model()
  const { tag, faultId } = faulty(modelId)
  const keyboard = { kind: 'keyboard' as const, keys: 'C1: 1 2\nC2: Q W', printed: true, diodes: false }
  expect(() => on.collection('keep-bench-map', { modelId, version: 0, map: { ...keyboard, keys: '1 2' } })).toThrow('a colon')
  on.collection('keep-bench-map', { modelId, version: 0, map: keyboard })
  on.collection('keep-bench-map', { modelId, version: 1, map: { ...keyboard, diodes: true } })
  expect(() => on.collection('keep-bench-map', { modelId, version: 1, map: keyboard })).toThrow('changed this')
  expect(sheet(tag).benchMaps).toEqual({ keyboard: { ...keyboard, diodes: true } })
  const text = 'time,D0\n0,0\n1e-6,1\n2e-6,0\n'
  perform(tag, 'keep-judgement', { faultId, tool: 'signals/capture', input: { text }, name: 'A start', minutes: 5 } as never)
  const [attempt] = sheet(tag).faults[0]!.attempts
  expect(attempt).toMatchObject({ area: 'processor', capture: 'A start', minutes: 5 })
  expect(captureText(on.db, tag, attempt!.id)).toBe(text)
  expect(() => captureText(on.db, on.bookIn({}), attempt!.id)).toThrow('no such capture')
  expect(() => perform(tag, 'keep-judgement', { faultId, tool: 'diagnosis/ladder', input: { machine: 'toaster' }, name: '', minutes: null } as never)).toThrow()
})
