import { z } from 'zod'
import type { Finding } from '#core/kernel/finding'

/** An instrument: one entry for the wall, the interface for programs and the pin on a machine. */
export interface Tool<I = never, O = unknown> {
  /** `discipline/name`. */
  id: string
  title: string
  discipline: string
  summary: string
  input: z.ZodType<I>
  output: z.ZodType<O>
  /** A worked example: an input that gives a telling result. */
  example: I
  run: (input: I) => O
  /** The findings that a pinned result is remembered by. */
  findings: (output: O) => Finding[]
}

/** Keeps the types of one instrument together while the registry forgets them. */
export const defineTool = <I, O>(tool: Omit<Tool<I, O>, 'discipline'>): Tool<I, O> => ({ ...tool, discipline: tool.id.split('/')[0] ?? '' })

/** What `GET /api/tools` says of one instrument, with JSON Schema for input and output. */
export function describeTool(tool: Tool<never, unknown>) {
  const { id, title, discipline, summary, example } = tool
  return { id, title, discipline, summary, input: z.toJSONSchema(tool.input, { io: 'input' }), output: z.toJSONSchema(tool.output, { io: 'output' }), example }
}
