import { expect, it } from 'vitest'
import { type CommandRequest, commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'

const on = serverBench()
const { bookIn, perform, sheet } = on
const note = (tag: string, typed: string, more: Partial<CommandRequest<'note-settings'>> = {}) =>
  perform(tag, 'note-settings', { assembly: 'Main board', typed, ...more } as never)
const held = (tag: string) => sheet(tag).setup
const one = (tag: string, name: string) => held(tag).settings.find(s => s.name === name)!
type Acts = 'change-setting' | 'put-back-setting' | 'describe-setting' | 'drop-setting'
const act = <N extends Acts>(tag: string, name: string, command: N, input: Partial<CommandRequest<N>> = {}) =>
  perform(tag, command, { settingId: one(tag, name).id, version: one(tag, name).version, ...input } as never)
const says = (tag: string) =>
  sheet(tag)
    .history.map(h => h.says)
    .join('\n')

it('how a thing stood is written down before it is changed; the way back is told until it is put back', () => {
  const tag = bookIn()
  expect(() => note(tag, 'JP1')).toThrow('how it stands is missing')
  note(tag, 'JP1: 1-2\nVR1: two o’clock')
  expect(() => note(tag, 'jp1: 2-3')).toThrow('jp1: noted on Main board already')
  act(tag, 'VR1', 'describe-setting', { kind: 'trimmer', before: 'two o’clock', beforeReading: '5.02 V' })
  act(tag, 'VR1', 'change-setting', { to: 'three o’clock', turns: '0.25' as never, reading: '4.99 V', why: 'It ran high' })
  act(tag, 'VR1', 'change-setting', { to: 'half past three', turns: '0.1' as never, why: 'Still high' })
  expect(one(tag, 'VR1')).toMatchObject({ before: 'two o’clock', now: 'half past three', turns: 0.35 })
  expect(one(tag, 'VR1').back).toBe('back to two o’clock, 0.35 turns anticlockwise, until it reads 5.02 V')
  // What it was is not rewritten once it was changed, and its way back is not lost.
  expect(() => act(tag, 'VR1', 'describe-setting', { kind: 'trimmer', before: 'noon', beforeReading: '' })).toThrow('stays as it was noted before')
  expect(() => act(tag, 'VR1', 'drop-setting', { reason: 'x' })).toThrow('put it back first')
  expect(() => act(tag, 'JP1', 'change-setting', { to: '2-3', turns: '1' as never, why: 'x' })).toThrow('is not turned')
  expect(() => act(tag, 'JP1', 'put-back-setting')).toThrow('as it was found')
  act(tag, 'VR1', 'put-back-setting', { reading: '5.02 V' })
  expect(one(tag, 'VR1')).toMatchObject({ now: null, turns: null, back: '' })
  act(tag, 'JP1', 'drop-setting', { reason: 'No such jumper' })
  expect(held(tag).settings.map(s => s.name)).toEqual(['VR1'])
  for (const line of [
    '2 settings of Main board noted as found: JP1, VR1.',
    'VR1 changed from two o’clock to three o’clock, 0.25 turns clockwise; it reads 4.99 V. It ran high.',
    'VR1 put back: two o’clock; it reads 5.02 V.',
  ])
    expect(says(tag)).toContain(line)
})

it('of a machine that is not ours its owner is asked first; two who change one at once are told', () => {
  const lent = bookIn({ acquired: 'lent', owner: 'the trust' })
  note(lent, 'JP1: 1-2')
  expect(() => act(lent, 'JP1', 'change-setting', { to: '2-3', why: 'x' })).toThrow('Ask the trust first')
  const tag = bookIn()
  note(tag, 'JP1: 1-2')
  const { id, version } = one(tag, 'JP1')
  act(tag, 'JP1', 'change-setting', { to: '2-3', why: 'More memory' })
  expect(() => perform(tag, 'change-setting', { settingId: id, version, to: 'open', turns: null, reading: '', why: 'x' } as never)).toThrow()
  expect(one(tag, 'JP1').now).toBe('2-3')
})

it('a sister that stands otherwise is laid beside it', () => {
  const { modelId } = on.collection(
    'add-model',
    commands['add-model'].parse({ maker: 'Tarnwick Instruments', name: 'Petrel 7', variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [] }),
  ) as { modelId: number }
  const [tag, sister] = [bookIn({ modelId }), bookIn({ modelId, nickname: 'Attic' })]
  note(tag, 'JP1: 1-2\nJP2: open')
  expect(held(tag).sisters).toEqual([])
  note(sister, 'JP1: 2-3\nJP2: Open')
  expect(held(tag).sisters).toMatchObject([{ nickname: 'Attic', places: [{ name: 'JP1', here: '1-2', there: '2-3' }] }])
})
