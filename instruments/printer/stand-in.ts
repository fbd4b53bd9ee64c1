import { mkdirSync, writeFileSync } from 'node:fs'
import { type IncomingMessage, type ServerResponse, createServer } from 'node:http'
import { join } from 'node:path'
import ipp from 'ipp'

/** A stand-in of a label printer that speaks IPP (RFC 8010, RFC 8011): it keeps each job as a file and shows it, and can be out of paper, offline or refuse. */
export const printerScenarios = {
  'ready': 'takes every job and keeps it as a file',
  'out-of-paper': 'has no paper; nothing is taken',
  'refuses': 'answers, and refuses every job',
  'breaks-off': 'takes a job, and breaks it off',
  'offline': 'is not there: connections are closed',
  'png-only': 'takes pictures alone, on small labels',
} as const
export type PrinterScenario = keyof typeof printerScenarios
export const printerScenarioNames = Object.keys(printerScenarios) as PrinterScenario[]

interface Job {
  id: number
  name: string
  format: string
  file: string
  state: 'completed' | 'aborted'
}
interface Asked {
  'operation': string
  'id': number
  'version': string
  'operation-attributes-tag'?: Record<string, unknown>
}

const largest = 20_000_000

/** Where the attributes of a message end and its document begins. Source: RFC 8010, 3.1. */
function documentOf(message: Buffer): Buffer {
  let at = 8
  while (at < message.length) {
    const tag = message[at]!
    if (tag === 0x03) return message.subarray(at + 1)
    if (tag <= 0x0f) at += 1
    else {
      const nameLength = message.readUInt16BE(at + 1)
      const valueLength = message.readUInt16BE(at + 3 + nameLength)
      at += 5 + nameLength + valueLength
    }
  }
  return Buffer.alloc(0)
}

async function bodyOf(request: IncomingMessage): Promise<Buffer> {
  const pieces: Buffer[] = []
  let size = 0
  for await (const piece of request as AsyncIterable<Buffer>) {
    size += piece.length
    if (size > largest) throw new Error('More than a label can be.')
    pieces.push(piece)
  }
  return Buffer.concat(pieces)
}

