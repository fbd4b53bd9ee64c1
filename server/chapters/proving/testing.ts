import { InputError } from '#core/kernel/input-error'
import { type TestLine, checkLines, checkLook, lineStates, testWait, usualLines } from '#core/retest/test-sheet'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import type { MachineFile } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork, Work } from '../../kernel/work'
import { reportFault } from '../faults/index'
import { models } from '../models/index'
import { endWait, waitFor } from '../waits/index'
import { modelProofs, testSheets } from './schema'

const mostLooks = 500

/** What a new sheet begins with: the lines of its model, or the usual ones. */
export function testLinesOf(tx: Tx, { machine, assemblies }: Pick<MachineFile, 'machine' | 'assemblies'>): { ofModel: boolean; lines: TestLine[] } {
  const kept = machine.modelId === null ? [] : (tx.select().from(modelProofs).where(eq(modelProofs.modelId, machine.modelId)).get()?.testLines ?? [])
  return kept.length ? { ofModel: true, lines: kept } : { ofModel: false, lines: usualLines(assemblies.filter(a => a.presence === 'present')) }
}

export function beginTestSheet(work: MachineWork): { sheetId: number } {
  const { lines } = testLinesOf(work.tx, work.file())
  const { id } = work.tx.insert(testSheets).values({ machineId: work.machine.id, lines, startedAt: work.at }).returning({ id: testSheets.id }).get()
  work.write('test.begun', { lines: lines.length })
  return { sheetId: id }
}

function lineOf(work: MachineWork, sheetId: number, line: number) {
  const { tx, machine } = work
  const sheet = tx
    .select()
    .from(testSheets)
    .where(and(eq(testSheets.id, sheetId), eq(testSheets.machineId, machine.id)))
    .get()
  if (!sheet || sheetId !== work.file().testSheets.at(-1)?.id) throw new NotFound(`${machine.tag} has no such test sheet, or a newer one.`)
  const tested = sheet.lines[line]
  if (!tested) throw new InputError('line', line, 'There is no such line on this sheet.')
  return { sheet, tested, state: lineStates(sheet.lines, sheet.looks)[line]! }
}

/** What came of a line. What runs is asked of the gate, for nobody can have tested what may not be started. */
export function lookTestLine(work: MachineWork, { sheetId, line, outcome, value, note }: CommandInput<'look-test-line'>): void {
  const { sheet, tested, state } = lineOf(work, sheetId, line)
  checkLook(tested, state, { outcome, value, at: work.at })
  if (sheet.looks.length >= mostLooks) throw new NotNow(`A sheet takes up to ${mostLooks} looks. Begin another.`)
  if (outcome === 'passed') {
    const { gateInForce, gate } = work.assess().known
    if (gateInForce === 'keep-off' || gateInForce === 'not-yet-assessed')
      throw new NotNow(
        'The gate does not let it be started, so nobody can have seen it pass.',
        gate.findings.filter(f => f.level === 'stop').map(f => f.says),
      )
  }
  work.tx
    .update(testSheets)
    .set({ looks: [...sheet.looks, { line, outcome, value, at: work.at, note, by: work.person.name }] })
    .where(eq(testSheets.id, sheetId))
    .run()
  for (const wait of work.file().waits.filter(w => w.what === testWait(tested))) endWait(work, { waitId: wait.id })
  if (outcome === 'left-alone') waitFor(work, 'test', testWait(tested), tested.hours!)
  work.write('test.looked', { says: tested.says, outcome, value, unit: tested.unit, note })
}

export function faultFromLine(work: MachineWork, { sheetId, line, stopsMachine }: CommandInput<'fault-from-line'>): void {
  const { sheet, tested, state } = lineOf(work, sheetId, line)
  if (state.state !== 'failed') throw new NotNow('This line has not failed.')
  const last = sheet.looks.findLast(l => l.line === line)!
  const figure = last.value === null ? '' : `${last.value} ${tested.unit}`.trim()
  reportFault(work, {
    symptom: [`Test failed: ${tested.says}`, [figure, last.note].filter(Boolean).join(', ')].filter(Boolean).join('; ').slice(0, 200),
    firstSeen: '',
    stopsMachine,
  })
}

/** What machines of a model are tried with; sheets that were begun keep theirs. */
export function setTestLines(work: Work, { modelId, version, lines }: CommandInput<'set-test-lines'>): void {
  const { tx, write } = work
  const model = tx.select().from(models).where(eq(models.id, modelId)).get()
  if (!model) throw new NotFound('There is no such model.')
  if (lines.length) checkLines(lines)
  const before = linesOfModel(tx, modelId)
  expectVersion(work, before, version, before.version, ['lines'])
  const now = { testLines: lines, version: before.version + 1 }
  tx.insert(modelProofs)
    .values({ modelId, ...now })
    .onConflictDoUpdate({ target: modelProofs.modelId, set: now })
    .run()
  write('test.lines', { model: model.name, lines: lines.length })
}

/** The lines that are kept with a model, and which version of them; the first is 1. */
export function linesOfModel(tx: Tx, modelId: number): { lines: TestLine[]; version: number } {
  const row = tx.select().from(modelProofs).where(eq(modelProofs.modelId, modelId)).get()
  return { lines: row?.testLines ?? [], version: row?.version ?? 0 }
}
