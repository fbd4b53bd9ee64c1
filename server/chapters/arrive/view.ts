import { type ClaimOutcomes, claimOutcomes, proposedClaimKind } from '#core/identify/claim-outcomes'
import { readDateCode } from '#core/identify/date-code'
import { dateMachine } from '#core/identify/dating'
import { compareKit } from '#core/identify/kit'
import { ClaimJudged } from '#shared/chapters/arrive/index'
import type { ViewOf } from '#shared/chapters/index'
import { and, asc, count, desc, eq, isNull, ne } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { remembered } from '../../kernel/remembered'
import { machineSummaries, machines } from '../../kernel/trunk'
import { modelCalled } from '../models/index'
import { claims } from './schema'

/** How many sisters a sheet names. */
const mostSisters = 24

/** How claims made with machines from one source have fared. */
function sourceFared(tx: Tx, fromWhom: string) {
  const none = { confirmed: 0, refuted: 0, undecided: 0, open: 0 }
  // What was found comes from nobody, and not all of it from the same.
  if (!fromWhom) return none
  const rows = tx
    .select({ verdict: claims.verdict, n: count() })
    .from(claims)
    .innerJoin(machines, eq(machines.id, claims.machineId))
    .where(and(eq(machines.fromWhom, fromWhom), isNull(claims.struckBy)))
    .groupBy(claims.verdict)
    .all()
  return { ...none, ...Object.fromEntries(rows.map(r => [r.verdict, r.n])) }
}

/** What a marking reads as, in words. */
export const dateWords = remembered(
  (code: string) => readDateCode({ code }).readings[0]?.says ?? 'no date',
  code => code,
  5000,
)
/** A machine is looked at more often than its markings change. */
const dated = remembered(dateMachine, parts => JSON.stringify(parts), 100)

/** When it was made, as far as its parts tell. */
/** What stands on a part that was looked at here; one of a board that came from another machine never dates this one, but its own that came back does. */
const isDated =
  ({ exchanges }: MachineFile) =>
  ({ dateCode, looked, assembly }: MachineFile['inventoryLines'][number]) =>
    dateCode !== '' && looked && !exchanges.find(one => one.assembly.toLowerCase() === assembly.toLowerCase())?.came
export const datingOf = (file: MachineFile) =>
  file.dateCodes.length || file.inventoryLines.some(isDated(file))
    ? dated({
        codes: [
          ...file.dateCodes.map(({ code, part, reworked, socketed }) => ({ code, place: part, reworked, socketed })),
          // What is written down of its parts tells as well.
          ...file.inventoryLines
            .filter(isDated(file))
            .map(line => ({ code: line.dateCode, place: `${line.assembly} ${line.place}`, reworked: false, socketed: line.mounting === 'socketed' })),
        ],
        madeFrom: file.model?.madeFrom ?? undefined,
        madeTo: file.model?.madeTo ?? undefined,
      })
    : null

/** A model that came to be known under its name and maker after it was booked in. */
function modelOutThere(tx: Tx, { machine }: MachineFile) {
  const model = machine.modelId === null ? modelCalled(tx, machine) : undefined
  return model ? { modelId: model.id, name: model.name } : null
}

/** Machines of the same model, those with a battery that leaked first. */
function sistersNamed(tx: Tx, { machine }: MachineFile) {
  if (machine.modelId === null) return []
  return tx
    .select({ tag: machines.tag, nickname: machines.nickname, batteryLeaked: machineSummaries.batteryLeaked, signedOff: machineSummaries.signedOff })
    .from(machineSummaries)
    .innerJoin(machines, eq(machines.id, machineSummaries.machineId))
    .where(and(eq(machineSummaries.modelId, machine.modelId), ne(machineSummaries.machineId, machine.id)))
    .orderBy(desc(machineSummaries.batteryLeaked), desc(machineSummaries.signedOff), asc(machines.id))
    .limit(mostSisters)
    .all()
}

/** What was said of it, what came with it, and when it was made. */
export const arriveView = ({ tx, file }: ViewInput): ViewOf<'arrive'> => ({
  about: file.model?.about ?? '',
  joins: modelOutThere(tx, file),
  sisters: sistersNamed(tx, file),
  sistersInAll: file.sisters.all,
  claims: file.claims.map(c => ({ id: c.id, version: c.version, says: c.says, byWhom: c.byWhom, ...ClaimJudged.of(c) })),
  sourceFared: sourceFared(tx, file.machine.fromWhom),
  kit: compareKit(
    file.model?.usualKit ?? [],
    file.accessories.map(a => a.name),
  ).map(item => ({ ...item, wanted: file.partNeeds.some(p => p.outcome === 'wanted' && p.name === item.name) })),
  accessories: file.accessories.map(({ id, name }) => ({ id, name })),
  dateCodes: file.dateCodes.map(({ id, part, code, reworked, socketed }) => ({ id, part, code, reworked, socketed, says: dateWords(code) })),
  dating: datingOf(file),
})

/** So many claims are looked through; the newest. */
const mostClaims = 2000

/** What claims like each of these have turned out to be here, one of a kind. */
export function claimsLike(tx: Tx, said: readonly string[]): { outcomes: ClaimOutcomes[] } {
  if (!said.some(proposedClaimKind)) return { outcomes: [] }
  const past = tx
    .select({ says: claims.says, kind: claims.kind, verdict: claims.verdict })
    .from(claims)
    .where(isNull(claims.struckBy))
    .orderBy(desc(claims.id))
    .limit(mostClaims)
    .all()
  const outcomes = said.slice(0, 20).flatMap(says => claimOutcomes({ says, kind: null }, past) ?? [])
  return { outcomes: outcomes.filter((o, i) => outcomes.findIndex(other => other.kind === o.kind) === i) }
}
