import { writtenDay } from '../kernel/days'
import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** In what a material on the shelf is counted. */
export const shelfUnits = { ml: 'ml', g: 'g', pieces: 'pieces' } as const
export type ShelfUnit = keyof typeof shelfUnits

export interface ShelfMaterial {
  name: string
  amount: number
  unit: ShelfUnit
  /** From this amount down it is running low; nothing where nobody watches it. */
  lowAt: number | null
  /** Days as ISO dates. */
  openedOn: string | null
  useBy: string | null
}

/** From a thousand on people say the larger one. */
const larger: Partial<Record<ShelfUnit, string>> = { ml: 'l', g: 'kg' }
/** How much, as it is said: 180 ml, 15 l. */
export const amountWords = (amount: number, unit: ShelfUnit) =>
  amount >= 1000 && unit in larger ? `${significant(amount / 1000, 4)} ${larger[unit]}` : `${significant(amount, 4)} ${shelfUnits[unit]}`
/** Whether it is to be bought. */
export const runsLow = ({ amount, lowAt }: Pick<ShelfMaterial, 'amount' | 'lowAt'>): boolean => amount <= (lowAt ?? 0)

/** @param today day as an ISO date @returns what there is to say of a material on the shelf; the worst first */
export function judgeMaterial(one: ShelfMaterial, today: string): Finding[] {
  const findings: Finding[] = []
  if (one.amount <= 0) findings.push(finding('stop', 'shelf.empty', `There is none left: ${one.name}.`, 'The last of it was used.'))
  if (one.useBy !== null && one.useBy < today)
    findings.push(
      finding(
        'care',
        'shelf.past',
        `${one.name} is past its day, ${writtenDay(one.useBy)}.`,
        'It may be weaker than its label, or spoiled. Try it where nothing is lost, or measure its strength, before a dose is worked out from the label.',
        commonPractice,
      ),
    )
  if (one.amount > 0 && runsLow(one))
    findings.push(
      finding(
        'note',
        'shelf.low',
        `${one.name} is running low: ${amountWords(one.amount, one.unit)} left.`,
        `Wanted from ${amountWords(one.lowAt!, one.unit)} down.`,
      ),
    )
  return findings
}

/** What is left after so much was used. @throws InputError for more than there is */
export function takeFrom(one: Pick<ShelfMaterial, 'name' | 'amount' | 'unit'>, taken: number): number {
  if (!(taken > 0)) throw new InputError('amount', taken, 'Used: more than 0, please.')
  if (taken > one.amount + 1e-9)
    throw new InputError('amount', taken, `Used: the shelf has ${amountWords(one.amount, one.unit)} of ${one.name}. If there is more, correct the shelf first.`)
  return Math.max(0, significant(one.amount - taken, 12))
}
