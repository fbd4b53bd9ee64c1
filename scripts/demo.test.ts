import { execFile } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import Database from 'better-sqlite3'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { stages } from '#core/kernel/stages'
import { daysBetween } from '#core/kernel/days'
import { gateVerdicts } from '#core/safety/gate-words'
import { openDatabase } from '../server/db/connection'
import { MachineQuery } from '#shared/kernel/machine'
import { listMachines, today } from '../server/chapters/lists/index'
import { historyOf } from '../server/kernel/history/history'
import { chapterNames, sheetShape } from '#shared/chapters/index'
import { unknownKey } from '#shared/kernel/unknown-key'
import { machineByTag, machineSheet } from '../server/kernel/sheet'
import { sessionSecret } from './lib/setup.mjs'

const runTsx = (script: string, args: string[], env: Record<string, string> = {}) =>
  promisify(execFile)('npx', ['tsx', script, ...args], { env: { ...process.env, ...env } })
let folder: string

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jolly-bench-demo-'))
  const { JOLLY_DEMO_TEMPLATE: template } = process.env
  if (template) cpSync(template, folder, { recursive: true })
  else await runTsx('scripts/fill-demo.ts', [folder])
}, 180_000)
afterAll(() => rmSync(folder, { recursive: true }))

it('the demo shows every stage, every sign of the gate, waits that run and waits that are over', () => {
  const db = openDatabase(folder)
  const machines = listMachines(db, MachineQuery.parse({}), new Date().toISOString()).rows
  expect(new Set(machines.map(m => m.stage))).toEqual(new Set(stages))
  expect(new Set(machines.map(m => m.gate))).toEqual(new Set(gateVerdicts))
  expect(new Set(today(db).waiting.rows.map(w => w.until <= new Date().toISOString()))).toEqual(new Set([true, false]))
  expect(machines.some(m => m.harm.rank > 0)).toBe(true)
  expect(machines.every(m => historyOf(db, machineByTag(db, m.tag).id).length > 0)).toBe(true)
  // A year of history: nothing happened tomorrow, and the oldest machine has been here for most of a year.
  const ages = machines.map(m => daysBetween(m.bookedInAt, new Date().toISOString()))
  expect([Math.min(...ages) >= 0, Math.max(...ages) > 300]).toEqual([true, true])
  db.$client.close()
})

it('verify finds the demo whole, and names the first entry that was tampered with', async () => {
  const whole = await runTsx('scripts/verify.ts', [], { JOLLY_DATA: folder })
  expect(whole.stdout).toMatch(/^Whole: \d+ entries in 25 chains\.\n$/)
  const client = new Database(join(folder, 'jolly-bench.sqlite'))
  const id = (client.prepare("SELECT id FROM journal WHERE kind = 'fault.reported' ORDER BY id LIMIT 1").get() as { id: number }).id
  client.exec(`DROP TRIGGER journal_is_not_changed; UPDATE journal SET by = 'Nobody' WHERE id = ${id}`)
  client.close()
  const broken = await runTsx('scripts/verify.ts', [], { JOLLY_DATA: folder }).catch((error: { code: number; stdout: string }) => error)
  expect(broken).toMatchObject({ code: 1, stdout: expect.stringContaining(`row ${id}`) as string })
}, 180_000)

it('the secret of the sessions is made once and readable by its owner alone', () => {
  const secret = sessionSecret(folder)
  expect(secret).toMatch(/^[0-9a-f]{64}$/)
  expect(sessionSecret(folder)).toBe(secret)
  expect(statSync(join(folder, 'session-secret')).mode & 0o777).toBe(0o600)
  expect(readFileSync(join(folder, 'demo-sign-ins.json'), 'utf8')).not.toContain('hash')
})

it('no view of any machine sends what its shape does not say', () => {
  const db = openDatabase(folder)
  for (const { tag } of listMachines(db, MachineQuery.parse({}), new Date().toISOString()).rows) {
    const sent: unknown = JSON.parse(JSON.stringify(machineSheet({ db, now: () => new Date() }, tag, chapterNames)))
    expect(unknownKey(sent, sheetShape.parse(sent)), tag).toBeUndefined()
  }
  db.$client.close()
})
