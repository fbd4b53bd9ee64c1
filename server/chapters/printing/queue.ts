import {
  type PrintFormat,
  type PrinterJudged,
  type PrinterSeen,
  formatFor,
  judgeJob,
  judgePrinter,
  longestPrintMinutes,
  mediaFor,
} from '#core/printing/printer'
import { codePath } from '#core/parts/codes'
import { partConditions } from '#core/parts/ledger'
import { specWords } from '#core/parts/substitute/words'
import { limitWords } from '#core/retest/sign-off'
import { gateWords } from '#core/safety/gate-words'
import type { PrinterView } from '#shared/chapters/printing/index'
import { acquisitionNames } from '#shared/kernel/acquisitions'
import { asc, desc, eq, inArray } from 'drizzle-orm'
import { printJobs, printerOf } from './index'
import { heldByUid } from '../parts/index'
import { practiceOf } from '../practice/index'
import { Refusal } from '../../kernel/refusals'
import { machineByTag, machineSheet } from '../../kernel/sheet'
import type { Bench } from '../../kernel/work'
import { PrinterTrouble, seeJob, seePrinter, sendJob } from './ipp-client'
import type { Label } from './label-drawing'

type Job = typeof printJobs.$inferSelect
/** So many that were printed stay in sight. */
const mostShown = 60

/** What a label says. */
export function labelOf(bench: Bench, { kind, tag, origin }: Pick<Job, 'kind' | 'tag' | 'origin'>): Label {
  if (kind === 'part') {
    const held = heldByUid(bench.db, tag)
    const like = held.kind ? specWords(held.kind, held.spec) : ''
    return {
      tag: `${held.count} ×`,
      title: held.name,
      lines: [like, partConditions[held.condition], held.lender && `Belongs to ${held.lender}`, held.lies].filter(Boolean),
      url: `${origin}${codePath({ what: 'part', uid: held.uid })}`,
    }
  }
  if (kind === 'place') return { tag, title: '', lines: [practiceOf(bench.db).name], url: `${origin}${codePath({ what: 'place', name: tag })}` }
  const sheet = machineSheet(bench, tag, ['power', 'proving', 'home'])
  const { identity } = sheet
  const house = practiceOf(bench.db).name
  const machine = machineByTag(bench.db, tag)
  const today = bench.now().toISOString().slice(0, 10)
  const made = [identity.name, identity.maker].filter(Boolean).join(', ')
  const base = { tag, title: identity.nickname || identity.name }
  if (kind === 'arrival')
    return {
      ...base,
      lines: [made, `${acquisitionNames[machine.acquired]}, ${machine.bookedInAt.slice(0, 10)}`, machine.place, house, 'Do not plug in. Ask first.'].filter(
        Boolean,
      ),
      url: `${origin}/m/${encodeURIComponent(tag)}`,
    }
  const standing = sheet.signOff.standing
  const on = sheet.readings.findLast(r => r.keptOff)
  const kept = sheet.bags.filter(b => b.ended === null).map(b => `${b.part}, ${b.bag}`)
  return {
    ...base,
    // What decides stands first: where the paper ends, the label ends.
    lines: [
      made,
      `${house}, ${today}`,
      `${gateWords[sheet.power.inForce].title}; ${standing ? `signed off ${standing.at.slice(0, 10)}${standing.limits ? `, ${limitWords(standing.limits)}` : ''}` : 'not signed off'}. Check again before power.`,
      ...(on ? [`It was on while it was to be kept off, ${on.at.slice(0, 10)}.`] : []),
      `Replaced: ${fewOf(sheet.done.replaced) || 'nothing'}.`,
      ...(sheet.done.patches.length ? [`Wires: ${fewOf(sheet.done.patches)}.`] : []),
      ...(kept.length ? [`Originals kept: ${fewOf(kept)}.`] : []),
    ],
    url: sheet.passport.on && sheet.passport.path ? `${origin}${sheet.passport.path}` : `${origin}/m/${encodeURIComponent(tag)}`,
  }
}

/** So many of a kind are named on a label; the record has all of them. */
const mostNamed = 12
const fewOf = (what: readonly string[]): string =>
  [...what.slice(0, mostNamed).map(one => one.slice(0, 80)), ...(what.length > mostNamed ? [`and ${what.length - mostNamed} more, see its record`] : [])].join(
    '; ',
  )

/** The printer and what waits for it, as it stands now. */
export async function printerView({ db, now }: Bench): Promise<PrinterView> {
  const { uri, version } = printerOf(db)
  const jobs = db
    .select()
    .from(printJobs)
    .orderBy(desc(printJobs.id))
    .limit(mostShown)
    .all()
    .map(({ id, kind, tag, state, says, at, by }) => ({ id, kind, tag, state, says, at, by }))
  return { uri, version, jobs, ...(await stateOf(uri, now().getTime())) }
}

/** However many look, the printer is asked once in so long. */
const askedEveryMs = 2000
let asked: { uri: string; at: number; seen: Promise<PrinterJudged> } | undefined
function stateOf(uri: string, at: number): Promise<PrinterJudged> {
  if (asked?.uri !== uri || Math.abs(at - asked.at) > askedEveryMs) asked = { uri, at, seen: judged(uri) }
  return asked.seen
}
async function judged(uri: string): Promise<PrinterJudged> {
  if (!uri) return { ready: false, says: 'No printer is known.' }
  try {
    return judgePrinter(await seePrinter(uri))
  } catch (error) {
    if (!(error instanceof PrinterTrouble)) throw error
    return { ready: false, says: error.message }
  }
}

