import { z } from 'zod'
import { InputError } from '#core/kernel/input-error'
import { homeSteps } from '#core/power/battery-home'
import { batteryStates, chargings, chemistryNames, replacementNames } from '#core/power/battery'
import { warmPartNames } from '#core/power/temperature'
import { checkConfiguration, configurationKindNames } from '#core/safety/configuration'
import { bounded, oneOf, optionalBounded, optionalQuantity, optionalText, quantity, text } from '../../kernel/fields'
import { row } from '../../kernel/row'
import { Finding } from '../../kernel/shapes'

const s = z.string()

export const ConfigurationTyped = {
  kind: oneOf(configurationKindNames as ['whole', ...typeof configurationKindNames], 'Configuration'),
  out: z.array(text('Assembly', 60)).max(60, 'What is out: sixty at most.').default([]),
}

/** Outputs of a bench supply; a line that was left empty is none. */
export const BenchTyped = z
  .array(z.looseObject({ voltageV: z.unknown() }))
  .max(21, 'Outputs of the bench supply: twenty at most.')
  .default([])
  .transform(lines => lines.filter(line => line.voltageV !== undefined && line.voltageV !== null && String(line.voltageV).trim() !== ''))
  .pipe(
    z.array(
      z.object({
        feeds: text('Feeds', 30),
        voltageV: quantity('V', 'Voltage', { above: -400, upTo: 400 }),
        limitA: quantity('A', 'Limit', { above: 0, upTo: 100 }),
        polarityChecked: z.boolean().default(false),
      }),
    ),
  )

export const ConfigurationShape = z.object(ConfigurationTyped)

/** What the core says of a configuration, at the field. */
export const configurationHolds = (typed: z.output<typeof ConfigurationShape>, context: z.RefinementCtx) => {
  try {
    checkConfiguration(typed)
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    context.addIssue({ code: 'custom', path: [error.field], message: error.message })
  }
}

const chemistry = oneOf(chemistryNames as ['unknown', ...typeof chemistryNames], 'Chemistry')

/** A battery or a cell; the first entries said of a change neither what it is of nor how many cells it has. */
export const Battery = row(
  {
    where: text('Where', 120),
    chemistry,
    cells: bounded('Cells', { above: 0, upTo: 24 }).pipe(z.number().int('Cells: a whole number, please.')).default(1),
    year: optionalBounded('Year on it', { above: 1949, upTo: 2100 }),
    state: oneOf(batteryStates, 'State'),
    fitted: z.boolean(),
    charging: oneOf(chargings, 'The circuit'),
  },
  { chemistry: 'unknown', cells: 1, year: null, charging: 'unknown' },
)

const ReplacementTyped = z.object({
  how: oneOf(replacementNames as ['none', ...typeof replacementNames], 'In its place'),
  chemistry,
  cells: bounded('Cells of the replacement', { above: 0, upTo: 24 }).pipe(z.number().int('Cells of the replacement: a whole number, please.')).default(1),
  voltageV: optionalQuantity('V', 'Voltage of the replacement', { above: 0, upTo: 50 }),
  diode: z.boolean().default(false),
})

/** Not settled yet, where no way is chosen; what else stands in the form does not count then. */
export const ReplacementChosen = z
  .looseObject({})
  .nullish()
  .transform(given => (given?.how ? given : null))
  .pipe(ReplacementTyped.nullable())

const celsius = quantity('°C', 'Temperature in °C', { from: -40, upTo: 400 })

export const WarmTyped = { part: oneOf(warmPartNames as ['chip', ...typeof warmPartNames], 'What'), where: optionalText('Which', 120) }

export const TemperatureTyped = { ...WarmTyped, celsius }

export const WarmLog = z
  .array(z.object({ atSeconds: z.number().min(0).max(1e7), celsius: z.number().min(-40).max(400) }))
  .min(1, 'The log has no temperatures.')
  .max(4000, 'The log: 4000 rows at most.')

export const BatteryView = z.object({
  id: z.number(),
  version: z.number(),
  ...Battery.seen,
  replacement: ReplacementTyped.nullable(),
  /** Next step of the clean-up, where it has leaked. */
  next: z.object({ step: z.enum(homeSteps), do: s }).nullable(),
  /** A step of the cleaning plan that neutralised something, where that is next here: it may have been this. */
  neutralisedInPlan: s.nullable(),
  findings: z.array(Finding),
})

export const TemperatureView = z.object({
  id: z.number(),
  part: WarmTyped.part,
  where: s,
  samples: z.array(z.object({ atSeconds: z.number(), celsius: z.number() })),
  readings: z.number(),
  highestC: z.number(),
  at: s,
  by: s,
  findings: z.array(Finding),
})
