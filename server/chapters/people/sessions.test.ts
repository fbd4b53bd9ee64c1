import { expect, it } from 'vitest'
import { serverBench } from '../../../tests/support/server-bench'
import { findBySignIn, openSession, sessionStands, sessionsOf } from './index'

const on = serverBench()
const stands = (uid: string, id: number) => sessionStands(on.db, uid, id, on.now)

it('a session stands until it is ended, by whoever it is or by a coordinator, or the password is set anew', () => {
  on.collection('add-person', { name: 'Maeve Corrigan', signInName: 'maeve', role: 'volunteer', passwordHash: 'x' })
  const maeve = findBySignIn(on.db, 'maeve')!
  const [phone, desk] = [openSession(on.db, maeve.id, 'Mozilla/5.0 (Android) Mobile', on.now), openSession(on.db, maeve.id, 'Mozilla/5.0 (Linux)', on.now)]
  const ilkas = openSession(on.db, on.ilka.id, 'x'.repeat(5000), on.now)
  expect(stands(phone, maeve.id)).toBe(true)
  // Under somebody else's name it is nobody's.
  expect(stands(phone, on.ilka.id)).toBe(false)
  expect(sessionsOf(on.db, maeve, phone).map(s => [s.uid, s.here])).toEqual([
    [phone, true],
    [desk, false],
  ])
  expect(sessionsOf(on.db, on.ilka, ilkas)).toHaveLength(3)
  expect(() => on.collection('end-session', { session: ilkas }, maeve)).toThrow('Only a coordinator')
  on.collection('end-session', { session: desk }, maeve)
  on.collection('end-session', { session: phone })
  expect([stands(phone, maeve.id), stands(desk, maeve.id)]).toEqual([false, false])
  expect(() => on.collection('end-session', { session: phone })).toThrow('ended already')
  const again = openSession(on.db, maeve.id, '', on.now)
  on.collection('set-password', { personId: maeve.id, passwordHash: 'y' })
  expect(stands(again, maeve.id)).toBe(false)
  const last = openSession(on.db, maeve.id, '', on.now)
  const { version } = findBySignIn(on.db, 'maeve')!
  on.collection('change-person', { personId: maeve.id, version, name: 'Maeve Corrigan', role: 'volunteer', active: false })
  on.collection('change-person', { personId: maeve.id, version: version + 1, name: 'Maeve Corrigan', role: 'volunteer', active: true })
  expect(stands(last, maeve.id)).toBe(false)
  const long = openSession(on.db, maeve.id, '', on.now)
  on.now = new Date(on.now.getTime() + 15 * 24 * 60 * 60 * 1000)
  expect(stands(long, maeve.id)).toBe(false)
})

it('whoever writes is known by their name: nobody takes that of another', () => {
  on.collection('add-person', { name: 'Teodor Vask', signInName: 'teodor', role: 'volunteer', passwordHash: 'x' })
  const rename = (name: string) => {
    const teodor = findBySignIn(on.db, 'teodor')!
    on.collection('change-own-name', { version: teodor.version, name }, teodor)
    return findBySignIn(on.db, 'teodor')!.name
  }
  expect(() => rename(on.ilka.name)).toThrow('tells you apart')
  expect(rename('Teodor Vask')).toBe('Teodor Vask')
  expect(rename('Teodor V.')).toBe('Teodor V.')
})
