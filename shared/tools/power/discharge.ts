import { z } from 'zod'
import { discharge, touchLimitV } from '#core/power/discharge'
import { quantity } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const powerDischarge = defineTool({
  id: 'power/discharge',
  title: 'Stored charge',
  summary: 'What big capacitors hold, and how to empty them: resistor, its rating, the time, the spark.',
  input: z.object({
    capacitors: z
      .array(
        z.object({
          name: z.string().max(60).optional(),
          capacitanceF: quantity('F', 'Capacitance', { above: 0, upTo: 10 }),
          voltageV: quantity('V', 'Voltage', { above: 0, upTo: 50_000 }),
          bleederOhm: quantity('Ω', 'Bleeder', { above: 0, upTo: 1e9 }).optional(),
          joined: z.boolean().optional(),
        }),
      )
      .max(40),
    resistorOhm: quantity('Ω', 'Resistor', { above: 0, upTo: 1e9 }).optional(),
    safeVoltageV: quantity('V', 'Discharged at', { above: 0, upTo: touchLimitV }).optional(),
    waitSeconds: z.number().min(0).max(1e7).optional(),
  }),
  output: z.object({
    resistorOhm: z.number(),
    resistorPowerW: z.number(),
    resistorVoltageV: z.number(),
    resistorsInSeries: z.number(),
    totalEnergyJ: z.number(),
    capacitors: z.array(
      z.object({
        name: z.string(),
        energyJ: z.number(),
        secondsToSafe: z.number(),
        voltageAfterWaitV: z.number(),
        peakCurrentA: z.number(),
        secondsByBleeder: z.number().nullable(),
      }),
    ),
    findings: z.array(Finding),
  }),
  example: {
    capacitors: [
      { name: 'Mains reservoir', capacitanceF: 220e-6, voltageV: 325, bleederOhm: 220_000 },
      { name: '5 V filter', capacitanceF: 0.01, voltageV: 12 },
    ],
    safeVoltageV: 12,
  },
  run: discharge,
  findings: output => output.findings,
})