/** @param folder where jobs are kept */
export async function startPrinter({ port, folder, scenario = 'ready' }: { port: number; folder: string; scenario?: PrinterScenario }) {
  let now = scenario
  let bound = port
  const jobs: Job[] = []
  mkdirSync(folder, { recursive: true })
  const standard = { 'attributes-charset': 'utf-8', 'attributes-natural-language': 'en' }

  const printerAttributes = () => ({
    'printer-uri-supported': [`ipp://127.0.0.1:${bound}/ipp/print`],
    'uri-authentication-supported': ['none'],
    'uri-security-supported': ['none'],
    'printer-name': 'Stand-in of a label printer',
    'printer-info': 'For practice: keeps each job as a file',
    'printer-location': 'This computer',
    'printer-make-and-model': 'Stand-in',
    'charset-configured': 'utf-8',
    'charset-supported': ['utf-8'],
    'natural-language-configured': 'en',
    'generated-natural-language-supported': ['en'],
    'compression-supported': ['none'],
    'pdl-override-supported': 'not-attempted',
    'printer-up-time': Math.ceil(process.uptime()),
    'queued-job-count': 0,
    'document-format-default': now === 'png-only' ? 'image/png' : 'application/pdf',
    'printer-state': now === 'out-of-paper' ? 'stopped' : 'idle',
    'printer-state-reasons': [now === 'out-of-paper' ? 'media-empty' : 'none'],
    'printer-is-accepting-jobs': true,
    'document-format-supported': now === 'png-only' ? ['image/png'] : ['application/pdf', 'image/png'],
    'media-ready': now === 'png-only' ? ['oe_address-label_1.25x3.5in'] : ['iso_a6_105x148mm'],
    'media-default': now === 'png-only' ? 'oe_address-label_1.25x3.5in' : 'iso_a6_105x148mm',
    'ipp-versions-supported': ['1.1', '2.0'],
    'operations-supported': ['Print-Job', 'Validate-Job', 'Get-Job-Attributes', 'Get-Printer-Attributes'],
  })
  const jobAttributes = ({ id, name, state }: Job) => ({
    'job-id': id,
    'job-uri': `ipp://127.0.0.1:${bound}/ipp/print/${id}`,
    'job-name': name,
    'job-state': state,
    'job-state-reasons': [state === 'aborted' ? 'aborted-by-system' : 'job-completed-successfully'],
  })

  function answerTo(asked: Asked, document: Buffer): Record<string, unknown> {
    const given = asked['operation-attributes-tag'] ?? {}
    switch (asked.operation) {
      case 'Get-Printer-Attributes':
        return { 'statusCode': 'successful-ok', 'printer-attributes-tag': printerAttributes() }
      case 'Validate-Job':
        return { statusCode: now === 'refuses' ? 'server-error-not-accepting-jobs' : 'successful-ok' }
      case 'Print-Job': {
        if (now === 'refuses' || now === 'out-of-paper') return { statusCode: 'server-error-not-accepting-jobs' }
        const format = String(given['document-format'] ?? 'application/octet-stream')
        if (now === 'png-only' && format !== 'image/png') return { statusCode: 'client-error-document-format-not-supported' }
        const id = jobs.length + 1
        const file = join(folder, `label-${String(id).padStart(4, '0')}.${format === 'application/pdf' ? 'pdf' : format === 'image/png' ? 'png' : 'bin'}`)
        writeFileSync(file, document)
        const job: Job = { id, name: String(given['job-name'] ?? ''), format, file, state: now === 'breaks-off' ? 'aborted' : 'completed' }
        jobs.push(job)
        return { 'statusCode': 'successful-ok', 'job-attributes-tag': jobAttributes(job) }
      }
      case 'Get-Job-Attributes': {
        const job = jobs.find(j => j.id === Number(given['job-id']))
        return job ? { 'statusCode': 'successful-ok', 'job-attributes-tag': jobAttributes(job) } : { statusCode: 'client-error-not-found' }
      }
      default:
        return { statusCode: 'server-error-operation-not-supported' }
    }
  }

  async function ippAnswer(request: IncomingMessage, response: ServerResponse) {
    const message = await bodyOf(request)
    const asked = ipp.parse(message) as Asked
    const answer = { 'version': asked.version, 'id': asked.id, 'operation-attributes-tag': standard, ...answerTo(asked, documentOf(message)) }
    const bytes = ipp.serialize(answer)
    response.writeHead(200, { 'content-type': 'application/ipp' }).end(bytes)
  }

  const server = createServer((request, response) => {
    if (now === 'offline' && request.method === 'POST' && request.url !== '/scenario') return request.socket.destroy()
    const trouble = (error: unknown) => response.writeHead(400, { 'content-type': 'text/plain' }).end((error as Error).message)
    if (request.method === 'POST' && request.url === '/scenario')
      return void bodyOf(request)
        .then(body => {
          const wanted = printerScenarioNames.find(s => s === body.toString().trim())
          if (wanted) now = wanted
          response.writeHead(wanted ? 200 : 422, { 'content-type': 'text/plain' }).end(wanted ?? printerScenarioNames.join(', '))
        })
        .catch(trouble)
    if (request.method === 'POST') return void ippAnswer(request, response).catch(trouble)
    response
      .writeHead(200, { 'content-type': 'text/plain; charset=utf-8' })
      .end(
        [`Stand-in of a label printer, for practice: it ${printerScenarios[now]}.`, '', ...jobs.map(j => `${j.id}  ${j.name}  ${j.format}  ${j.file}`)].join(
          '\n',
        ),
      )
  })
  await new Promise<void>((done, fail) => {
    server.once('error', fail)
    server.listen(port, '127.0.0.1', done)
  })
  const address = server.address() as { port: number }
  bound = address.port
  return {
    port: address.port,
    uri: `ipp://127.0.0.1:${address.port}/ipp/print`,
    jobs,
    becomes: (other: PrinterScenario) => (now = other),
    stop: () =>
      new Promise<void>(done => {
        server.close(() => done())
        server.closeAllConnections()
      }),
  }
}
