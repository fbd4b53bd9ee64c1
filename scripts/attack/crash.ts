import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { commandIdHeader } from '#shared/kernel/answers'
import { verifyChains } from '../../server/kernel/history/chains'
import { type Run, send } from './attack'

/** So many people write at once. */
const writers = 4
const wordsOf = (id: string) => `What is ${id}?`

/**
 * Cuts the power while people write and send photographs: what was answered as kept has to be there afterwards, whole, and nothing half-done.
 * A request whose answer was lost is sent again under its id, as a page does, and has to be carried out once.
 */
export const crash: Run = async ({ app, random, seconds }) => {
  const cookie = await app.cookieOf('rua')
  const tag = await app.tagOf('Two-tone')
  const failures: string[] = []
  const kept: string[] = []
  const pictures: string[] = []
  let [kills, sentAgain, going] = [0, 0, true]

  async function ask(id: string) {
    for (;;) {
      const { status } = await send(app, `/api/machines/${tag}/ask-question`, {
        method: 'POST',
        body: JSON.stringify({ question: wordsOf(id) }),
        cookie,
        headers: { [commandIdHeader]: id },
      })
      if (status === 200) return void kept.push(id)
      if (status !== 0 && status !== 503) return void failures.push(`a question was answered with ${status}`)
      sentAgain++
      await new Promise(next => setTimeout(next, 100))
    }
  }
  async function photograph() {
    const colour = { r: Math.floor(random() * 256), g: Math.floor(random() * 256), b: Math.floor(random() * 256) }
    const jpeg = await sharp({ create: { width: 400, height: 300, channels: 3, background: colour } })
      .jpeg()
      .toBuffer()
    const { status, text } = await send(app, '/api/files', { method: 'POST', body: new Uint8Array(jpeg), cookie })
    if (status === 200) pictures.push((JSON.parse(text) as { hash: string }).hash)
  }
  const busy = Array.from({ length: writers }, async (_, n) => {
    while (going) await (n === 0 ? photograph() : ask(uuidv7()))
  })
  for (const until = Date.now() + seconds * 1000; Date.now() < until;) {
    await new Promise(next => setTimeout(next, 200 + random() * 1200))
    await app.crash()
    kills++
  }
  going = false
  await Promise.all(busy)

  const client = new Database(join(app.folder, 'jolly-bench.sqlite'), { readonly: true })
  const { entries, broken } = verifyChains({ $client: client })
  if (broken) failures.push(`the history is broken at row ${broken.id}: ${broken.why}`)
  const times = client.prepare('SELECT count(*) FROM questions WHERE question = ?').pluck()
  const lost = kept.filter(id => times.get(wordsOf(id)) === 0).length
  const twice = kept.filter(id => (times.get(wordsOf(id)) as number) > 1).length
  if (lost) failures.push(`${lost} of ${kept.length} questions that were answered as kept are gone`)
  if (twice) failures.push(`${twice} questions stand there twice`)
  if (client.pragma('integrity_check', { simple: true }) !== 'ok') failures.push('the database does not hold together')
  client.close()
  let lostPictures = 0
  for (const hash of pictures) if ((await send(app, `/api/files/${hash}/thumb`, { cookie })).status !== 200) lostPictures++
  if (lostPictures) failures.push(`${lostPictures} photographs that were answered as kept are gone`)
  const left = readdirSync(join(app.folder, 'files')).filter(name => name.startsWith('coming-')).length
  if (left) failures.push(`${left} unfinished photographs were left behind`)
  return {
    figures: {
      kills,
      'writes answered as kept': kept.length,
      'sent again after a crash': sentAgain,
      lost,
      twice,
      'photographs kept': pictures.length,
      lostPictures,
      entries,
    },
    failures,
  }
}
