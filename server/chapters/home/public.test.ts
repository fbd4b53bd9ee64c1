import { unzipSync } from 'fflate'
import { expect, it } from 'vitest'
import { entryExamples } from '../../../tests/support/entry-examples'
import { serverBench } from '../../../tests/support/server-bench'
import { append } from '../../kernel/history/journal'
import { machineByTag } from '../../kernel/sheet'
import { archiveOf } from '../sharing/index'
import { findBySignIn } from '../people/index'
import { passportOf } from './index'

const on = serverBench()
const { perform, sheet } = on

const passport = (tag: string) => passportOf(on.bench, sheet(tag).passport.path!.split('/').at(-1)!)
async function openRecord(tag: string): Promise<string> {
  const pieces: Uint8Array[] = []
  for await (const piece of archiveOf(on.bench, on.folder, tag, false)) pieces.push(piece)
  return Object.values(unzipSync(new Uint8Array(Buffer.concat(pieces))))
    .map(bytes => Buffer.from(bytes).toString('utf8'))
    .join('\n')
}
/** Every text of it with a marker at its end; words of the program stay. */
const marked = (value: unknown, marker: string, key = ''): unknown => {
  if (typeof value === 'string')
    return /\s|^$/.test(value) || /^(what|says|name|note|why|where|symptom|did|question|caption)$/.test(key) ? `${value} ${marker}` : value
  if (Array.isArray(value)) return value.map(one => marked(one, marker, key))
  return typeof value === 'object' && value !== null ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, marked(v, marker, k)])) : value
}

it('no name that is marked private where it is kept stands in anything that anybody may read, whatever kind of entry it was typed into', async () => {
  const secrets = { owner: 'the Marrowstone Light trust', fromWhom: 'Quenby Ashdown', place: 'Eastern boat loft 7', lastPoweredBy: 'Thurza Venn' }
  const tag = on.bookIn({ ...secrets, acquired: 'lent', lastPowered: '1999', lastPoweredWhat: 'it hummed' } as never)
  on.collection('add-person', { name: 'Zillah Quarrendon', signInName: 'zillah', role: 'volunteer', passwordHash: 'x' })
  const zillah = findBySignIn(on.db, 'zillah')!
  perform(tag, 'ask-question', { question: 'Which fuse?' }, zillah)
  on.collection('change-person', { personId: zillah.id, version: zillah.version, name: 'Zillah Trescothick', role: 'volunteer', active: true })
  perform(tag, 'record-consent', { version: 0, allowed: ['open', 'show'], upTo: 40, agreedWith: 'Corisande Pell', agreedOn: '', mustAsk: '' } as never)
  perform(tag, 'add-claim', { says: 'Only a fuse', byWhom: 'Ferelith Monk' })
  perform(tag, 'move-to-place', { place: 'Western boat loft 8' })
  perform(tag, 'switch-passport', { on: true, diary: true })
  const names = [
    ...Object.values(secrets),
    'Marrowstone Light trust',
    'Western boat loft 8',
    'Corisande Pell',
    'Ferelith Monk',
    'Zillah Quarrendon',
    'Zillah Trescothick',
    'Quarrendon',
    'Ilka Brandvold',
  ]
  const { uid, id } = machineByTag(on.db, tag)
  on.db.transaction(tx => {
    for (const [kind, [data]] of Object.entries(entryExamples))
      for (const name of names)
        append(tx, {
          kind: kind as never,
          data: marked(data, name) as never,
          chain: uid,
          machineId: id,
          at: on.now.toISOString(),
          personId: on.ilka.id,
          by: on.ilka.name,
        })
  })
  for (const name of names) {
    perform(tag, 'report-fault', { symptom: `No picture, says ${name}`, firstSeen: '', stopsMachine: false } as never)
    perform(tag, 'ask-question', { question: `Did ${name} keep the lead?` })
    perform(tag, 'want-part', { name: `Lead of ${name}`, quantity: 1, stops: 'no-start' } as never)
    perform(tag, 'add-assembly', { name: `Drive of ${name}` } as never)
    perform(tag, 'read-date-code', { part: `IC of ${name}`, code: '8235' } as never)
  }
  const page = passport(tag)
  // The sentences are there, and the names are not.
  expect(page.history.length).toBeGreaterThan(500)
  const told = { page: JSON.stringify(page), record: await openRecord(tag) }
  for (const [where, text] of Object.entries(told)) for (const name of names) expect(text.includes(name), `${name} in the ${where}`).toBe(false)
  expect(told.page).not.toMatch(/40\.00|Only a fuse/)
})

it('shows what was put right, and not the slip', () => {
  const tag = on.bookIn({ name: 'Petral 8' } as never)
  perform(tag, 'switch-passport', { on: true })
  perform(tag, 'report-fault', { symptom: 'Rolling pictuer', firstSeen: '', stopsMachine: false } as never)
  const { id: faultId, version } = sheet(tag).faults[0]!
  perform(tag, 'observe-fault', { faultId, says: 'Worse when warm' } as never)
  perform(tag, 'change-fault', { faultId, version, symptom: 'Rolling picture', stopsMachine: false } as never)
  perform(tag, 'log-breakage', { what: 'A clip', how: 'It was brittle', becomes: 'nothing' } as never)
  const says = () =>
    passport(tag)
      .history.map(h => h.says)
      .join('\n')
  expect(says()).not.toContain('pictuer')
  expect(says()).toContain('Observed on “Rolling picture”')
  expect(says()).not.toContain('A clip')
  perform(tag, 'switch-passport', { on: true, diary: true })
  expect(says()).toContain('Broke: A clip')
})
