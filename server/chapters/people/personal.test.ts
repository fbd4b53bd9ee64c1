import { expect, it } from 'vitest'
import { serverBench } from '../../../tests/support/server-bench'
import { verifyChains } from '../../kernel/history/chains'
import { noteHistory } from '../../kernel/history/noting'
import { carryOut } from '../../kernel/carry-out'
import { findBySignIn, keptOf } from './index'

const on = serverBench()
const note = () => carryOut(on.bench, on.ilka, noteHistory)
function maeve() {
  on.collection('add-person', { name: 'Maeve Corrigan', signInName: 'maeve', role: 'volunteer', passwordHash: 'x' })
  return findBySignIn(on.db, 'maeve')!
}
const everything = () => {
  const { $client } = on.db
  const tables = $client.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'machine_search%'").pluck().all() as string[]
  return JSON.stringify(tables.map(name => $client.prepare(`SELECT * FROM "${name}"`).all()))
}

it('whoever asks is shown what is kept of them; taken out, they stand nowhere by name, and the history is whole', () => {
  const who = maeve()
  const tag = on.bookIn()
  on.perform(tag, 'ask-question', { question: 'Which fuse is it?' }, who)
  on.perform(tag, 'add-claim', { says: 'Worked when stored', byWhom: 'Maeve Corrigan' }, who)
  on.perform(tag, 'report-fault', { symptom: 'Smoke, says Maeve Corrigan', firstSeen: '2026-03-01', stopsMachine: true }, who)
  note()
  const kept = keptOf(on.db, who.id)
  expect(kept.written.map(w => w.says)).toContainEqual(expect.stringContaining('Which fuse is it?'))
  expect(kept.namedIn.length).toBeGreaterThan(0)
  expect(JSON.stringify(kept)).not.toContain('passwordHash')

  const ask = (more: object = {}) => on.collection('forget-person', { personId: who.id, version: who.version, name: 'Maeve Corrigan', ...more })
  expect(() => ask({ name: 'Maeve' })).toThrow('type Maeve Corrigan')
  expect(() => ask({ version: 0 })).toThrow('changed this')
  expect(() => on.collection('forget-person', { personId: on.ilka.id, version: on.ilka.version + 1, name: on.ilka.name })).toThrow()
  // A part that is called like them stays a part.
  on.perform(tag, 'note-accessory', { name: 'Maeve Corrigan' })
  const { places } = ask() as { places: number }
  // What somebody wrote in their own words stays, and is told of.
  expect(places).toBeGreaterThan(0)
  expect(on.sheet(tag).accessories.map(a => a.name)).toEqual(['Maeve Corrigan'])
  on.db.$client.exec('DELETE FROM accessories')
  const left = everything()
    .replaceAll('Smoke, says Maeve Corrigan', '')
    .replace(/\{\\"name\\":\\"Maeve Corrigan\\"\}/, '')
  expect(left).not.toContain('Maeve Corrigan')
  expect(left).not.toContain('"maeve"')
  expect(verifyChains(on.db)).toMatchObject({ broken: null, withoutNames: expect.any(Number) as number })
  expect(on.sheet(tag).history.map(line => line.by)).toContain(`Somebody who left (${who.id})`)
})

it('two of one name are not taken apart; what names were taken out of cannot be rewritten', () => {
  const who = maeve()
  const tag = on.bookIn()
  on.perform(tag, 'ask-question', { question: 'Which fuse is it?' }, who)
  const twin = (name: string) => on.collection('add-person', { name, signInName: 'maeve2', role: 'reader', passwordHash: 'x' })
  expect(() => twin('Maeve Corrigan')).toThrow('somebody else is called')
  // As it could be in former days.
  twin('Maeve C.')
  on.db.$client.exec("UPDATE people SET name = 'Maeve Corrigan' WHERE sign_in_name = 'maeve2'")
  const ask = () => on.collection('forget-person', { personId: who.id, version: who.version, name: 'Maeve Corrigan' })
  expect(ask).toThrow('Somebody else is called')
  const second = findBySignIn(on.db, 'maeve2')!
  on.collection('change-person', { personId: second.id, version: second.version, name: 'Maeve C.', role: 'reader', active: true })
  ask()
  const { $client } = on.db
  const row = $client.prepare("SELECT id, data FROM journal WHERE digest IS NOT NULL AND kind = 'question.asked'").get() as { id: number; data: string }
  expect(() => $client.prepare("UPDATE journal SET hash = 'x' WHERE id = ?").run(row.id)).toThrow('append-only')
  $client.prepare('UPDATE journal SET data = ? WHERE id = ?').run(row.data.replace('fuse', 'chip'), row.id)
  expect(verifyChains(on.db).broken?.why).toContain('names were taken out of')
})

it('an entry cut off together with its head is missed, once the history was noted', () => {
  on.bookIn()
  expect(note()).toBe(false)
  note()
  // Nothing new, nothing noted.
  expect(on.db.$client.prepare("SELECT count(*) FROM journal WHERE kind = 'history.noted'").pluck().get()).toBe(1)
  const tag = on.bookIn()
  note()
  expect(verifyChains(on.db).broken).toBeNull()
  const { uid } = on.sheet(tag)
  on.db.$client.exec(`DROP TRIGGER journal_is_not_shortened; DELETE FROM journal WHERE chain = '${uid}'; DELETE FROM journal_heads WHERE chain = '${uid}'`)
  expect(verifyChains(on.db).broken?.why).toMatch(/were noted .* are there/)
})
