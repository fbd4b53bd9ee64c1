import { execFile } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { ZodError } from 'zod'
import { InputError } from '#core/kernel/input-error'
import { seeded } from '#core/kernel/random'
import { chapterNames, commands, isMachineCommand, sheetShape } from '#shared/chapters/index'
import { MachineQuery } from '#shared/kernel/machine'
import { passportOfFile } from '../../server/chapters/home/index'
import { eveningView } from '../../server/chapters/plan/index'
import { machines } from '../../server/kernel/trunk'
import { workshopNow } from '../../server/chapters/workshop/index'
import { workOff } from '../../server/kernel/settling/caretaker'
import { listMachines, today } from '../../server/chapters/lists/index'
import { loadFile } from '../../server/kernel/load'
import { performOnCollection, performOnMachine } from '../../server/kernel/perform'
import { Refusal } from '../../server/kernel/refusals'
import { machineByTag, machineSheet } from '../../server/kernel/sheet'
import type { Bench } from '../../server/kernel/work'
import { fillDemoCollection, type ToldCommand } from '../lib/demo-collection'
import { type Outcome, pick } from './attack'
import { toExtremes } from './to-extremes'

const dayMs = 24 * 60 * 60 * 1000
/** What was kept is read back now, much later, and under a clock that was set back. */
const clocks = [0, 400 * dayMs, -800 * dayMs]
class TakenBack extends Error {}

/** What came of one command at its extremes. */
export interface TriedCommand {
  name: string
  tried: number
  refused: number
  failures: string[]
}

/** Tries a command at extremes of its input, drawn by chance for so long, and takes each back. @param forMs so long at most */
export function tryExtremes(told: ToldCommand, random: () => number, forMs: number): TriedCommand {
  const { bench, name, input } = told
  const done: TriedCommand = { name, tried: 0, refused: 0, failures: [] }
  if (JSON.stringify(input).includes('passwordHash')) return done
  const began = performance.now()
  const variants = [...toExtremes(input)]
  while (variants.length && performance.now() - began < forMs) {
    const variant = variants.splice(variants.indexOf(pick(random, variants)), 1)[0]!
    done.tried++
    const wrong = tryOne(bench, { ...told, input: variant.input(input) })
    if (wrong === 'refused') done.refused++
    else if (wrong) done.failures.push(`${name}: ${variant.path}: ${wrong}`)
  }
  return done
}

function outcomeOf(all: readonly TriedCommand[]): Outcome {
  const sum = (of: (one: TriedCommand) => number) => all.reduce((total, one) => total + of(one), 0)
  return {
    figures: {
      'extremes tried': sum(t => t.tried),
      'refused with a reason': sum(t => t.refused),
      'kept and read back': sum(t => t.tried - t.refused - t.failures.length),
      'commands': new Set(all.filter(t => t.tried).map(t => t.name)).size,
    },
    failures: all.flatMap(t => t.failures),
  }
}

/**
 * Feeds each command of the demo's stories the extremes of its input, and reads everything back that was kept of them; then takes them back.
 * What a contract lets in, every rule has to be able to read. @param seconds so long; the rest of the stories goes by untried
 */
