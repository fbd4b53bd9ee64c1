import { Readable } from 'node:stream'
import sharp from 'sharp'
import { expect, it } from 'vitest'
import { commands } from '#shared/chapters/index'
import { rememberFile } from '../../server/chapters/look/index'
import { listModels } from '../../server/chapters/models/index'
import { openSession, sessionStands } from '../../server/chapters/people/index'
import { keepImage } from '../../server/files/image-file'
import { printerView } from '../../server/chapters/printing/queue'
import { serverBench } from '../support/server-bench'

// What other tests of the server have no need of; each is carried out here and read back, so that none goes untried.
const on = serverBench()
const { bookIn, perform, sheet } = on

const petrel = {
  maker: 'Tarnwick Instruments',
  name: 'Petrel 8S',
  about: '',
  variants: [],
  usualKit: [],
  assemblies: ['Main board'],
  knownFaults: [],
  rails: [{ name: '+5 V', nominalV: 5 }],
  weightKg: '3 kg',
  madeFrom: '1983',
  madeTo: '1985',
} as never
const addModel = () => (on.collection('add-model', commands['add-model'].parse(petrel)) as { modelId: number }).modelId

it('what it is and where it stands', async () => {
  const tag = bookIn({ modelId: addModel() })
  perform(tag, 'read-date-code', { part: 'IC4', code: '8235' })
  perform(tag, 'move-to-place', { place: 'Shelf 7' })
  perform(tag, 'ask-question', { question: 'Which fuse is it?' })
  perform(tag, 'settle-question', { questionId: sheet(tag).questions[0]!.id, answer: 'One ampere, slow' })
  const picture = sharp({ create: { width: 40, height: 30, channels: 3, background: '#386' } })
  const file = await keepImage(on.folder, Readable.from([await picture.jpeg().toBuffer()]))
  rememberFile(on.db, file, on.now)
  const { photographId } = perform(tag, 'add-photograph', { hash: file.hash, name: 'board.jpg' }) as { photographId: number }
  perform(tag, 'describe-photograph', { photographId, version: 1, assemblyId: null, caption: 'The board from below' })
  const { dateCodes, questions, photographs, identity } = sheet(tag)
  expect(dateCodes.map(d => d.code)).toEqual(['8235'])
  expect(identity.place).toBe('Shelf 7')
  expect(questions[0]).toMatchObject({ answer: 'One ampere, slow', settled: true })
  expect(photographs[0]!.caption).toBe('The board from below')
})

it('its schools, an overrule and its end, and what an instrument said', () => {
  const tag = bookIn()
  perform(tag, 'choose-school', { school: 'baseline-first' })
  perform(tag, 'choose-cleaning-schools', { boards: 'ultrasonic', plastic: 'leave' })
  expect(sheet(tag).cleaning.schools).toMatchObject({ boards: 'ultrasonic', plastic: 'leave' })
  perform(tag, 'overrule-gate', { verdict: 'guarded-start', reason: 'Seen by somebody trained in it, and isolated' })
  expect(sheet(tag).gate.inForce).toBe('guarded-start')
  perform(tag, 'withdraw-overrule', {})
  expect(sheet(tag).gate.inForce).toBe('not-yet-assessed')
  perform(tag, 'pin-result', { tool: 'power/discharge', input: { capacitors: [{ capacitanceF: 0.01, voltageV: 63 }] } })
  expect(sheet(tag).history[0]!.says).toContain('nothing empties it by itself')
  expect(() => perform(tag, 'pin-result', { tool: 'power/no-such', input: {} })).toThrow('There is no instrument')
})

it('a step of cleaning is somebody’s, or is left out; a part goes with its steps', () => {
  const tag = bookIn()
  const part = { partId: null, version: 0, name: 'Main board', materials: ['masked-board'], soils: ['dust', 'grease'], works: 'dead', socketed: false }
  const { partId } = perform(tag, 'say-cleaning-part', part as never) as { partId: number }
  perform(tag, 'make-cleaning-plan', {})
  const [first, second] = sheet(tag).cleaning.steps
  perform(tag, 'give-cleaning-step', { stepId: first!.id, version: first!.version, personId: on.ilka.id })
  perform(tag, 'leave-cleaning-step', { stepId: second!.id, version: second!.version, reason: 'It is patina, and stays' })
  expect(sheet(tag).cleaning.steps.map(s => [s.id, s.state])).toContainEqual([second!.id, 'left'])
  perform(tag, 'drop-cleaning-part', { partId })
  // What was done, or left out with a reason, stays on record.
  expect(sheet(tag).cleaning.steps.map(s => s.state)).toEqual(['left'])
})

it('a model, its board and its test sheet change; a label is taken from the queue', async () => {
  const modelId = addModel()
  on.collection('change-model', commands['change-model'].parse({ ...(petrel as object), modelId, version: 1, about: 'The later board' }))
  expect(listModels(on.db).find(m => m.id === modelId)).toMatchObject({ about: 'The later board' })
  const rows = [
    ['+5V', 'IC1', '14', null, null, '', 0],
    ['D0', 'IC1', '2', null, null, '', 0],
  ]
  const { boardId } = on.collection('add-board', commands['add-board'].parse({ modelId, name: 'Main', rows })) as { boardId: number }
  on.collection('change-board', { boardId, version: 1, name: 'Main board', issue: 'C', active: true })
  on.collection('set-test-lines', commands['set-test-lines'].parse({ modelId, version: 0, lines: [{ says: 'All keys', kind: 'works' }] }))
  const tag = bookIn({ modelId })
  expect(sheet(tag).testLines).toMatchObject({ ofModel: true, lines: [{ says: 'All keys' }] })
  on.collection('set-printer', { version: 0, uri: 'ipp://127.0.0.1:9/ipp/print' })
  on.collection('print-labels', { kind: 'arrival', tags: [tag], origin: 'http://bench.example' })
  const [job] = (await printerView(on.bench)).jobs
  on.collection('drop-label', { jobId: job!.id })
  expect((await printerView(on.bench)).jobs).toEqual([])
})

it('who changes their own password is signed in nowhere any more', () => {
  const session = openSession(on.db, on.ilka.id, 'Mozilla/5.0', on.now)
  expect(sessionStands(on.db, session, on.ilka.id, on.now)).toBe(true)
  on.collection('set-own-password', { passwordHash: '$scrypt$another-hash' })
  expect(sessionStands(on.db, session, on.ilka.id, on.now)).toBe(false)
})
