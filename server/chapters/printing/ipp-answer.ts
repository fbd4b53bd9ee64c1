/**
 * Answers of a printer as they are told on the wire. Whatever a printer sends is untrusted: each length is asked of the bytes that are there, a
 * value is read by its own length alone, and nothing is read twice. Source: RFC 8010, 3.1 to 3.9 (encoding), RFC 8011, 5.3.7 and 5.4.11 (states).
 */
export type IppValue = string | number | boolean
/** Attributes of one group, by their names; a collection is left out, for a label needs none. */
export type IppAttributes = ReadonlyMap<string, readonly IppValue[]>
export interface IppAnswer {
  statusCode: number
  operation: IppAttributes
  printer: IppAttributes
  job: IppAttributes
}

/** The bytes are no answer that could be read. */
export class UnreadableAnswer extends Error {}

const delimiters = { operation: 0x01, job: 0x02, end: 0x03, printer: 0x04, last: 0x0f } as const
const tags = { integer: 0x21, boolean: 0x22, enum: 0x23, begCollection: 0x34, textWithLanguage: 0x35, nameWithLanguage: 0x36, endCollection: 0x37 } as const
/** 0x40 to 0x4f are written as letters; a member of a collection is named by 0x4a. */
const isText = (tag: number) => tag >= 0x41 && tag <= 0x49

/** So many values are more than any printer has to say about a label. */
const mostValues = 5000

class Bytes {
  private at = 0
  constructor(private readonly bytes: Buffer) {}
  get ended(): boolean {
    return this.at >= this.bytes.length
  }
  take(count: number): Buffer {
    if (this.at + count > this.bytes.length) throw new UnreadableAnswer(`The answer ends before byte ${this.at + count}.`)
    const taken = this.bytes.subarray(this.at, this.at + count)
    this.at += count
    return taken
  }
  byte = (): number => this.take(1).readUInt8()
  /** A length is signed, and none is below nothing. */
  length(): number {
    const length = this.take(2).readInt16BE()
    if (length < 0) throw new UnreadableAnswer(`A length of ${length} at byte ${this.at - 2}.`)
    return length
  }
}

/** A value by the bytes that are its own. @returns nothing for kinds that a label does not need, and for lengths that are not those of the kind */
function valueOf(tag: number, bytes: Buffer): IppValue | undefined {
  if (tag === tags.integer || tag === tags.enum) return bytes.length === 4 ? bytes.readInt32BE() : undefined
  if (tag === tags.boolean) return bytes.length === 1 ? bytes[0] !== 0 : undefined
  if (isText(tag)) return bytes.toString('utf8')
  if (tag === tags.textWithLanguage || tag === tags.nameWithLanguage) {
    const within = new Bytes(bytes)
    within.take(within.length())
    return within.take(within.length()).toString('utf8')
  }
  return undefined
}

/** Reads an answer in one pass over its bytes. @throws UnreadableAnswer */
export function readIppAnswer(message: Buffer): IppAnswer {
  const bytes = new Bytes(message)
  bytes.take(2)
  const statusCode = bytes.take(2).readUInt16BE()
  bytes.take(4)
  const groups = { operation: new Map(), printer: new Map(), job: new Map() } as Record<'operation' | 'printer' | 'job', Map<string, IppValue[]>>
  let group: Map<string, IppValue[]> | undefined
  let [name, depth, values] = ['', 0, 0]
  while (!bytes.ended) {
    const tag = bytes.byte()
    if (tag === delimiters.end) break
    if (tag <= delimiters.last) {
      group = tag === delimiters.operation ? groups.operation : tag === delimiters.printer ? groups.printer : tag === delimiters.job ? groups.job : undefined
      ;[name, depth] = ['', 0]
      continue
    }
    if (++values > mostValues) throw new UnreadableAnswer(`More than ${mostValues} values.`)
    const named = bytes.take(bytes.length()).toString('latin1')
    const value = valueOf(tag, bytes.take(bytes.length()))
    if (tag === tags.begCollection) depth++
    else if (tag === tags.endCollection) depth = Math.max(0, depth - 1)
    // What stands without a name is a further value of the one before.
    if (named && !depth) name = named
    if (depth || value === undefined || !name || !group) continue
    const there = group.get(name)
    if (there) there.push(value)
    else group.set(name, [value])
  }
  return { statusCode, ...groups }
}

/** RFC 8011, 5.4.11 and 5.3.7. */
export const printerStates: Readonly<Record<number, string>> = { 3: 'idle', 4: 'processing', 5: 'stopped' }
export const jobStates: Readonly<Record<number, string>> = {
  3: 'pending',
  4: 'pending-held',
  5: 'processing',
  6: 'processing-stopped',
  7: 'canceled',
  8: 'aborted',
  9: 'completed',
}

/** RFC 8011, appendix B: what begins with 0x00 is a success. */
export const succeeded = (statusCode: number): boolean => statusCode < 0x0100
export const jobNotFound = 0x0406
const statusWords: Readonly<Record<number, string>> = {
  0x0400: 'bad request',
  0x0401: 'forbidden',
  0x0402: 'not authenticated',
  0x0403: 'not authorised',
  0x0404: 'not possible',
  0x0405: 'time-out',
  [jobNotFound]: 'not found',
  0x0408: 'the label is too large for it',
  0x040a: 'document format not supported',
  0x040b: 'attributes or values not supported',
  0x0500: 'internal error',
  0x0501: 'operation not supported',
  0x0502: 'service unavailable',
  0x0503: 'version not supported',
  0x0504: 'device error',
  0x0505: 'temporary error',
  0x0506: 'server error not accepting jobs',
  0x0507: 'busy',
  0x0508: 'job cancelled',
}
/** What a printer says why not: in its own words where it has some, shortened. */
export function refusalWords({ statusCode, operation }: Pick<IppAnswer, 'statusCode' | 'operation'>): string {
  const own = String(operation.get('status-message')?.[0] ?? '')
    .replace(/[\p{C}\s]+/gu, ' ')
    .trim()
  return own ? own.slice(0, 120) : (statusWords[statusCode] ?? `status 0x${statusCode.toString(16).padStart(4, '0')}`)
}
