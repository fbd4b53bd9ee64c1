import { beforeEach, describe, expect, it } from 'vitest'
import { commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { findBySignIn, type PersonRow } from '../people/index'
import { timedJobs } from './deal'
import { eveningStoryOf, eveningView } from './index'

const on = serverBench()
const evening = () => eveningView(on.db, on.now.toISOString())
const later = (minutes: number) => (on.now = new Date(on.now.getTime() + minutes * 60_000))
const until = '2026-03-03T22:30:00.000Z'
let maeve: PersonRow

function joins(name: string, signInName: string, role = 'volunteer') {
  on.collection('add-person', { name, signInName, role, passwordHash: 'x' })
  return findBySignIn(on.db, signInName)!
}
const deal = () => on.collection('deal-evening', commands['deal-evening'].parse({})) as { jobs: number; left: number }

beforeEach(() => {
  maeve = joins('Maeve Corrigan', 'maeve')
})

describe('who is here', () => {
  it('says so for themselves; a coordinator for anybody; nobody for a time that has passed', () => {
    on.collection('be-here', { personId: maeve.id, until }, maeve)
    on.collection('be-here', { personId: on.ilka.id, until })
    expect(evening().people.map(p => [p.name, p.gone])).toEqual([
      ['Maeve Corrigan', false],
      ['Ilka Brandvold', false],
    ])
    expect(() => on.collection('be-here', { personId: on.ilka.id, until }, maeve)).toThrow('Say it for yourself')
    expect(() => on.collection('be-here', { personId: maeve.id, until: '2026-03-03T18:00:00.000Z' })).toThrow('passed already')
    later(300)
    expect(evening().people.every(p => p.gone)).toBe(true)
  })
})

describe('an evening', () => {
  it('is dealt to whoever is here, and to nobody else', () => {
    expect(() => deal()).toThrow('Nobody is here yet')
    on.bookIn({ nickname: 'Skua' })
    on.collection('be-here', { personId: maeve.id, until }, maeve)
    const { jobs } = deal()
    expect(jobs).toBeGreaterThan(1)
    expect(evening().jobs.every(j => j.hands[0]!.name === 'Maeve Corrigan' && j.state === 'dealt')).toBe(true)
    // Dealt anew, it is the same evening and not twice as much of it.
    expect(deal().jobs).toBe(jobs)
    expect(evening().jobs).toHaveLength(jobs)
  })

  it('goes hand to hand: begun, handed on with a note, taken up by somebody else, done and timed', () => {
    const tag = on.bookIn({ nickname: 'Skua' })
    const rua = joins('Rua Tamihana', 'rua')
    for (const person of [maeve, rua]) on.collection('be-here', { personId: person.id, until }, person)
    deal()
    const [first] = evening().jobs
    const { code, says } = first!
    const [mine, other] = first!.hands[0]!.id === maeve.id ? [maeve, rua] : [rua, maeve]
    on.perform(tag, 'start-job', { code, says }, mine)
    expect(on.list()[0]!.inHand[0]).toMatchObject({ says, by: mine.name })
    expect(() => on.perform(tag, 'start-job', { code, says }, other)).toThrow(`${mine.name} has this machine in hand`)
    expect(() => on.collection('go-home', { personId: mine.id }, mine)).toThrow('still has something in hand')
    later(25)
    on.perform(tag, 'hand-on-job', { jobId: first!.id, note: 'lid is off, screws in the blue tray' }, mine)
    on.collection('go-home', { personId: mine.id }, mine)
    expect(on.sheet(tag).handedOn[0]).toMatchObject({ note: 'lid is off, screws in the blue tray', by: mine.name })
    deal()
    const again = evening().jobs.find(j => j.id === first!.id)!
    expect(again).toMatchObject({ state: 'dealt', note: 'lid is off, screws in the blue tray', hands: [{ name: other.name }] })
    expect(again.because).toContain('It was handed on.')
    // Whoever does something else on the machine is told of it too; the job itself says it once.
    expect(again.notesBeside).toEqual([])
    const beside = evening().jobs.filter(j => j.tag === tag && j.id !== again.id)
    expect(beside.map(j => j.notesBeside)).toContainEqual([{ says, note: 'lid is off, screws in the blue tray', by: mine.name }])
    // What was dealt and not begun when the evening is dealt anew keeps its note.
    deal()
    expect(evening().jobs.find(j => j.id === first!.id)!.note).toContain('blue tray')
    on.perform(tag, 'start-job', { code, says }, other)
    later(20)
    on.perform(tag, 'finish-job', { jobId: first!.id, did: 'two springs gone' }, other)
    expect(evening().jobs.find(j => j.id === first!.id)).toMatchObject({ state: 'done', takenMinutes: 45 })
    expect(on.list()[0]!.inHand).toEqual([])
    expect(() => on.perform(tag, 'finish-job', { jobId: first!.id }, other)).toThrow('done')
    // Pressed too early: it goes on with the minutes it had, and the story knows it as done once.
    on.perform(tag, 'reopen-job', { jobId: first!.id }, other)
    expect(() => on.perform(tag, 'reopen-job', { jobId: first!.id }, other)).toThrow('not marked as done')
    expect(evening().jobs.find(j => j.id === first!.id)).toMatchObject({ state: 'in-hand', takenMinutes: 45 })
    expect(eveningStoryOf(on.db, '2026-03-03').lines.join(' ')).not.toContain('two springs gone')
    later(5)
    on.perform(tag, 'finish-job', { jobId: first!.id, did: 'two springs gone' }, other)
    expect(evening().jobs.find(j => j.id === first!.id)).toMatchObject({ state: 'done', takenMinutes: 50 })
    const story = eveningStoryOf(on.db, '2026-03-03')
    expect(story.lines[0]).toBe('Maeve Corrigan and Rua Tamihana were here.')
    expect(story.lines.join(' ')).toContain('blue tray')
  })

  it('begins only what is still asked for, a pair’s job only with two, and a job of one’s own always', () => {
    const tag = on.bookIn()
    expect(() => on.perform(tag, 'start-job', { code: 'sign-off', says: 'Sign it off' }, maeve)).toThrow('no longer a next move')
    on.perform(tag, 'start-job', { code: 'own', says: 'Sort its screws', withId: on.ilka.id }, maeve)
    expect(evening().jobs[0]).toMatchObject({ says: 'Sort its screws', hands: [{ name: 'Maeve Corrigan' }, { name: 'Ilka Brandvold' }] })
    expect(() => on.perform(on.bookIn(), 'start-job', { code: 'own', says: 'x', withId: 99 }, maeve)).toThrow('no such person')
  })

  it('learns nothing from a job that was left open over a night: nobody knows how long it took', () => {
    const tag = on.bookIn()
    const timed = timedJobs(on.db).length
    const { jobId } = on.perform(tag, 'start-job', { code: 'own', says: 'Sort its screws' }, maeve) as { jobId: number }
    later(24 * 60)
    on.perform(tag, 'finish-job', { jobId }, maeve)
    expect(on.sheet(tag).history.find(h => h.kind === 'job.done')!.says).toBe('Done: Sort its screws.')
    expect(timedJobs(on.db)).toHaveLength(timed)
  })

  it('is told in a letter that lies in the outbox', () => {
    const { uid } = on.collection(
      'tell-evening',
      commands['tell-evening'].parse({ day: '2026-03-03', lines: ['All went well.'], to: 'friends@museum.example' }),
    ) as { uid: string }
    expect(eveningStoryOf(on.db, '2026-03-03').letters[0]).toMatchObject({ uid, to: 'friends@museum.example', sent: false })
    expect(commands['tell-evening'].safeParse({ day: '2026-03-03', lines: ['x'], to: 'nobody' }).success).toBe(false)
  })
})
