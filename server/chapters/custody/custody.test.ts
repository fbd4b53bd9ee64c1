import { expect, it } from 'vitest'
import type { CommandRequest } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { dueBack } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
/** A machine with a board, and the board's number. */
function withBoard(more = {}) {
  const tag = bookIn(more)
  perform(tag, 'add-assembly', { name: 'Video card' } as never)
  return { tag, board: () => sheet(tag).assemblies.find(one => one.name === 'Video card')! }
}
const take = (tag: string, assemblyId: number, more: Partial<CommandRequest<'take-home'>> = {}) =>
  perform(tag, 'take-home', { assemblyId, holder: 'Teodor', what: 'probing the bus', backBy: '2099-12-08', ...more } as never)
const away = (tag: string) => sheet(tag).custody.away
const heard = (tag: string) => sheet(tag).power.heard.map(h => h.finding.code)

it('what somebody takes along is in one place, guards its machine, stands on the day, and comes back with what was done to it', () => {
  const { tag, board } = withBoard({ nickname: 'Attic' })
  expect(() => take(tag, board().id, { backBy: '2001-01-01' })).toThrow('that day is over')
  take(tag, board().id)
  expect(() => take(tag, board().id)).toThrow('away already: Teodor has it')
  expect(heard(tag)).toContain('custody.away.video-card')
  expect(dueBack(on.db, '2099-12-07')).toEqual([])
  expect(dueBack(on.db, '2099-12-08').map(one => [one.machine, one.assembly, one.holder])).toEqual([['Attic', 'Video card', 'Teodor']])
  const [one] = away(tag)
  perform(tag, 'put-off-return', { custodyId: one!.id, version: one!.version, backBy: '2099-12-20' } as never)
  expect(dueBack(on.db, '2099-12-08')).toEqual([])
  expect(() => perform(tag, 'bring-back', { custodyId: one!.id, version: one!.version, note: 'old' } as never)).toThrow()
  const again = away(tag)[0]!
  perform(tag, 'bring-back', { custodyId: again.id, version: again.version, note: 'D3 was open, wire fitted' } as never)
  expect([away(tag), heard(tag).includes('custody.away.video-card')]).toEqual([[], false])
  expect(
    sheet(tag)
      .history.map(h => h.says)
      .join(),
  ).toContain('Teodor brings Video card back: D3 was open, wire fitted.')
  take(tag, board().id)
  expect(away(tag)).toHaveLength(1)
})

it('what is not there is not taken, and of what is not ours its owner is asked first', () => {
  const { tag, board } = withBoard()
  perform(tag, 'grade-assembly', { assemblyId: board().id, version: board().version, presence: 'missing', grade: null, note: '' } as never)
  expect(() => take(tag, board().id)).toThrow('it is not there')
  const lent = withBoard({ acquired: 'lent', owner: 'the trust' })
  expect(() => take(lent.tag, lent.board().id)).toThrow('Ask the trust first')
})

const move = (tag: string, assembly: string, toTag: string) => {
  const { id, version } = sheet(tag).assemblies.find(one => one.name === assembly)!
  perform(tag, 'move-assembly', { assemblyId: id, version, toTag, why: 'Its own is eaten through' } as never)
}
const of = (tag: string, assembly: string) => sheet(tag).assemblies.find(one => one.name === assembly)

