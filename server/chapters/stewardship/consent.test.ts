import { expect, it } from 'vitest'
import { worksAsked } from '#core/stewardship/consent'
import { type CommandRequest, type MachineCommandName, asksOwner, commandNames } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { AskOwner } from './index'

const on = serverBench()
const { sheet } = on

const lent = () => on.bookIn({ acquired: 'lent', owner: 'the pier company', fromWhom: 'the pier company' } as never)
const ask = <N extends MachineCommandName>(tag: string, name: N, input: object) => on.perform(tag, name, input as CommandRequest<N>)
const agree = (tag: string, allowed: string[], version = 0) =>
  ask(tag, 'record-consent', { version, allowed, upTo: 0, mustAsk: '', agreedWith: 'the pier company', agreedOn: '' })

/** What asks its owner, as it would be sent. */
const asking: [MachineCommandName, object][] = [
  ['record-opening-step', { what: 'Lid off', fixings: [], connectors: [], hides: '', hazard: '', photographId: null }],
  ['record-cleaning', { what: 'Case', withWhat: 'soapy water', byWhom: '' }],
  ['follow-whitening', { name: 'Bezel', goalB: 1, reference: { l: 80, a: 0, b: 5 }, first: { l: 70, a: 2, b: 20 } }],
  ['choose-life', { life: 'gallery' }],
  ['switch-passport', { on: true }],
]

it.each(asking)('%s asks the owner where it happens, with what a letter would ask and who may decide otherwise', (name, input) => {
  const tag = lent()
  const refused = (() => {
    try {
      ask(tag, name, input)
    } catch (error) {
      return error as AskOwner
    }
  })()
  expect(refused).toBeInstanceOf(AskOwner)
  expect(refused!.message).toContain('Ask the pier company first')
  expect(refused!.details()).toMatchObject({
    question: expect.stringMatching(/^May we/) as string,
    because: [expect.any(String), expect.stringContaining('Ilka Brandvold')],
  })
  // A coordinator decides otherwise, with a reason; what was agreed anew ends that.
  ask(tag, 'pass-over-consent', { work: refused!.work, reason: 'He said so on the telephone' })
  expect(() => ask(tag, name, input)).not.toThrow(AskOwner)
  agree(tag, [])
  if (name !== 'choose-life') expect(() => ask(tag, name, input)).toThrow(AskOwner)
  agree(tag, Object.keys(worksAsked), 1)
  if (name !== 'choose-life') expect(() => ask(tag, name, input)).not.toThrow(AskOwner)
})

it('every kind of work that is asked about is asked somewhere, but for what no command does', () => {
  const asked = new Set(commandNames.flatMap(name => asksOwner(name, { life: 'gallery', on: true }) ?? []))
  expect(Object.keys(worksAsked).filter(work => !asked.has(work as never))).toEqual(['substitute', 'donor'])
})

it('arrive is not done while consent is open', () => {
  const tag = lent()
  const arrive = () => sheet(tag).run.find(r => r.stage === 'arrive')!
  const before = arrive()
  agree(tag, ['open'])
  expect(arrive().done).toBe(before.done + 1)
})

it('a closing letter names what is not finished, and calls nothing done beside it', () => {
  const tag = on.bookIn({})
  const letter = () => {
    ask(tag, 'write-closing-letter', { released: 'It goes back as it came.', to: '' })
    const { letter } = on.db.$client.prepare('SELECT letter FROM letters ORDER BY id DESC').get() as { letter: string }
    return letter
  }
  ask(tag, 'start-wait', { what: 'parcel from the shop', until: new Date(on.now.getTime() + 9e7).toISOString() })
  expect(letter()).toContain('is not finished')
  ask(tag, 'end-wait', { waitId: sheet(tag).waits[0]!.id })
  expect(letter()).toContain('has come to its end')
})
