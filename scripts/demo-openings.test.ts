import { execFile } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { looksAfter, nextCleaningStep } from '#core/cleaning/contamination'
import { nextHomeStep, placesToLook } from '#core/power/battery-home'
import { type Opening, slug } from '#core/kernel/heard'
import { type Skill, skillNames } from '#core/kernel/skills'
import { type MachineCommandName, chapterNames, commands } from '#shared/chapters/index'
import { MachineQuery } from '#shared/kernel/machine'
import { probeSheetOf } from '../server/chapters/continuity/index'
import { type PersonRow, findBySignIn, grantSkills } from '../server/chapters/people/index'
import { openDatabase } from '../server/db/connection'
import type { Db } from '../server/kernel/db'
import { workOff } from '../server/kernel/settling/caretaker'
import { listMachines } from '../server/chapters/lists/index'
import { performOnCollection, performOnMachine } from '../server/kernel/perform'
import { machineSheet } from '../server/kernel/sheet'
import { carryOut } from '../server/kernel/carry-out'
import type { Bench } from '../server/kernel/work'
import { goodFacts } from '../tests/support/good-facts'

let folder: string
let db: Db
let now = new Date()
let bench: Bench
/** Somebody with one skill each, and somebody with none. */
const crew = new Map<Skill | 'none', PersonRow>()

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jolly-bench-openings-'))
  const { JOLLY_DEMO_TEMPLATE: template } = process.env
  if (template) cpSync(template, folder, { recursive: true })
  else await promisify(execFile)('npx', ['tsx', 'scripts/fill-demo.ts', folder])
  db = openDatabase(folder)
  bench = { db, now: () => now, announce: () => {} }
  const petra = findBySignIn(db, 'petra')!
  for (const skill of ['none', ...skillNames] as const) {
    const signInName = `only-${skill}`
    performOnCollection(bench, petra, 'add-person', { name: `Only ${skill}`, signInName, role: 'volunteer', passwordHash: 'x' } as never)
    const { id, version } = findBySignIn(db, signInName)!
    if (skill !== 'none') carryOut(bench, petra, work => grantSkills(work, { personId: id, version, skills: [skill] }))
    crew.set(skill, findBySignIn(db, signInName)!)
  }
}, 180_000)
afterAll(() => {
  db.$client.close()
  rmSync(folder, { recursive: true })
})

const sheetOf = (tag: string) => machineSheet(bench, tag, chapterNames)
type Sheet = ReturnType<typeof sheetOf>
const good: Record<string, string> = { ...goodFacts, battery: 'none-fitted', fan: 'present' }
const dealtWith: Record<string, string> = { battery: 'out', liquidOrDirt: 'cleaned', pictureTube: 'enclosed', smoke: 'traced' }
type Act = [name: MachineCommandName, input: object]

