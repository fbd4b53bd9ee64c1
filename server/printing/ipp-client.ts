// The program of the pages meets this file through the types of its requests, and knows no other way to these.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./ipp.d.ts" />
import ipp from 'ipp'
import { type PrintFormat, type PrinterSeen } from '#core/sharing/printer'

/** A client of the Internet Printing Protocol, as far as labels need it (RFC 8010, RFC 8011). */

const patienceMs = 8000
const largestAnswer = 200_000

/** What went wrong, in words for the queue. */
export class PrinterTrouble extends Error {}

type Attributes = Record<string, unknown>
interface Answer {
  'statusCode': string
  'operation-attributes-tag'?: Attributes
  'printer-attributes-tag'?: Attributes
  'job-attributes-tag'?: Attributes
}

const listed = (value: unknown): string[] => (value === undefined ? [] : [value].flat().map(String))
const httpOf = (uri: string) => {
  const url = new URL(uri.replace(/^ipp/, 'http'))
  if (!url.port) url.port = '631'
  return url
}
const asking = { 'attributes-charset': 'utf-8', 'attributes-natural-language': 'en' }
let requests = 0

async function ask(uri: string, operation: string, operationAttributes: Attributes, more: object = {}): Promise<Answer> {
  const body = ipp.serialize({
    'version': '2.0',
    operation,
    'id': ++requests,
    'operation-attributes-tag': { ...asking, 'printer-uri': uri, ...operationAttributes },
    ...more,
  })
  let response: Response
  try {
    response = await fetch(httpOf(uri), {
      method: 'POST',
      headers: { 'content-type': 'application/ipp' },
      body: new Uint8Array(body),
      signal: AbortSignal.timeout(patienceMs),
      redirect: 'error',
    })
  } catch (error) {
    throw new PrinterTrouble(
      (error as Error).name === 'TimeoutError' ? 'The printer does not answer.' : 'The printer cannot be reached: it is off, or its address is another one.',
    )
  }
  if (!response.ok) throw new PrinterTrouble(`What answers at this address is no printer (${response.status}).`)
  const bytes = await within(response)
  try {
    return ipp.parse(bytes) as Answer
  } catch {
    throw new PrinterTrouble('What answers at this address does not speak as a printer does.')
  }
}

/** The body of an answer, up to what an answer may be. */
async function within(response: Response): Promise<Buffer> {
  const pieces: Uint8Array[] = []
  let size = 0
  for await (const piece of response.body as unknown as AsyncIterable<Uint8Array>) {
    size += piece.length
    if (size > largestAnswer) throw new PrinterTrouble('The printer answers with more than an answer can be.')
    pieces.push(piece)
  }
  return Buffer.concat(pieces)
}

const refused = ({ statusCode, ...answer }: Answer): string | null =>
  statusCode.startsWith('successful') ? null : String(answer['operation-attributes-tag']?.['status-message'] ?? statusCode.replaceAll('-', ' '))

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
  const why = refused(answer)
  if (why) throw new PrinterTrouble(`The printer does not say how it is: ${why}.`)
  const told = answer['printer-attributes-tag'] ?? {}
  return {
    name: listed(told['printer-name'])[0] ?? '',
    state: listed(told['printer-state'])[0] ?? 'idle',
    reasons: listed(told['printer-state-reasons']),
    accepting: told['printer-is-accepting-jobs'] !== false,
    formats: listed(told['document-format-supported']),
    media: [...listed(told['media-ready']), ...listed(told['media-default']), ...listed(told['media-supported'])],
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
  const why = refused(answer)
  if (why) throw new PrinterTrouble(`The printer refused the label: ${why}.`)
  return Number(answer['job-attributes-tag']?.['job-id'] ?? 0)
}

/** How a job stands. @throws PrinterTrouble */
export async function seeJob(uri: string, job: number): Promise<{ state: string; reasons: string[] }> {
  const answer = await ask(uri, 'Get-Job-Attributes', { 'job-id': job, 'requested-attributes': ['job-state', 'job-state-reasons'] })
  const why = refused(answer)
  // A printer that remembers it no more has done with it.
  if (why) return { state: answer.statusCode === 'client-error-not-found' ? 'completed' : 'aborted', reasons: [why] }
  const told = answer['job-attributes-tag'] ?? {}
  return { state: listed(told['job-state'])[0] ?? 'completed', reasons: listed(told['job-state-reasons']) }
}