export type Draw = (label: Label, size: { widthMm: number; heightMm: number }, format: PrintFormat) => Promise<Uint8Array>

const mayBePrinted = 'See whether it came out; then print it again, or take it out.'

/** One label, from the queue to the printer and on until it is printed. */
class LabelWork {
  changed = false
  constructor(
    private readonly bench: Bench,
    private readonly uri: string,
    private readonly draw: Draw,
  ) {}

  note(job: Job, now: Partial<Pick<Job, 'state' | 'says' | 'printerJob' | 'sentAt'>>): void {
    if (Object.entries(now).every(([field, value]) => job[field as keyof Job] === value)) return
    this.changed = true
    Object.assign(job, now)
    this.bench.db.update(printJobs).set(now).where(eq(printJobs.id, job.id)).run()
  }

  /** What became of one that lies at the printer. */
  async lookAfter(job: Job): Promise<void> {
    const { state, reasons } = await seeJob(this.uri, job.printerJob!)
    const judged = judgeJob(state, reasons)
    if (judged) this.note(job, judged.printed ? { state: 'printed', says: judged.says } : { state: 'held', says: judged.says, printerJob: null })
    else if (this.bench.now().getTime() - Date.parse(job.sentAt ?? job.at) > longestPrintMinutes * 60_000)
      this.note(job, {
        state: 'held',
        says: `The printer has not said for ${longestPrintMinutes} minutes what became of it. ${mayBePrinted}`,
        printerJob: null,
      })
  }

  /** A label that cannot be drawn stays behind; the others are not kept waiting for it. */
  private async drawn(job: Job, media: { widthMm: number; heightMm: number }, format: PrintFormat): Promise<Uint8Array | undefined> {
    try {
      return await this.draw(labelOf(this.bench, job), media, format)
    } catch (error) {
      if (!(error instanceof Refusal)) console.error(error)
      this.note(job, { state: 'held', says: error instanceof Refusal ? error.message : 'This label could not be drawn.' })
    }
  }

  /** Sends one. That it is being sent is kept before it is, so that whatever ends the program between the two prints nothing twice. */
  async send(job: Job, seen: PrinterSeen): Promise<void> {
    const media = mediaFor(seen.media)
    const format = formatFor(seen.formats)!
    const bytes = await this.drawn(job, media, format)
    if (!bytes) return
    this.note(job, { state: 'sending', says: 'On its way to the printer.', sentAt: this.bench.now().toISOString() })
    try {
      const printerJob = await sendJob(this.uri, { name: `Label ${job.tag}`, by: job.by, format, media: media.name, bytes })
      this.note(job, { state: 'sent', says: 'Sent to the printer.', printerJob })
    } catch (error) {
      if (!(error instanceof PrinterTrouble)) throw error
      this.note(job, error.reached ? { state: 'held', says: `${error.message} ${mayBePrinted}` } : { state: 'waiting', says: error.message, sentAt: null })
    }
  }
}

/**
 * Sends what waits, one label after the other, and looks after those that were sent. What the printer does not take stays in the queue and says why;
 * what may have been printed is held.
 * @returns whether anything changed
 */
export async function workQueue(bench: Bench, draw: Draw): Promise<boolean> {
  const { uri } = printerOf(bench.db)
  const jobs = bench.db
    .select()
    .from(printJobs)
    .where(inArray(printJobs.state, ['waiting', 'sent']))
    .orderBy(asc(printJobs.id))
    .all()
  if (!uri || !jobs.length) return false
  const work = new LabelWork(bench, uri, draw)
  for (const job of jobs) {
    try {
      if (job.state === 'sent') {
        await work.lookAfter(job)
        continue
      }
      const seen = await seePrinter(uri)
      const judged = judgePrinter(seen)
      if (!judged.ready) {
        for (const waiting of jobs) if (waiting.state === 'waiting') work.note(waiting, { says: judged.says })
        break
      }
      await work.send(job, seen)
    } catch (error) {
      if (!(error instanceof PrinterTrouble)) throw error
      work.note(job, { says: error.message })
    }
  }
  return work.changed
}

/** Those that were being sent when the program ended may have come out: a person looks. Only before anything is sent. */
export function holdUnfinished({ db }: Bench): void {
  db.update(printJobs)
    .set({ state: 'held', says: `The program ended while this was being sent. ${mayBePrinted}` })
    .where(eq(printJobs.state, 'sending'))
    .run()
}

/** Those that were printed long ago go. */
export function forgetPrinted({ db }: Bench): void {
  const old = db
    .select({ id: printJobs.id })
    .from(printJobs)
    .where(eq(printJobs.state, 'printed'))
    .orderBy(desc(printJobs.id))
    .offset(mostShown)
    .limit(500)
    .all()
  if (old.length)
    db.delete(printJobs)
      .where(
        inArray(
          printJobs.id,
          old.map(o => o.id),
        ),
      )
      .run()
}

/** Whether anything waits, or lies at the printer. */
export const anythingWaits = ({ db }: Bench): boolean =>
  db
    .select({ id: printJobs.id })
    .from(printJobs)
    .where(inArray(printJobs.state, ['waiting', 'sent']))
    .limit(1)
    .get() !== undefined
