import { z } from 'zod'
import type { Pixels } from '#core/condition/corrosion-area'
import type { Finding } from '#core/kernel/finding'

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

const disciplineOf = (id: string) => id.split('/')[0] ?? ''

/** Keeps the types of one instrument together while the registry forgets them. */
export const defineTool = <I, O>(tool: Omit<QuickTool<I, O>, 'discipline'>): QuickTool<I, O> => ({ ...tool, discipline: disciplineOf(tool.id) })
export const defineHeavyTool = <I, O>(tool: Omit<HeavyTool<I, O>, 'discipline'>): HeavyTool<I, O> => ({ ...tool, discipline: disciplineOf(tool.id) })

/** What `GET /api/tools` says of one instrument, with JSON Schema for input and output. */
export function describeTool(tool: Tool) {
  const { id, title, discipline, summary, example } = tool
  return { id, title, discipline, summary, input: z.toJSONSchema(tool.input, { io: 'input' }), output: z.toJSONSchema(tool.output, { io: 'output' }), example }
}
