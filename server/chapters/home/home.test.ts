import { expect, it } from 'vitest'
import { serverBench } from '../../../tests/support/server-bench'
import { files } from '../look/index'
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
  const entry = sheet(tag).history.find(h => h.says === 'Photograph added: Cleaned.')!
  perform(tag, 'strike-entry', { entryId: entry.id, reason: 'Shows somebody’s face' })
  expect(passportOf(on.bench, token).pictures).toBeNull()
  expect(() => passportPicture(on.bench, token, 'before')).toThrow('no such picture')
  perform(tag, 'switch-passport', { on: false })
  expect(() => passportPicture(on.bench, token, 'before')).toThrow('switched off')
})
