import { createHash } from 'node:crypto'
import { unzipSync, strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { checkArchive } from './archive-check'
import { archiveOf, bulletinsOf } from './index'

const on = serverBench()
const { perform, sheet } = on

async function archive(tag: string, whole: boolean) {
  const pieces: Uint8Array[] = []
  for await (const piece of archiveOf(on.bench, on.folder, tag, whole)) pieces.push(piece)
  return unzipSync(new Uint8Array(Buffer.concat(pieces)))
}
const text = (bytes: Uint8Array | undefined) => Buffer.from(bytes!).toString('utf8')

describe('the record of a machine as a file', () => {
  it('is whole as it was made, and one changed byte anywhere in it is found', async () => {
    const tag = on.bookIn({ claims: ['It smoked when I tried it'] } as never)
    for (const whole of [true, false]) {
      const files = await archive(tag, whole)
      expect(Object.keys(files).sort()).toEqual(
        ['README.txt', 'journal.jsonl', 'machine.json', 'manifest.json', 'manifest.sha256', 'passport.schema.json', 'readings.csv'].sort(),
      )
      expect(checkArchive(files)).toMatchObject({ wrong: [], manifest: { tag, whole } })
      for (const name of Object.keys(files)) {
        const changed = new Uint8Array(files[name]!)
        changed[Math.floor(changed.length / 2)]! ^= 1
        expect(checkArchive({ ...files, [name]: changed }).wrong, name).not.toEqual([])
        const { [name]: _, ...without } = files
        expect(checkArchive(without).wrong, `without ${name}`).not.toEqual([])
      }
      expect(checkArchive({ ...files, 'more.txt': strToU8('x') }).wrong).toEqual(['more.txt does not belong to it.'])
    }
  })

  it('leaves people, owner, place and claims out unless they are asked for', async () => {
    const tag = on.bookIn({ claims: ['It smoked when I tried it'], fromWhom: 'Oona Tveit', owner: 'the trust of the pier', place: 'Buoy shed 3' } as never)
    const [open, whole] = [await archive(tag, false), await archive(tag, true)]
    const all = (files: Record<string, Uint8Array>) => Object.values(files).map(text).join('\n')
    for (const secret of ['Oona Tveit', 'trust of the pier', 'Buoy shed 3', 'It smoked', 'Ilka Brandvold']) {
      expect(all(open), secret).not.toContain(secret)
      expect(all(whole), secret).toContain(secret)
    }
  })

  it('a journal that was written anew under a new manifest still has to follow from link to link', async () => {
    const tag = on.bookIn({})
    const files = await archive(tag, true)
    const sha = (bytes: Uint8Array | string) => createHash('sha256').update(bytes).digest('hex')
    const journal = strToU8(text(files['journal.jsonl']).replace('Petrel 8S', 'Petrel 9X'))
    const manifest = JSON.parse(text(files['manifest.json'])) as { files: Record<string, string> }
    manifest.files['journal.jsonl'] = sha(journal)
    const forged = strToU8(JSON.stringify(manifest))
    expect(checkArchive({ ...files, 'journal.jsonl': journal, 'manifest.json': forged, 'manifest.sha256': strToU8(sha(forged)) }).wrong).toEqual([
      'Entry 1 of the journal says something else than was hashed.',
    ])
  })
})

it('a bulletin is proposed by a cause, accepted at a press, told on every sister, and gone once somebody has looked', () => {
  const { modelId } = on.collection(
    'add-model',
    commands['add-model'].parse({ name: 'Gannet', maker: 'Pentreath Micro', variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [] }),
  ) as { modelId: number }
  const [tag, sister] = [on.bookIn({ modelId }), on.bookIn({ modelId })]
  perform(tag, 'report-fault', { symptom: 'Dead columns', firstSeen: '', stopsMachine: false } as never)
  const faultId = sheet(tag).faults[0]!.id
  perform(tag, 'repair-fault', { faultId, did: 'New tail', closes: true, cause: 'Tail cracked' } as never)
  const [proposed] = bulletinsOf(on.db, modelId).proposed
  expect(proposed).toMatchObject({ cause: 'Tail cracked', seeBy: 'Dead columns', doThis: 'New tail', machines: 1 })
  const { machines: _, ...said } = proposed!
  on.collection('accept-bulletin', { modelId, ...said })
  expect(() => on.collection('accept-bulletin', { modelId, ...said })).toThrow('already')
  expect(bulletinsOf(on.db, modelId)).toMatchObject({ proposed: [], accepted: [{ happens: 'Tail cracked', by: 'Ilka Brandvold' }] })
  const told = () => sheet(sister).moves.map(m => m.code)
  expect(told()).toContain('bulletin')
  const { uid } = sheet(sister).bulletins[0]!
  perform(sister, 'read-bulletin', { uid, found: 'Tail is whole' })
  expect(told()).not.toContain('bulletin')
  expect(() => perform(sister, 'read-bulletin', { uid, found: 'x' })).toThrow('already')
  on.collection('withdraw-bulletin', { modelId, uid, why: 'Only one did' })
  expect(sheet(tag).bulletins).toEqual([])
})
