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
  expect(heard(tag)).toContain('custody.away.Video card')
  expect(dueBack(on.db, '2099-12-07')).toEqual([])
  expect(dueBack(on.db, '2099-12-08').map(one => [one.machine, one.assembly, one.holder])).toEqual([['Attic', 'Video card', 'Teodor']])
  const [one] = away(tag)
  perform(tag, 'put-off-return', { custodyId: one!.id, version: one!.version, backBy: '2099-12-20' } as never)
  expect(dueBack(on.db, '2099-12-08')).toEqual([])
  expect(() => perform(tag, 'bring-back', { custodyId: one!.id, version: one!.version, note: 'old' } as never)).toThrow()
  const again = away(tag)[0]!
  perform(tag, 'bring-back', { custodyId: again.id, version: again.version, note: 'D3 was open, wire fitted' } as never)
  expect([away(tag), heard(tag).includes('custody.away.Video card')]).toEqual([[], false])
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
