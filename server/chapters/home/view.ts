import { readDateCode } from '#core/identify/date-code'
import { assess } from '#core/planning/assess'
import type { Passport } from '#shared/chapters/home/index'
import { isOpen, type ViewOf } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import { historyOf } from '../../kernel/history'
import { loadFile } from '../../kernel/load'
import { NotFound } from '../../kernel/refusals'
import { machines } from '../../kernel/trunk'
import type { Bench } from '../../kernel/work'
import { datingOf } from '../arrive/index'
import { recordOf } from '../index'

/** Where its passport is found. */
export const homeView = ({ file: { machine } }: ViewInput): ViewOf<'home'> => ({
  passport: { on: machine.passportOn, path: machine.passportToken && `/passport/${machine.passportToken}` },
})

/** What the passport shows. Names of people, donor, owner, prices and places stay behind. @throws NotFound also while it is switched off */
export function passportOf({ db, now }: Pick<Bench, 'db' | 'now'>, token: string): Passport {
  const at = now().toISOString()
  const machine = db.select().from(machines).where(eq(machines.passportToken, token)).get()
  if (!machine?.passportOn) throw new NotFound('There is no passport under this link, or it has been switched off.')
  const file = loadFile(db, machine.id)
  const history = historyOf(db, machine.id)
  const { tag, name, maker, serial, stage, life, bookedInAt } = machine
  return {
    collection: file.practice.name,
    tag,
    name,
    maker,
    serial,
    about: file.model?.about ?? '',
    stage,
    life,
    bookedInAt,
    gate: assess(recordOf(file), at).known.gateInForce,
    assemblies: file.assemblies.map(({ name, presence, grade }) => ({ name, presence, grade })),
    faults: file.faults.map(({ symptom, open }) => ({ symptom, open })),
    partsSought: file.partNeeds.filter(p => p.outcome === 'wanted').map(({ name, quantity }) => ({ name, quantity })),
    questions: file.questions.filter(q => !q.settledAt).map(q => q.question),
    dateCodes: file.dateCodes.map(({ part, code }) => `${code}${part && ` on ${part}`}: ${readDateCode({ code }).readings[0]?.says ?? 'no date'}`),
    made: datingOf(file)?.findings[0]?.says ?? '',
    history: history.filter(line => isOpen(line.kind) && !line.struck).map(({ at, says }) => ({ at, says })),
    proof: { entries: history.length, hash: history[0]?.hash ?? '' },
  }
}