/** What somebody does who takes an opening at its word. */
function actsFor({ code }: Opening, s: Sheet, by: PersonRow): Act[] {
  const { version, entered, inspectedById } = s.power
  const answer = (name: string, value: string): Act => ['assess-power', { version, facts: { ...entered, [name]: value }, inspectedById: inspectedById ?? null }]
  const [, fact, state] = /^gate\.(\w+)\.([\w-]+)$/.exec(code) ?? []
  const hazard = /^gate\.(?:suspected|hazard)\.([\w-]+?)(?:\.unsettled)?$/.exec(code)?.[1]
  const wait = /^wait\.(\w+)\.?(.*)$/.exec(code)
  const stops = /^fault\.stops\./.test(code)
  if (code === 'gate.not-inspected') return [['assess-power', { version, facts: entered, inspectedById: by.id }]]
  if (wait) return actsForWait(wait[1]!, wait[2]!, s)
  if (fact === 'battery' || code.startsWith('battery')) {
    const one = s.power.batteries.find(b => b.fitted || nextHomeStep(b))
    if (one?.fitted) return [['change-battery', { ...one, batteryId: one.id, fitted: false, replacement: null }]]
    if (one) {
      const { step } = nextHomeStep(one)!
      return [['step-battery', { batteryId: one.id, version: one.version, step, lookedAt: step === 'clean' ? placesToLook : [] }]]
    }
  }
  if (code.startsWith('custody.came.'))
    return s.custody.exchanges
      .filter(one => one.came && !one.looked)
      .slice(0, 1)
      .map(one => ['look-over-arrival', { exchangeId: one.id, found: 'No battery, clean' }])
  if (code.startsWith('custody.away.'))
    return s.custody.away.slice(0, 1).map(one => ['bring-back', { custodyId: one.id, version: one.version, note: 'Looked over, as it was' }])
  if (code.startsWith('probe.')) return actsForProbing(s, by)
  if (code.startsWith('recap.')) {
    const all = s.recap.capacitors.filter(c => (code === 'recap.out' ? c.state === 'out' : c.state === 'in' && (c.looksBad || c.verdict === 'bad')))
    const fit = (c: (typeof all)[number], v: number): Act => ['fit-capacitor', { capacitorId: c.id, version: v, polarityAsked: true, joints: 2 }]
    return all.flatMap((c): Act[] =>
      c.state === 'out'
        ? [fit(c, c.version)]
        : [['take-out-capacitor', { capacitorId: c.id, version: c.version, plus: 'as printed', fixing: c.fixing }], fit(c, c.version + 1)],
    )
  }
  if (code === 'opening.open')
    // Last out, first back.
    return s.opening.steps
      .filter(o => o.state === 'undone')
      .reverse()
      .map(({ id, version: v, fixings }): Act => ['count-back', { stepId: id, version: v, back: fixings.map(f => f.count) }])
  if (hazard) {
    const { version: hazardVersion } = s.hazards.find(h => h.kind === hazard)!
    return [['settle-hazard', { kind: hazard, version: hazardVersion, state: 'dealt-with', evidence: 'Looked at it, and dealt with it' }]]
  }
  if (stops)
    return s.faults
      .filter(f => f.open && f.stopsMachine)
      .slice(0, 1)
      .map(({ id }): Act => ['repair-fault', { faultId: id, did: 'Found it and mended it', closes: true }])
  if (fact === 'shortedRail') {
    const rails = s.expectedRails
    return rails.length
      ? [
          ...rails.map(({ name }): Act => [
            'measure-off-state',
            { rail: name, ohm: '220', reversedOhm: '260', leadsOhm: '0.2', loadAttached: false, rising: false },
          ]),
          ...(state === 'unsettled' ? [] : [answer(fact, 'no')]),
        ]
      : [['expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }], found: 'Read off its drawing' }]]
  }
  if (fact && fact in good) {
    const open = s.cleaning.contaminations.filter(c => c.state !== 'gone')
    if (fact === 'liquidOrDirt' && open.length)
      return open.slice(0, 1).map((one): Act => {
        const { step } = nextCleaningStep(one)!
        return [
          'step-contamination',
          { contaminationId: one.id, version: one.version, step, lookedAt: step === 'gone' ? looksAfter(one.kind) : [], waitHours: '1' },
        ]
      })
    return [answer(fact, state === 'not-looked' ? good[fact]! : (dealtWith[fact] ?? good[fact]!))]
  }
  return []
}

/** What runs by itself is waited for, and said to be over. */
function actsForWait(kind: string, what: string, s: Sheet): Act[] {
  if (kind === 'drying') {
    const { id, weighings } = s.cleaning.dryings.find(d => !d.endedAt && slug(d.what) === what)!
    const { massG } = weighings.at(-1)!
    return [
      ...Array.from({ length: 14 }, (_, i): Act => ['weigh', { dryingId: id, massG: massG - (i ? 0 : 0.01) }]),
      ['end-drying', { dryingId: id, reason: '' }],
    ]
  }
  if (kind === 'in') return s.bookings.filter(b => slug(b.what) === what).map(({ id }): Act => ['end-booking', { bookingId: id }])
  return s.waits.slice(0, 1).map(({ id }): Act => ['end-wait', { waitId: id, found: 'It is dry' }])
}

/** What is asked is answered as a sound board answers; then what is broken is bridged. */
function actsForProbing(s: Sheet, by: PersonRow): Act[] {
  for (const { id } of s.continuity.sheets) {
    const { checks, nets } = probeSheetOf(db, s.tag, id, by.id)
    const open = checks.filter(c => c.contact === null)
    if (open.length) return open.map((c): Act => ['answer-probe', { checkId: c.id, readingsOhm: [c.kind === 'short' ? null : (c.expectOhm ?? 0) + 0.5] }])
    const broken = nets.filter(n => n.pieces.length > 1 && n.state === 'broken')
    if (broken.length)
      return broken.map(({ net, pieces: [one, other] }): Act => [
        'fit-patch',
        { sheetId: id, net, a: one![0]!.name, b: other![0]!.name, lengthMm: 30, awg: 30, afterOhm: 0.5 },
      ])
  }
  return []
}

const shut = (s: Sheet) => s.gate.inForce === 'keep-off' || s.gate.inForce === 'not-yet-assessed'

it(
  'what would open the gate begins with a step that can be taken now, by whom it names, and leads to the end for every machine of the demo',
  { timeout: 180_000 },
  () => {
    const wrong: string[] = []
    for (const { tag, nickname } of listMachines(db, MachineQuery.parse({ size: 100 }), now.toISOString()).rows) {
      const seen: string[] = []
      for (let step = 0; step < 40; step++) {
        const s = sheetOf(tag)
        if (!shut(s)) break
        const [first] = s.power.gate.toOpen as Opening[]
        if (!first) {
          wrong.push(`${nickname}: shut, and nothing would open it`)
          break
        }
        seen.push(first.code)
        const by = crew.get(first.skill ?? 'none')!
        const acts = actsFor(first, s, by)
        try {
          if (!acts.length) throw new Error('nobody knows how to do it')
          for (const [name, input] of acts) {
            const fresh = name === 'assess-power' ? { version: sheetOf(tag).power.version } : {}
            performOnMachine(bench, by, tag, name, commands[name].parse({ ...input, ...fresh }) as never)
            workOff(bench)
            // A day after each weighing.
            now = new Date(now.getTime() + (name === 'weigh' ? 8.64e7 : 1000))
          }
        } catch (error) {
          wrong.push(`${nickname}: “${first.do}” (${first.code}, ${first.skill ?? 'anybody'}) is refused: ${(error as Error).message}`)
          break
        }
        // Two hours between what is done, so that what dries is dry.
        now = new Date(now.getTime() + 7.2e6)
        if (step === 39) wrong.push(`${nickname}: does not come to an end: ${seen.slice(-6).join(', ')}`)
      }
    }
    expect(wrong).toEqual([])
  },
)
