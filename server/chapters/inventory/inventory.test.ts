import { expect, it } from 'vitest'
import { type CommandRequest, commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { inventoriesBeside } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const model = (name: string, more: Partial<CommandRequest<'add-model'>> = {}) =>
  on.collection(
    'add-model',
    commands['add-model'].parse({ maker: 'Tarnwick Instruments', name, variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [], ...more }),
  ) as { modelId: number }
const list = (tag: string, typed: string, assembly = 'Main board') => perform(tag, 'list-inventory', { assembly, typed })
const held = (tag: string) => sheet(tag).inventory
const line = (tag: string, place: string) => held(tag).lines.find(one => one.place === place)!
const says = (tag: string) =>
  sheet(tag)
    .history.map(h => h.says)
    .join('\n')
const change = (tag: string, place: string, more: Partial<CommandRequest<'change-inventory'>>) => {
  const { id, version, says: _, looked: __, ...row } = line(tag, place)
  perform(tag, 'change-inventory', { lineId: id, version, ...row, ...more } as never)
}

it('is kept as it was typed or not at all, counted, and held against what was claimed and published', () => {
  const tag = bookIn(model('Gannet 48', { memorySizes: ['16 KB', '48 KB'] }))
  perform(tag, 'add-claim', { says: 'has 48K', byWhom: 'the giver' } as never)
  expect(() => list(tag, 'U1 4116\nthe big one')).toThrow('Line 2: It begins with no place.')
  expect(() => list(tag, '# nothing')).toThrow('a line for what is alike')
  expect(held(tag).lines).toEqual([])
  list(tag, 'U1 4116 16x soldered 8217\nU30 2716 "basic" 2x')
  expect(() => list(tag, 'U1 4164')).toThrow('U1: listed on Main board already.')
  expect(held(tag)).toMatchObject({ ramBytes: 32 * 1024, romBytes: 4096 })
  const findings = () => held(tag).findings.map(f => f.code)
  expect(findings()).toEqual(expect.arrayContaining(['inventory.claim.49152', 'inventory.published']))
  expect(says(tag)).toContain('2 parts of Main board written down.')
  // What is refuted already is not judged once more.
  const { id, version } = sheet(tag).claims[0]!
  perform(tag, 'judge-claim', { claimId: id, version, verdict: 'refuted', because: '32 KB are in it', kind: null } as never)
  expect(findings()).not.toContain('inventory.claim.49152')
  // A date that stands on a part tells when the machine was made.
  expect(sheet(tag).dating?.used.map(u => u.place)).toEqual(['Main board U1'])
})

it('a sister’s list is one to look through: nothing of it counts, is missing or dates anything before somebody looked', () => {
  const { modelId } = model('Petrel 90', { sockets: ['U12 needed: character ROM', 'U13 optional'] })
  const [sister, tag] = [bookIn({ modelId }), bookIn({ modelId })]
  list(sister, 'U1-U8 4116 socketed 8214\nU12 empty\nU13 empty\nU14 empty')
  expect(sheet(sister).arising.map(a => [a.name, a.place, a.stops])).toEqual([['character ROM', 'Main board U12', 'function']])
  expect(
    held(sister)
      .lines.filter(l => l.mounting === 'empty')
      .map(l => l.need),
  ).toEqual(['needed', 'optional', 'not-known'])
  expect(held(tag).sisters).toEqual([{ tag: sister, nickname: '', variant: '', lines: 11 }])
  expect(() => inventoriesBeside(on.db, sister, tag)).toThrow('no inventory that somebody looked through')
  perform(tag, 'take-over-inventory', { fromTag: sister })
  expect(held(tag)).toMatchObject({ ramBytes: 0, groups: [] })
  expect(sheet(tag).arising).toEqual([])
  expect(sheet(tag).dating).toBeNull()
  expect(line(tag, 'U1')).toMatchObject({ marking: '4116', dateCode: '', mounting: 'not-known', looked: false })
  expect(() => perform(tag, 'take-over-inventory', { fromTag: sister })).toThrow('has no list of a board')
  expect(() => perform(bookIn({ name: 'Gannet' }), 'take-over-inventory', { fromTag: sister })).toThrow('no other machine of the same model')
  change(tag, 'U3', { marking: '4164' })
  perform(tag, 'tick-inventory', {
    lineIds: held(tag)
      .lines.filter(l => !l.looked && l.place !== 'U14')
      .map(l => l.id),
  })
  expect(
    held(tag)
      .lines.filter(l => !l.looked)
      .map(l => l.place),
  ).toEqual(['U14'])
  expect(sheet(tag).arising.map(a => a.name)).toEqual(['character ROM'])
  expect(held(tag).findings.map(f => f.code)).toEqual(expect.arrayContaining(['inventory.bank.4116', 'inventory.not-seen', 'inventory.needed']))
  expect(says(tag)).toContain('9 parts of Main board looked at: as listed.')
  expect(() => perform(tag, 'tick-inventory', { lineIds: [99999] })).toThrow('not there any more')
  // Those that differ come first; what nobody looked at is laid beside nothing.
  expect(
    inventoriesBeside(on.db, tag, sister)
      .places.filter(one => one.differs !== null && one.differs !== 'detail')
      .map(one => [one.place, one.differs]),
  ).toEqual([
    ['U3', 'part'],
    ['U14', 'only-there'],
  ])
})

it('a line is changed by whoever looked, emptied, taken off, and two who change it at once are told', () => {
  const tag = bookIn()
  list(tag, 'U1 4116 8x\nIC5 2716 "monitor"\nU9 empty needed')
  expect(() => change(tag, 'U1', { place: 'IC5' })).toThrow('IC5: listed on Main board already.')
  expect(() => change(tag, 'U1', { marking: '' })).toThrow('What is printed on it')
  change(tag, 'IC5', { mounting: 'empty', need: 'needed', note: 'video' })
  expect(line(tag, 'IC5')).toMatchObject({ mounting: 'empty', marking: '', label: '', need: 'needed' })
  expect(sheet(tag).moves.map(m => m.says)).toContain('Find what belongs in Main board IC5, Main board U9')
  const { id, version } = line(tag, 'U9')
  perform(tag, 'drop-inventory', { lineId: id, version, reason: 'No such socket' })
  expect(() => perform(tag, 'drop-inventory', { lineId: id, version, reason: 'Twice' })).toThrow()
  expect(() => perform(tag, 'drop-inventory', { lineId: line(tag, 'IC5').id, version: 1, reason: 'Old' })).toThrow()
  expect(held(tag).lines.map(l => l.place)).toEqual(['U1', 'IC5'])
})
