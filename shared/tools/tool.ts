import { z } from 'zod'
import type { Pixels } from '#core/condition/corrosion-area'
import type { Finding } from '#core/kernel/finding'
import { InputError } from '#core/kernel/input-error'
import type { Solve } from '#core/kernel/programme'
import { unknownKey } from '../kernel/unknown-key'

interface ToolFace<I, O> {
  /** `discipline/name`. */
  id: string
  title: string
  discipline: string
  summary: string
  input: z.ZodType<I>
  output: z.ZodType<O>
  /** A worked example: an input that gives a telling result. */
  example: I
  /** The findings that a pinned result is remembered by. */
  findings: (output: O) => Finding[]
}

/** What heavy work is given by whoever runs it: pictures unpacked, and computation driven turn by turn so that nobody waits for it. */
export interface Hands {
  /** @throws InputError at `image` for what is no picture, or larger than so many pixels */
  pixelsOf: (base64: string, mostPixels: number) => Promise<Pixels>
  drive: <R>(work: Generator<unknown, R>) => Promise<R>
  /** The solver of integer programmes, bounded in time. */
  solver: () => Promise<Solve>
}

/** An instrument that answers at once: one entry for the wall, the interface for programs and the pin on a machine. */
export interface QuickTool<I = never, O = unknown> extends ToolFace<I, O> {
  run: (input: I) => O
}
/** An instrument whose work takes its time. */
export interface HeavyTool<I = never, O = unknown> extends ToolFace<I, O> {
  work: (input: I, hands: Hands) => Promise<O>
  /** The largest request that it takes. */
  largestBodyBytes: number
}
export type Tool = QuickTool | HeavyTool

/** No quantity at a bench is larger, in whatever unit; beyond, sums of it are no figures any more. */
const largestFigure = 1e15

/** The path of the first figure that no bench knows. */
function beyondAll(given: unknown, path: string[] = []): string[] | undefined {
  if (typeof given === 'number') return Math.abs(given) <= largestFigure ? undefined : path
  if (given === null || typeof given !== 'object') return undefined
  for (const [key, inside] of Object.entries(given)) {
    const found = beyondAll(inside, [...path, key])
    if (found) return found
  }
  return undefined
}

/**
 * Reads what an instrument is given. A key that it does not know is refused, not dropped: misspelt, it would be judged as if it had not been said.
 * @throws ZodError, InputError at the unknown key
 */
export function readToolInput<I>(input: z.ZodType<I>, given: unknown): I {
  const read = input.parse(given)
  const huge = beyondAll(read)
  if (huge) throw new InputError(huge.join('.'), given, `${huge.at(-1)}: more than anything at a bench can be. Look at its unit.`)
  const unknown = unknownKey(given, read)
  if (unknown) {
    const known = input instanceof z.ZodObject && unknown.length === 1 ? ` It knows ${Object.keys(input.shape).join(', ')}.` : ''
    throw new InputError(
      unknown.join('.'),
      given,
      `“${unknown.at(-1)}” is nothing that this instrument knows.${known} Leave it out, or spell it as the instrument does.`,
    )
  }
  return read
}

const disciplineOf = (id: string) => id.split('/')[0] ?? ''

/** Keeps the types of one instrument together while the registry forgets them. */
/** Its id stays in its type: what is kept by ids has to know all of them. */
type Named<T, Id extends string> = T & { id: Id }
export const defineTool = <I, O, const Id extends string>(tool: Named<Omit<QuickTool<I, O>, 'discipline'>, Id>): Named<QuickTool<I, O>, Id> => ({
  ...tool,
  discipline: disciplineOf(tool.id),
})
export const defineHeavyTool = <I, O, const Id extends string>(tool: Named<Omit<HeavyTool<I, O>, 'discipline'>, Id>): Named<HeavyTool<I, O>, Id> => ({
  ...tool,
  discipline: disciplineOf(tool.id),
})

/** What `GET /api/tools` says of one instrument, with JSON Schema for input and output. */
export function describeTool(tool: Tool) {
  const { id, title, discipline, summary, example } = tool
  return { id, title, discipline, summary, input: z.toJSONSchema(tool.input, { io: 'input' }), output: z.toJSONSchema(tool.output, { io: 'output' }), example }
}
