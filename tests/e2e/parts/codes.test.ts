import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import QRCode from 'qrcode'
import sharp from 'sharp'
import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench(['ilka'])
const folder = mkdtempSync(join(tmpdir(), 'codes-'))

/** A code as a telephone sees it: askew, grey, on a table. */
async function pictureOf(name: string, text: string): Promise<string> {
  const path = join(folder, `${name}.jpg`)
  const code = await sharp(await QRCode.toBuffer(text, { width: 420 }))
    .rotate(11, { background: '#9a9384' })
    .toBuffer()
  await sharp({ create: { width: 1200, height: 900, channels: 3, background: '#9a9384' } })
    .composite([{ input: code, left: 380, top: 170 }])
    .blur(1.2)
    .modulate({ brightness: 0.7 })
    .jpeg({ quality: 70 })
    .toFile(path)
  return path
}

it('a box is scanned, then a bag, and the bag lies in the box; a code that is none of ours is told', async () => {
  await ilka.size(390, 844)
  const cookie = await application.cookieOf('ilka')
  const { held } = (await (await application.ask('/api/parts/held?find=Petrel%20membrane&lies=Box%20B', { cookie })).json()) as {
    held: { rows: { uid: string; name: string }[] }
  }
  const [bag] = held.rows
  await ilka.open('/parts/labels')
  await ilka.sees('Box C', '12 labels')
  await ilka.open('/scan')
  await ilka.giveFiles('Take a picture of a code', await pictureOf('other', 'https://elsewhere.example/win'))
  await ilka.sees('That code is on no label of ours: https://elsewhere.example/win')
  await ilka.giveFiles('Take a picture of a code', await pictureOf('box', `http://192.0.2.7/parts/place/${encodeURIComponent('Box C')}`))
  await ilka.sees('Box:', 'Box C')
  await ilka.giveFiles('Take a picture of a code', await pictureOf('bag', `http://192.0.2.7/parts/part/${bag!.uid}`))
  await ilka.sees(bag!.name, 'in Box B')
  await ilka.press('Put it in Box C')
  await ilka.sees(`1 × ${bag!.name}: now in Box C. Scan the next one.`)
  expect(await ilka.violations()).toEqual([])
  await ilka.press('What lies there')
  await ilka.sees('80 mm fan, 24 V', bag!.name)
  await ilka.open('/scan')
  const blank = join(folder, 'blank.png')
  await sharp({ create: { width: 400, height: 400, channels: 3, background: '#888' } })
    .png()
    .toFile(blank)
  await ilka.giveFiles('Take a picture of a code', blank)
  await ilka.sees('No code was found in that picture.')
  await ilka.fill('Or the address under a code', `http://bench.example/m/${await application.tagOf('Slipway')}`)
  await ilka.press('Open')
  await ilka.sees('Slipway')
})
