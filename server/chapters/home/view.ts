import { TZDate } from '@date-fns/tz'
import { format } from 'date-fns'
import { judgeDemonstrations, judgeLife } from '#core/retest/life'
import { lives } from '#core/kernel/stages'
import { assess } from '#core/planning/assess'
import type { Passport } from '#shared/chapters/home/index'
import type { ViewOf } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import { loadFile } from '../../kernel/load'
import { NotFound } from '../../kernel/refusals'
import { journalHeads, machines } from '../../kernel/trunk'
import type { Bench } from '../../kernel/work'
import { dateWords, datingOf } from '../arrive/index'
import { files, portraitOf } from '../look/index'
import { recordOf } from '../../kernel/assembled'
import { doneTo, outcomeOf } from '../stewardship/index'
import { publicRecord } from './public'

/** What may become of it, what is kept of it, what came of the work, and where its passport is found. */
export const homeView = ({ tx, file, assessment: { known } }: ViewInput): ViewOf<'home'> => ({
  livesJudged: Object.fromEntries(lives.map(life => [life, judgeLife(life, known)])) as ViewOf<'home'>['livesJudged'],
  lifeSince: file.machine.lifeSince,
  retestFrom: file.machine.life === 'store' ? known.retestFrom : null,
  demonstrations: file.demonstrations.map(({ id, at, minutes, says, trouble, by }) => ({ id, at, minutes, says, trouble, by })),
  demonstrationFindings: judgeDemonstrations(file.demonstrations, known.limits, at => dayIn(file.practice.zone, at)),
  bags: file.bags.map(({ id, part, bag, why, at, ended }) => ({ id, part, bag, why, at, ended })),
  done: doneTo(file),
  outcome: outcomeOf(tx, file),
  ...passportView(file),
})

/** The day of an instant on the clocks of the collection, as ISO date. */
const dayIn = (zone: string, at: string) => format(new TZDate(new Date(at), zone), 'yyyy-MM-dd')

const passportView = ({ machine, passportPictures }: MachineFile): Pick<ViewOf<'home'>, 'passport'> => ({
  passport: {
    on: machine.passportOn,
    diary: machine.passportDiary,
    path: machine.passportToken && `/passport/${machine.passportToken}`,
    beforeId: passportPictures?.beforeId ?? null,
    afterId: passportPictures?.afterId ?? null,
  },
})

/** So long at most an older passport is shown, where what changed is not of the machine itself. */
const passportLastsMs = 60_000
const mostPassports = 200

const sides = ['before', 'after', 'portrait'] as const
type PassportSide = (typeof sides)[number]
const isSide = (side: string): side is PassportSide => (sides as readonly string[]).includes(side)
interface Made {
  head: string
  at: number
  passport: Passport
  pictures: Partial<Record<PassportSide, string>>
}
const passports = new Map<string, Made>()

/**
 * The passport that is open under this link: made when something of the machine has changed, not whenever somebody looks.
 * @throws NotFound also while it is switched off
 */
function openPassport(bench: Pick<Bench, 'db' | 'now'>, token: string): Made {
  const { db, now } = bench
  const machine = db.select().from(machines).where(eq(machines.passportToken, token)).get()
  if (!machine?.passportOn) throw new NotFound('There is no passport under this link, or it has been switched off.')
  const head = db.select().from(journalHeads).where(eq(journalHeads.chain, machine.uid)).get()?.hash ?? ''
  const at = now().getTime()
  const before = passports.get(token)
  if (before?.head === head && Math.abs(at - before.at) < passportLastsMs) return before
  const file = loadFile(db, machine.id)
  const pictures = picturesOf(file)
  const portrait = portraitOf(file)
  const made: Made = {
    head,
    at,
    passport: passportOfFile(bench, file),
    pictures: { ...(pictures ? { before: pictures.before.hash, after: pictures.after.hash } : {}), ...(portrait ? { portrait: portrait.hash } : {}) },
  }
  passports.delete(token)
  passports.set(token, made)
  if (passports.size > mostPassports) passports.delete(passports.keys().next().value!)
  return made
}

/** The photographs before and after that a passport shows; nothing where one of them was struck. */
function picturesOf({ passportPictures, photographs }: MachineFile) {
  const [before, after] = [passportPictures?.beforeId, passportPictures?.afterId].map(id => photographs.find(p => p.id === id))
  return before && after ? { before, after } : null
}

/** The hash of a picture that the passport under this link shows. @throws NotFound */
export function passportPicture(bench: Pick<Bench, 'db' | 'now'>, token: string, side: string): string {
  const { pictures } = openPassport(bench, token)
  const hash = isSide(side) ? pictures[side] : undefined
  if (!hash) throw new NotFound('There is no such picture on this passport.')
  return hash
}

/** What the passport shows. Names of people, donor, owner, prices and places stay behind. @throws NotFound also while it is switched off */
export const passportOf = (bench: Pick<Bench, 'db' | 'now'>, token: string): Passport => openPassport(bench, token).passport

/** The passport of a machine, whether or not anybody outside may read it. */
export function passportOfFile({ db, now }: Pick<Bench, 'db' | 'now'>, file: MachineFile): Passport {
  const at = now().toISOString()
  const { machine } = file
  const { lines, clean } = publicRecord(db, file, machine.passportDiary)
  const head = db.select().from(journalHeads).where(eq(journalHeads.chain, machine.uid)).get()
  const pictures = picturesOf(file)
  const { tag, name, maker, serial, stage, life, bookedInAt } = machine
  return {
    collection: file.practice.name,
    tag,
    name,
    maker,
    serial,
    about: clean(file.model?.about ?? ''),
    stage,
    life,
    bookedInAt,
    gate: assess(recordOf(file), at).known.gateInForce,
    assemblies: file.assemblies.map(({ name, presence, grade }) => ({ name: clean(name), presence, grade })),
    faults: file.faults.map(({ symptom, open }) => ({ symptom: clean(symptom), open })),
    partsSought: file.partNeeds.filter(p => p.outcome === 'wanted').map(({ name, quantity }) => ({ name: clean(name), quantity })),
    questions: file.questions.filter(q => !q.settledAt).map(q => clean(q.question)),
    dateCodes: file.dateCodes.map(({ part, code }) => clean(`${code}${part && ` on ${part}`}: ${dateWords(code)}`)),
    made: datingOf(file)?.findings[0]?.says ?? '',
    portrait: portraitOf(file) !== null,
    pictures: pictures && { before: pictureOf(db, pictures.before, clean), after: pictureOf(db, pictures.after, clean) },
    history: lines.map(({ at, says }) => ({ at, says })).reverse(),
    proof: { entries: head?.seq ?? 0, hash: head?.hash ?? '' },
  }
}

function pictureOf(db: Bench['db'], { caption, hash }: MachineFile['photographs'][number], clean: (text: string) => string) {
  const { widthPx, heightPx, takenAt } = db.select().from(files).where(eq(files.hash, hash)).get()!
  return { caption: clean(caption), takenAt, widthPx, heightPx }
}