it('a board goes into another machine with all that was found on it, and both are to be proved anew', () => {
  const [{ tag: from, board }, to] = [withBoard(), bookIn()]
  perform(from, 'grade-assembly', { assemblyId: board().id, version: board().version, presence: 'present', grade: 2, note: 'green at U7' } as never)
  perform(from, 'record-damage', { assemblyId: board().id, kind: 'crust', where: 'U7', extent: '', severity: 'slight' } as never)
  perform(from, 'list-inventory', { assembly: 'Video card', typed: 'U7 4164 8x soldered 8217\nU9 empty needed' })
  perform(from, 'list-capacitors', { assembly: 'Video card', typed: 'C1 10u 16V' })
  perform(from, 'note-settings', { assembly: 'Video card', typed: 'JP1: 1-2' } as never)
  perform(from, 'record-battery', {
    where: 'beside the clock',
    chemistry: 'nickel-cadmium',
    cells: 3,
    year: 1989,
    state: 'sound',
    fitted: true,
    charging: 'yes',
  } as never)
  const measure = (tag: string) =>
    perform(tag, 'measure-off-state', { rail: '+5 V', ohm: '220', reversedOhm: '260', leadsOhm: '0.2', loadAttached: false, rising: false } as never)
  for (const tag of [from, to]) {
    perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }], found: 'Read off its drawing' } as never)
    measure(tag)
    perform(tag, 'take-reading', { rail: '+5 V', valueV: 5.01, load: 'loaded', sure: true } as never)
  }
  const rails = (tag: string) => [sheet(tag).power.facts.shortedRail, sheet(tag).power.facts.rails]
  expect([rails(from), rails(to)]).toEqual([
    ['no', 'good'],
    ['no', 'good'],
  ])
  expect(sheet(from).dating?.used.length).toBe(1)
  expect(() => move(from, 'Video card', from)).toThrow('no other one with the tag')
  move(from, 'Video card', to)
  expect(of(from, 'Video card')).toMatchObject({ presence: 'missing', grade: null, note: `It is in ${to}.` })
  expect(of(to, 'Video card')).toMatchObject({ presence: 'present', grade: 2, note: 'green at U7' })
  expect([sheet(from).damages.length, sheet(to).damages.map(d => d.where)]).toEqual([0, ['U7']])
  expect([sheet(from).inventory.lines.length, sheet(to).inventory.lines.map(l => l.place)]).toEqual([0, ['U7', 'U9']])
  expect([sheet(from).recap.capacitors.length, sheet(to).recap.capacitors.length, sheet(to).setup.settings.length]).toEqual([0, 1, 1])
  // A date on a board that came from elsewhere says nothing of when this machine was made.
  expect(sheet(to).dating).toBeNull()
  // What may have come along is asked about, whatever was said of this machine before.
  expect(heard(to)).toContain('custody.came.video-card.unsettled')
  expect(heard(from).filter(code => code.startsWith('custody.came'))).toEqual([])
  expect(sheet(to).custody.exchanges[0]!.known).toContain('battery beside the clock, nickel cadmium')
  perform(to, 'look-over-arrival', { exchangeId: sheet(to).custody.exchanges[0]!.id, found: 'No battery on it, and clean' })
  expect(heard(to)).not.toContain('custody.came.video-card.unsettled')
  expect(() => perform(to, 'look-over-arrival', { exchangeId: sheet(to).custody.exchanges[0]!.id, found: 'Twice' })).toThrow('looked over already')
  expect([sheet(from).custody.exchanges, sheet(to).custody.exchanges]).toMatchObject([[{ came: false, other: to }], [{ came: true, other: from }]])
  // That no rail was short, and what it read, was so of the machine as it was.
  expect([rails(from), rails(to)]).toEqual([
    [undefined, 'unread'],
    [undefined, 'unread'],
  ])
  on.now = new Date(on.now.getTime() + 60_000)
  measure(to)
  expect(rails(to)).toEqual(['no', 'unread'])
  // Twice it goes nowhere, and where one is already no second fits.
  expect(() => move(from, 'Video card', to)).toThrow('it is not there')
  const third = withBoard()
  expect(() => move(third.tag, 'Video card', to)).toThrow('has its own video card in it')
  // Where it came from it can go back to.
  move(to, 'Video card', from)
  expect([of(from, 'Video card')!.presence, sheet(from).inventory.lines.length, sheet(to).inventory.lines.length]).toEqual(['present', 2, 0])
})

it('one that is at somebody’s home comes back first, and lines of another board that left are taken off first', () => {
  const [{ tag: from, board }, to] = [withBoard(), bookIn()]
  take(from, board().id)
  expect(() => move(from, 'Video card', to)).toThrow('It comes back first')
  const one = away(from)[0]!
  // What somebody answered by hand is asked again as well, once it was elsewhere.
  perform(from, 'assess-power', { version: sheet(from).power.version, facts: { shortedRail: 'no', battery: 'none-fitted' }, inspectedById: null } as never)
  expect(sheet(from).power.facts).toMatchObject({ shortedRail: 'no', battery: 'none-fitted' })
  perform(from, 'bring-back', { custodyId: one.id, version: one.version, note: 'whole' } as never)
  expect(sheet(from).power.facts.shortedRail).toBeUndefined()
  expect(sheet(from).power.facts.battery).toBe('none-fitted')
  perform(to, 'list-inventory', { assembly: 'video card', typed: 'U1 4116' })
  expect(() => move(from, 'Video card', to)).toThrow('its inventory still holds a video card')
})

it('however boards are moved, each is in one machine at a time, with what was found on it', () => {
  const tags = [0, 1, 2].map(() => bookIn())
  for (const [at, name] of ['Card A', 'Card B'].entries()) {
    perform(tags[at]!, 'add-assembly', { name } as never)
    perform(tags[at]!, 'list-inventory', { assembly: name, typed: `U${at + 1} 4116` })
  }
  let seed = 7
  const next = (n: number) => (seed = (seed * 1103515245 + 12345) % 2 ** 31) % n
  for (let turn = 0; turn < 40; turn++) {
    const [from, to, name] = [tags[next(3)]!, tags[next(3)]!, ['Card A', 'Card B'][next(2)]!]
    const there = of(from, name)
    if (there && there.presence !== 'missing' && from !== to) move(from, name, to)
    else if (there) expect(() => move(from, name, to)).toThrow(/no other one|not there/)
    for (const card of ['Card A', 'Card B']) {
      const holders = tags.filter(tag => of(tag, card) && of(tag, card)!.presence !== 'missing')
      expect(holders).toHaveLength(1)
      expect(tags.filter(tag => sheet(tag).inventory.lines.some(line => line.assembly === card))).toEqual(holders)
    }
  }
})
