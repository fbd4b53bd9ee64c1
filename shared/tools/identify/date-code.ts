import { z } from 'zod'
import { readDateCode } from '#core/identify/date-code'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const format = z.enum(['year-week', 'week-year', 'short-year-week', 'year-month', 'month-year', 'year', 'letter-code'])

export const identifyDateCode = defineTool({
  id: 'identify/date-code',
  title: 'Date code',
  summary: 'Reads a date marking off a chip, capacitor or board: every plausible week or month, best first, with why.',
  input: z.object({ code: z.string().max(200), earliestYear: z.number().optional(), latestYear: z.number().optional() }),
  output: z.object({
    code: z.string(),
    readings: z.array(
      z.object({
        format,
        read: z.string(),
        says: z.string(),
        isoWeek: z.string().optional(),
        isoMonth: z.string().optional(),
        firstDay: z.string(),
        lastDay: z.string(),
        because: z.array(z.string()),
        typeNumber: z.boolean().optional(),
      }),
    ),
    refused: z.array(z.object({ format, read: z.string(), says: z.string() })),
    findings: z.array(Finding),
  }),
  example: { code: '8235' },
  run: readDateCode,
  findings: output => output.findings,
})
