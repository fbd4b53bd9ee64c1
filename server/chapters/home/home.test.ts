import { sql } from 'drizzle-orm'
import { expect, it } from 'vitest'
import { serverBench } from '../../../tests/support/server-bench'
import { files } from '../look/index'
import { letterOf } from '../stewardship/index'
import { passportOf, passportPicture } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on

function photograph(tag: string, hash: string, caption: string) {
  on.db.insert(files).values({ hash, mime: 'image/jpeg', bytes: 1, widthPx: 800, heightPx: 600, keptAt: on.now.toISOString() }).run()
  perform(tag, 'add-photograph', { hash, name: `${caption}.jpg`, assemblyId: null, caption })
  return sheet(tag).photographs.at(-1)!.id
}

it('a passport shows two chosen pictures of its own machine, to whoever has the link, and none once one is struck or it is switched off', () => {
  const [tag, other] = [bookIn(), bookIn()]
  const [beforeId, afterId, elsewhere] = [
    photograph(tag, 'a'.repeat(64), 'As found'),
    photograph(tag, 'b'.repeat(64), 'Cleaned'),
    photograph(other, 'c'.repeat(64), 'x'),
  ]
  expect(() => perform(tag, 'show-before-after', { beforeId, afterId: elsewhere })).toThrow('no such photograph')
  expect(() => perform(tag, 'show-before-after', { beforeId, afterId: null })).toThrow('two photographs, please')
  expect(() => perform(tag, 'show-before-after', { beforeId, afterId: beforeId })).toThrow('two photographs, please')
  perform(tag, 'show-before-after', { beforeId, afterId })
  perform(tag, 'switch-passport', { on: true })
  const token = sheet(tag).passport.path!.split('/').at(-1)!
  expect(passportOf(on.bench, token).pictures).toMatchObject({ before: { caption: 'As found', widthPx: 800 }, after: { caption: 'Cleaned' } })
  expect([passportPicture(on.bench, token, 'before'), passportPicture(on.bench, token, 'after')]).toEqual(['a'.repeat(64), 'b'.repeat(64)])
  expect(() => passportPicture(on.bench, token, 'constructor')).toThrow('no such picture')
  expect(passportOf(on.bench, token).portrait).toBe(false)
  expect(() => passportPicture(on.bench, token, 'portrait')).toThrow('no such picture')
  perform(tag, 'choose-portrait', { photographId: afterId, chosen: true })
  expect([passportOf(on.bench, token).portrait, passportPicture(on.bench, token, 'portrait')]).toEqual([true, 'b'.repeat(64)])
  const entry = sheet(tag).history.find(h => h.says === 'Photograph added: Cleaned.')!
  perform(tag, 'strike-entry', { entryId: entry.id, reason: 'Shows somebody’s face' })
  expect(passportOf(on.bench, token).pictures).toBeNull()
  expect(() => passportPicture(on.bench, token, 'before')).toThrow('no such picture')
  expect(() => passportPicture(on.bench, token, 'portrait')).toThrow('no such picture')
  perform(tag, 'switch-passport', { on: false })
  expect(() => passportPicture(on.bench, token, 'before')).toThrow('switched off')
})

it('what went into store lost its sign-off, which became a claim, and is due a year later', () => {
  const tag = bookIn()
  perform(tag, 'choose-life', { life: 'store' })
  perform(tag, 'move-to-stage', { stage: 'home' })
  expect(sheet(tag).claims).toEqual([])
  expect(sheet(tag).moves.map(m => m.code)).toContain('retest')
  on.now = new Date('2027-03-05T19:00:00Z')
  expect(sheet(tag).moves.map(m => m.code)).toContain('retest-due')
})

it('each time before visitors is noted, refused where its life is none that runs, and trouble becomes a fault', () => {
  const tag = bookIn()
  const ran = (more: object = {}) => perform(tag, 'log-demonstration', { minutes: 40, says: 'A school class', trouble: false, ...more } as never)
  expect(() => ran()).toThrow('not set to run for visitors')
  on.db.run(sql`UPDATE machines SET life = 'demonstration'`)
  ran()
  ran({ says: 'It hung', trouble: true })
  expect(sheet(tag)).toMatchObject({ demonstrations: [{ minutes: 40 }, { trouble: true }], faults: [{ symptom: 'It hung', stopsMachine: true }] })
})

it('an original part is kept until somebody says what became of it', () => {
  const tag = bookIn()
  perform(tag, 'bag-part', { part: 'C12', bag: 'bag 4', why: 'cracked' })
  const { id: bagId } = sheet(tag).bags[0]!
  perform(tag, 'end-bag', { bagId, became: 'Fitted again' })
  expect(sheet(tag).bags).toMatchObject([{ ended: 'Fitted again' }])
  expect(() => perform(tag, 'end-bag', { bagId, became: 'x' })).toThrow('already')
})

it('the closing letter tells how it came and how it goes, what was replaced and kept, and promises nothing', () => {
  const tag = bookIn({ acquired: 'for-repair', owner: 'the pilots’ association' })
  perform(tag, 'report-fault', { symptom: 'Ghosting', firstSeen: '', stopsMachine: false } as never)
  perform(tag, 'bag-part', { part: 'C12', bag: 'bag 4', why: '' })
  const { letterId } = perform(tag, 'write-closing-letter', { released: 'It goes home on Saturday.', to: '' }) as { letterId: number }
  const letter = JSON.stringify(letterOf(on.db, letterId))
  for (const words of [
    'Dear the pilots’ association',
    'It goes home on Saturday.',
    'C12, in bag 4',
    'Ghosting',
    'not signed off',
    'does not say that the machine is safe',
  ])
    expect(letter).toContain(words)
})