export async function extremesFor(seed: number, seconds: number): Promise<Outcome> {
  const random = seeded(seed)
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-extremes-'))
  const all: TriedCommand[] = []
  const until = { spentMs: 0, mostMs: seconds * 1000 }
  // How many commands the stories have is not known beforehand; each gets its share of the time by chance.
  const shareMs = (seconds * 1000) / 700
  function before(told: ToldCommand) {
    if (until.spentMs >= until.mostMs) return
    const began = performance.now()
    all.push(tryExtremes(told, random, shareMs))
    until.spentMs += performance.now() - began
  }
  try {
    await fillDemoCollection(folder, before)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
  return outcomeOf(all)
}

/**
 * The same with every command that the server's tests send: each chapter's tests lead to the states in which its commands can be carried out.
 * The tests run with `JOLLY_EXTREMES`, by which `tests/support/server-bench.ts` tries the extremes before each command.
 */
export async function extremesOfTests(seed: number, seconds: number): Promise<Outcome> {
  const report = join(mkdtempSync(join(tmpdir(), 'jolly-bench-extremes-')), 'tried')
  try {
    // What the tests themselves come to is not asked: the extremes are among the statements that some of them count.
    await promisify(execFile)('npx', ['vitest', 'run', '--project', 'server', '--testTimeout', '600000', '--reporter', 'dot', 'server/', 'lesser-commands'], {
      env: { ...process.env, JOLLY_EXTREMES: `${seed} ${Math.round((seconds * 1000) / mostSent)} ${report}` },
      maxBuffer: 64 * 2 ** 20,
    }).catch(() => undefined)
    if (!existsSync(report)) throw new Error('The tests of the server could not be run.')
    return outcomeOf(
      readFileSync(report, 'utf8')
        .trim()
        .split('\n')
        .map(line => JSON.parse(line) as TriedCommand),
    )
  } finally {
    rmSync(join(report, '..'), { recursive: true, force: true })
  }
}
/** About so many commands the tests of the server send. */
const mostSent = 700

/** @returns what went wrong; `refused` where it was refused as it should be, nothing where it was kept and can be read */
function tryOne(bench: Bench, { person, name, input, tag }: ToldCommand): string | undefined {
  const refusedBy = (error: unknown) =>
    error instanceof ZodError || error instanceof InputError || error instanceof Refusal ? 'refused' : String((error as Error).stack).slice(0, 400)
  let parsed: unknown
  try {
    parsed = commands[name].parse(input)
  } catch (error) {
    return refusedBy(error)
  }
  let result: string | undefined
  try {
    bench.db.transaction(() => {
      try {
        if (isMachineCommand(name)) performOnMachine(bench, person, tag!, name, parsed as never)
        else performOnCollection(bench, person, name, parsed as never)
      } catch (error) {
        result = refusedBy(error)
        throw new TakenBack()
      }
      result = readBack(bench, tag)
      throw new TakenBack()
    })
  } catch (error) {
    if (!(error instanceof TakenBack)) return String((error as Error).stack).slice(0, 400)
  }
  return result
}

function readBack(bench: Bench, tag: string | undefined): string | undefined {
  workOff(bench)
  // What was done to the collection is looked at on its newest machines.
  const tags = tag
    ? [tag]
    : bench.db
        .select({ tag: machines.tag })
        .from(machines)
        .all()
        .slice(-2)
        .map(m => m.tag)
  for (const aside of clocks) {
    const then = new Date(bench.now().getTime() + aside)
    const at = { ...bench, now: () => then }
    try {
      for (const one of tags) {
        const sheet = machineSheet(at, one, chapterNames)
        if (sheet.unreadable.length) return `the sheet: ${sheet.unreadable.map(u => `${u.chapter}: ${u.says}`).join('; ')}`
        const text = JSON.stringify(sheet)
        if (text.includes('"record.unreadable"'))
          return `a rule: ${/"says":"([^"]*cannot be read[^"]*)","because":\[([^\]]*)\]/.exec(text)?.slice(1).join(' ')}`
        const shape = sheetShape.safeParse(JSON.parse(text))
        if (!shape.success) return `the sheet has not its shape: ${shape.error.issues[0]?.path.join('.')}: ${shape.error.issues[0]?.message}`
        passportOfFile(at, loadFile(bench.db, machineByTag(bench.db, one).id))
      }
      listMachines(bench.db, MachineQuery.parse({ size: 100 }), then.toISOString())
      today(bench.db)
      eveningView(bench.db, then.toISOString())
      workshopNow(bench.db, then.toISOString())
    } catch (error) {
      return `${aside ? `${aside / dayMs} days aside, ` : ''}${String((error as Error).stack).slice(0, 400)}`
    }
  }
  return undefined
}
