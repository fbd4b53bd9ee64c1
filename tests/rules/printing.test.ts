import { execFile } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import jsqr from 'jsqr'
import sharp from 'sharp'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { startPrinter } from '../../instruments/printer/stand-in'
import { serverBench } from '../support/server-bench'
import { drawLabel } from '../../server/chapters/printing/label-drawing'
import { holdUnfinished, labelOf, printerView, workQueue } from '../../server/chapters/printing/queue'

const on = serverBench()
const origin = 'http://bench.example'
let printer: Awaited<ReturnType<typeof startPrinter>>

beforeEach(async () => {
  printer = await startPrinter({ port: 0, folder: join(on.folder, 'printed') })
  on.collection('set-printer', { version: 0, uri: printer.uri })
})
afterEach(() => printer.stop())

const work = () => workQueue(on.bench, drawLabel)
const jobs = async () => (await printerView(on.bench)).jobs.map(j => [j.state, j.says])
const queued = (tags = [on.bookIn()], kind: 'arrival' | 'inside' = 'arrival') => {
  on.collection('print-labels', { kind, tags, origin })
  return tags
}

describe('labels on a printer', () => {
  it('are sent as PDF, kept by the printer, and known to be printed', async () => {
    const [tag] = queued()
    await work()
    expect(await jobs()).toEqual([['sent', 'Sent to the printer.']])
    expect(printer.jobs).toMatchObject([{ name: `Label ${tag}`, format: 'application/pdf' }])
    expect(readFileSync(printer.jobs[0]!.file).subarray(0, 5).toString()).toBe('%PDF-')
    await work()
    expect(await jobs()).toEqual([['printed', 'Printed.']])
    expect(await work()).toBe(false)
  })

  it.each([
    ['out-of-paper', 'The printer is waiting: out of paper.'],
    ['offline', 'The printer cannot be reached: it is off, or its address is another one.'],
    ['refuses', 'The printer refused the label: server error not accepting jobs.'],
  ] as const)('%s: the label says so, stays in the queue, and is printed once all is well', async (scenario, says) => {
    printer.becomes(scenario)
    queued()
    await work()
    await work()
    expect(await jobs()).toEqual([['waiting', says]])
    printer.becomes('ready')
    await work()
    await work()
    expect(await jobs()).toEqual([['printed', 'Printed.']])
  })

  it('a job that the printer breaks off is held, and printed again when somebody says so', async () => {
    printer.becomes('breaks-off')
    queued()
    for (let n = 0; n < 4; n++) await work()
    expect(await jobs()).toEqual([['held', 'The printer broke off the job: aborted-by-system.']])
    expect(printer.jobs).toHaveLength(1)
    printer.becomes('ready')
    on.collection('print-again', { jobId: (await printerView(on.bench)).jobs[0]!.id })
    expect(() => on.collection('print-again', { jobId: 1 })).toThrow('on its way')
    for (let n = 0; n < 2; n++) await work()
    expect(await jobs()).toEqual([['printed', 'Printed.']])
  })

  it('what was being sent when the program ended, or when the printer fell silent, is not printed twice by itself', async () => {
    queued()
    // The printer takes the label; the program ends before it is told so.
    const ended = workQueue(on.bench, async (...drawn) => {
      const bytes = await drawLabel(...drawn)
      on.db.$client.exec("CREATE TRIGGER killed BEFORE UPDATE ON print_jobs WHEN NEW.state = 'sent' BEGIN SELECT RAISE(ABORT, 'killed'); END")
      return bytes
    })
    await expect(ended).rejects.toThrow('killed')
    on.db.$client.exec('DROP TRIGGER killed')
    holdUnfinished(on.bench)
    expect(await work()).toBe(false)
    expect(printer.jobs).toHaveLength(1)
    expect(await jobs()).toEqual([['held', expect.stringContaining('See whether it came out') as string]])
    // At another printer nobody knows the number of the old one.
    on.db.$client.exec("UPDATE print_jobs SET state = 'sent', printer_job = 1")
    on.collection('set-printer', { version: 1, uri: 'ipp://127.0.0.1:9/ipp/print' })
    expect((await jobs())[0]![0]).toBe('held')
  })

  it('are PNG on its own small label where it takes no PDF, with a code that reads back', async () => {
    printer.becomes('png-only')
    const [tag] = queued([on.bookIn()], 'inside')
    await work()
    const { data, info } = await sharp(printer.jobs[0]!.file).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
    // 1.25 × 3.5 inches at 8 dots a mm.
    expect([info.width, info.height]).toEqual([254, 711])
    expect(jsqr(new Uint8ClampedArray(data), info.width, info.height)?.data).toBe(`${origin}/m/${tag}`)
  })

  it('taken out of the queue are not printed; without a printer none is queued', async () => {
    printer.becomes('out-of-paper')
    queued()
    on.collection('drop-label', { jobId: (await printerView(on.bench)).jobs[0]!.id })
    printer.becomes('ready')
    expect([await work(), printer.jobs]).toEqual([false, []])
    on.collection('set-printer', { version: 1, uri: '' })
    expect(() => queued()).toThrow('No printer is known')
  })

  it('an address of something else says that it is no printer', async () => {
    on.collection('set-printer', { version: 1, uri: printer.uri.replace('/ipp/print', '/scenario') })
    expect(await printerView(on.bench)).toMatchObject({ ready: false, says: expect.stringContaining('no printer') as string })
  })
})

it('a label holds what was replaced and kept, fits its paper, and opens the passport where there is one', async () => {
  const tag = on.bookIn({ nickname: 'Vlašák’s 漢' })
  on.perform(tag, 'bag-part', { part: 'C12', bag: 'bag 4', why: '' })
  on.perform(tag, 'switch-passport', { on: true })
  const label = labelOf(on.bench, { kind: 'inside', tag, origin })
  expect(label.lines).toContain('Originals kept: C12, bag 4.')
  expect(label.url).toContain('/passport/')
  // However much is kept, what decides stands on the paper, and the paper is drawn in no time.
  for (let n = 0; n < 60; n++) on.perform(tag, 'bag-part', { part: `R${n}`, bag: 'bag 5', why: '' })
  const many = labelOf(on.bench, { kind: 'inside', tag, origin }).lines
  expect(many[2]).toContain('Check again before power')
  expect(many.join(' ')).toContain('and 49 more, see its record')
  const long = { ...label, lines: Array.from({ length: 200 }, (_, i) => `Line ${i} with some words behind it`) }
  for (const size of [
    { widthMm: 105, heightMm: 148 },
    { widthMm: 62, heightMm: 29 },
  ]) {
    const png = await drawLabel(long, size, 'image/png')
    const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
    expect(jsqr(new Uint8ClampedArray(data), info.width, info.height)?.data).toBe(label.url)
  }
})

const ipptool = '/usr/bin/ipptool'
describe.skipIf(!existsSync(ipptool))('the stand-in, asked by a client that nobody here wrote (Debian: cups-ipp-utils)', () => {
  it.each(['print-job.test', 'validate-job.test'])('passes %s', async file => {
    const document = join(on.folder, 'label.pdf')
    writeFileSync(document, await drawLabel({ tag: 'SH-1', title: 'x', lines: [], url: origin }, { widthMm: 105, heightMm: 148 }, 'application/pdf'))
    const { stdout } = await promisify(execFile)(ipptool, ['-tf', document, printer.uri, file])
    expect(stdout).toContain('[PASS]')
  })
})
