// The program of the pages meets this file through the types of its requests, and knows no other way to these.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./ipp.d.ts" />
import { once } from 'node:events'
import { type IncomingMessage, request as httpRequest } from 'node:http'
import { request as httpsRequest } from 'node:https'
import { isIP } from 'node:net'
import ipp from 'ipp'
import type { PrintFormat, PrinterSeen } from '#core/printing/printer'
import { addressNear, lookupNear } from '../../near/networks'
import { type IppAnswer, UnreadableAnswer, jobNotFound, jobStates, printerStates, readIppAnswer, refusalWords, succeeded } from './ipp-answer'

/** A client of the Internet Printing Protocol, as far as labels need it (RFC 8010, RFC 8011). */

const patienceMs = 8000
const largestAnswer = 200_000

/** What went wrong, in words for the queue. */
export class PrinterTrouble extends Error {
  /** @param reached whether the printer may have got what was sent: it would not be sent again by itself */
  constructor(
    message: string,
    readonly reached = false,
  ) {
    super(message)
  }
}

const anywhere = () => process.env.PRINTER_ANYWHERE === 'true'
/** `ipp` is spoken over http at port 631, `ipps` over https (RFC 3510, RFC 7472). */
function httpOf(uri: string): URL {
  const url = new URL(uri.replace(/^ipp/, 'http'))
  if (!url.port) url.port = '631'
  return url
}
const asking = { 'attributes-charset': 'utf-8', 'attributes-natural-language': 'en' }
let requests = 0

async function ask(uri: string, operation: string, operationAttributes: object, more: object = {}): Promise<IppAnswer> {
  const body = ipp.serialize({
    'version': '2.0',
    operation,
    'id': ++requests,
    'operation-attributes-tag': { ...asking, 'printer-uri': uri, ...operationAttributes },
    ...more,
  })
  const bytes = await post(httpOf(uri), body)
  try {
    return readIppAnswer(bytes)
  } catch (error) {
    if (!(error instanceof UnreadableAnswer)) throw error
    throw new PrinterTrouble('What answers at this address does not speak as a printer does.', true)
  }
}

const notReached = 'The printer cannot be reached: it is off, or its address is another one.'

/** Sends a message and takes in what is answered; no redirection is followed. @throws PrinterTrouble for whatever goes wrong on the way */
async function post(url: URL, body: Buffer): Promise<Buffer> {
  // A host that is an address already is not looked up.
  const host = url.hostname.replace(/^\[|\]$/g, '')
  if (isIP(host) && !(await addressNear(host, anywhere()))) throw new PrinterTrouble(`${host} is no address in this house, and is not asked.`)
  const late = AbortSignal.timeout(patienceMs)
  let reached = false
  try {
    const asked = (url.protocol === 'https:' ? httpsRequest : httpRequest)(url, {
      method: 'POST',
      headers: { 'content-type': 'application/ipp', 'content-length': body.length },
      lookup: lookupNear(anywhere()),
      signal: late,
      agent: false,
    })
    asked.once('socket', socket => socket.once(url.protocol === 'https:' ? 'secureConnect' : 'connect', () => (reached = true)))
    asked.end(body)
    const [answer] = (await once(asked, 'response')) as [IncomingMessage]
    return await bodyOf(answer)
  } catch (error) {
    if (error instanceof PrinterTrouble) throw error
    if (late.aborted) throw new PrinterTrouble('The printer does not answer.', reached)
    if ((error as { code?: string }).code === 'ENOTNEAR') throw new PrinterTrouble(`There is no ${host} in this house, and doors elsewhere are not knocked at.`)
    throw new PrinterTrouble(notReached, reached)
  }
}

/** The body of an answer, up to what an answer may be. */
async function bodyOf(answer: IncomingMessage): Promise<Buffer> {
  const { statusCode = 0 } = answer
  if (statusCode < 200 || statusCode > 299) {
    answer.destroy()
    throw new PrinterTrouble(`What answers at this address is no printer (${statusCode}).`)
  }
  const pieces: Buffer[] = []
  let size = 0
  for await (const piece of answer as AsyncIterable<Buffer>) {
    size += piece.length
    if (size > largestAnswer) throw new PrinterTrouble('The printer answers with more than an answer can be.', true)
    pieces.push(piece)
  }
  return Buffer.concat(pieces)
}

const wordsOf = (values: IppAnswer['printer'], name: string): string[] => (values.get(name) ?? []).filter(v => typeof v === 'string')
const figureOf = (values: IppAnswer['printer'], name: string): number | undefined => values.get(name)?.find(v => typeof v === 'number')

/** What the printer says of itself. @throws PrinterTrouble */
export async function seePrinter(uri: string): Promise<PrinterSeen> {
  const answer = await ask(uri, 'Get-Printer-Attributes', {
    'requested-attributes': [
      'printer-name',
      'printer-state',
      'printer-state-reasons',
      'printer-is-accepting-jobs',
      'document-format-supported',
      'media-ready',
      'media-default',
      'media-supported',
    ],
  })
  if (!succeeded(answer.statusCode)) throw new PrinterTrouble(`The printer does not say how it is: ${refusalWords(answer)}.`)
  const { printer } = answer
  return {
    name: wordsOf(printer, 'printer-name')[0] ?? '',
    state: printerStates[figureOf(printer, 'printer-state') ?? 0] ?? 'unknown',
    reasons: wordsOf(printer, 'printer-state-reasons'),
    accepting: printer.get('printer-is-accepting-jobs')?.[0] !== false,
    formats: wordsOf(printer, 'document-format-supported'),
    media: ['media-ready', 'media-default', 'media-supported'].flatMap(name => wordsOf(printer, name)),
  }
}

/** Sends one label. @returns the number of the job @throws PrinterTrouble where it is refused */
export async function sendJob(
  uri: string,
  { name, by, format, media, bytes }: { name: string; by: string; format: PrintFormat; media: string; bytes: Uint8Array },
): Promise<number> {
  const answer = await ask(
    uri,
    'Print-Job',
    { 'requesting-user-name': by, 'job-name': name, 'document-format': format },
    { 'job-attributes-tag': { media }, 'data': Buffer.from(bytes) },
  )
  if (!succeeded(answer.statusCode)) throw new PrinterTrouble(`The printer refused the label: ${refusalWords(answer)}.`)
  const job = figureOf(answer.job, 'job-id')
  if (job === undefined) throw new PrinterTrouble('The printer took the label and does not say under which number.', true)
  return job
}

/** How a job stands. @throws PrinterTrouble */
export async function seeJob(uri: string, job: number): Promise<{ state: string; reasons: string[] }> {
  const answer = await ask(uri, 'Get-Job-Attributes', { 'job-id': job, 'requested-attributes': ['job-state', 'job-state-reasons'] })
  // A printer that remembers it no more has done with it.
  if (answer.statusCode === jobNotFound) return { state: 'completed', reasons: [] }
  if (!succeeded(answer.statusCode)) throw new PrinterTrouble(`The printer does not say what became of the label: ${refusalWords(answer)}.`)
  return { state: jobStates[figureOf(answer.job, 'job-state') ?? 0] ?? 'unknown', reasons: wordsOf(answer.job, 'job-state-reasons') }
}
