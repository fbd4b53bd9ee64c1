import { formatFor, judgeJob, judgePrinter, mediaFor } from '#core/sharing/printer'
import { limitWords } from '#core/retest/sign-off'
import { gateWords } from '#core/safety/gate'
import type { PrinterView } from '#shared/chapters/printing/index'
import { acquisitionNames } from '#shared/kernel/acquisitions'
import { asc, desc, eq, inArray, ne } from 'drizzle-orm'
import { printJobs, printerOf } from '../chapters/printing/index'
import { practiceOf } from '../chapters/practice/index'
import { machineByTag, machineSheet } from '../kernel/sheet'
import type { Bench } from '../kernel/work'
import { PrinterTrouble, seeJob, seePrinter, sendJob } from './ipp-client'
import type { Label } from './label-drawing'

type Job = typeof printJobs.$inferSelect
/** So many that were printed stay in sight. */
const mostShown = 60

/** What a label says. */
export function labelOf(bench: Bench, { kind, tag, origin }: Pick<Job, 'kind' | 'tag' | 'origin'>): Label {
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
  return {
    ...base,
    lines: [
      made,
      `${house}, ${today}`,
      `Replaced: ${sheet.done.replaced.join('; ') || 'nothing'}.`,
      ...(sheet.done.patches.length ? [`Wires: ${sheet.done.patches.join('; ')}.`] : []),
      ...(sheet.bags.some(b => b.ended === null)
        ? [
            `Originals kept: ${sheet.bags
              .filter(b => b.ended === null)
              .map(b => `${b.part}, ${b.bag}`)
              .join('; ')}.`,
          ]
        : []),
      `${gateWords[sheet.power.inForce].title}; ${standing ? `signed off ${standing.at.slice(0, 10)}${standing.limits ? `, ${limitWords(standing.limits)}` : ''}` : 'not signed off'}. Check again before power.`,
    ],
    url: sheet.passport.on && sheet.passport.path ? `${origin}${sheet.passport.path}` : `${origin}/m/${encodeURIComponent(tag)}`,
  }
}

/** The printer and what waits for it, as it stands now. */
export async function printerView({ db }: Bench): Promise<PrinterView> {
  const { uri, version } = printerOf(db)
  const jobs = db
    .select()
    .from(printJobs)
    .orderBy(desc(printJobs.id))
    .limit(mostShown)
    .all()
    .map(({ id, kind, tag, state, says, at, by }) => ({ id, kind, tag, state, says, at, by }))
  return { uri, version, jobs, ...(await stateOf(uri)) }
}

async function stateOf(uri: string): Promise<{ ready: boolean; says: string }> {
  if (!uri) return { ready: false, says: 'No printer is known.' }
  try {
    return judgePrinter(await seePrinter(uri))
  } catch (error) {
    if (!(error instanceof PrinterTrouble)) throw error
    return { ready: false, says: error.message }
  }
}

/**
 * Sends what waits, one label after the other, and looks after those that were sent. What the printer does not take stays in the queue and says why.
 * @returns whether anything changed
 */
export async function workQueue(bench: Bench): Promise<boolean> {
  const { db } = bench
  const { uri } = printerOf(db)
  const jobs = db
    .select()
    .from(printJobs)
    .where(inArray(printJobs.state, ['waiting', 'sent']))
    .orderBy(asc(printJobs.id))
    .all()
  if (!uri || !jobs.length) return false
  let changed = false
  const note = (job: Job, now: Partial<Pick<Job, 'state' | 'says' | 'printerJob'>>) => {
    if (Object.entries(now).every(([field, value]) => job[field as keyof Job] === value)) return
    changed = true
    db.update(printJobs).set(now).where(eq(printJobs.id, job.id)).run()
  }
  for (const job of jobs) {
    try {
      if (job.state === 'sent') {
        const { state, reasons } = await seeJob(uri, job.printerJob!)
        const judged = judgeJob(state, reasons)
        if (judged?.printed) note(job, { state: 'printed', says: judged.says })
        else if (judged) note(job, { state: 'waiting', says: judged.says, printerJob: null })
        continue
      }
      const seen = await seePrinter(uri)
      const judged = judgePrinter(seen)
      if (!judged.ready) {
        for (const waiting of jobs) if (waiting.state === 'waiting') note(waiting, { says: judged.says })
        break
      }
      const media = mediaFor(seen.media)
      const format = formatFor(seen.formats)!
      // Drawing PDF takes large packages, which no start of the server should wait for.
      const { drawLabel } = await import('./label-drawing')
      const bytes = await drawLabel(labelOf(bench, job), media, format)
      const printerJob = await sendJob(uri, { name: `Label ${job.tag}`, by: job.by, format, media: media.name, bytes })
      note(job, { state: 'sent', says: 'Sent to the printer.', printerJob })
    } catch (error) {
      if (!(error instanceof PrinterTrouble)) throw error
      note(job, { says: error.message })
    }
  }
  return changed
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

/** Whether anything waits, or is on its way. */
export const anythingWaits = ({ db }: Bench): boolean =>
  db.select({ id: printJobs.id }).from(printJobs).where(ne(printJobs.state, 'printed')).limit(1).get() !== undefined
