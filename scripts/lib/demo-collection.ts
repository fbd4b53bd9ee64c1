import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import sharp from 'sharp'
import { measureCorrosionNow } from '#core/condition/corrosion-area'
import { countdownSeconds } from '#core/power/start-ritual'
import { type ScenarioName, simulatedMachine } from '../../instruments/meter/simulated-machine'
import { chapterNames, type CommandName, commands, readCommandInput, type MachineCommandName } from '#shared/chapters/index'
import { rowOf } from '#shared/chapters/continuity/index'
import type { CorrosionInputs } from '#shared/kernel/shapes'
import { desks } from '../../demo/machines/desks'
import { gannets } from '../../demo/machines/gannets'
import { small } from '../../demo/machines/small'
import { benchMaps } from '../../demo/bench-maps'
import { boardNotes, mainBoard, readsBetween } from '../../demo/boards'
import { models, type ModelKey } from '../../demo/models'
import { people } from '../../demo/people'
import { supplies } from '../../demo/supplies'
import { shelf, things } from '../../demo/workshop'
import type { PictureName } from '../../demo/photographs/index'
import { type Step, type Story, stepsOf } from '../../demo/story'
import { openDatabase } from '../../server/db/connection'
import { copyOf } from '../../server/files/image-copies'
import { keepImage } from '../../server/files/image-file'
import { rememberFile } from '../../server/chapters/look/index'
import { findBySignIn, firstStart } from '../../server/chapters/people/index'
import { probeSheetOf } from '../../server/chapters/continuity/index'
import { practiceOf } from '../../server/chapters/practice/index'
import { openStart } from '../../server/chapters/starts/index'
import { workshopNow } from '../../server/chapters/workshop/index'
import { workOff } from '../../server/kernel/settling/caretaker'
import * as kernel from '../../server/kernel/perform'
import { machineByTag, machineSheet } from '../../server/kernel/sheet'
import type { Bench, Person } from '../../server/kernel/work'
import { close, happen, open } from '../../server/chapters/starts/running'
import { priceLists } from '../../demo/prices'
import { fillHeld } from './fill-held'
import { fillSought } from './fill-sought'
import { drawPhotographs } from './photographs'

/** A command of the demo's stories, before it is carried out. */
export interface ToldCommand {
  bench: Bench
  person: Person
  name: CommandName
  input: unknown
  tag?: string
}

/**
 * Fills a fresh data folder with the demo collection, by the same commands that people use, at the dates of their stories.
 * @param before hears of every command before it is carried out
 */
export async function fillDemoCollection(folder: string, before: (told: ToldCommand) => void = () => {}) {
  const day = 24 * 60 * 60 * 1000
  const today = Date.now()
  const db = openDatabase(folder)
  let now = new Date(today - 400 * day)
  const bench: Bench = { db, now: () => now, announce: () => {} }
  /** Carries out, and settles at once whatever rests on it: nobody waits for this program. */
  const settled = <R>({ result }: { result: R }): R => {
    workOff(bench)
    return result
  }
  const performOnCollection = (...what: Parameters<typeof kernel.performOnCollection>) => {
    const [, person, name, input] = what
    before({ bench, person, name, input })
    return settled(kernel.performOnCollection(...what))
  }
  const performOnMachine = (...what: Parameters<typeof kernel.performOnMachine>) => {
    const [, person, tag, name, input] = what
    before({ bench, person, name, input, tag })
    return settled(kernel.performOnMachine(...what))
  }
  const at = (daysAgo: number) => {
    now = new Date(today - daysAgo * day)
  }

  const photograph = drawPhotographs()
  const hash = new Hash(new Scrypt({}))
  const [first, ...others] = people
  const coordinator = firstStart(bench, {
    collection: 'Skerrow Head Signal Museum',
    name: first.name,
    signInName: first.signInName,
    passwordHash: await hash.make(first.password),
  })
  for (const { password, skills: _, ...person } of others)
    performOnCollection(bench, coordinator, 'add-person', { ...person, passwordHash: await hash.make(password) })
  for (const { signInName, skills } of people) {
    const { id, version } = findBySignIn(db, signInName)!
    if (skills.length) performOnCollection(bench, coordinator, 'grant-skills', { personId: id, version, skills: [...skills] })
  }
  for (const supply of supplies) performOnCollection(bench, coordinator, 'add-supply', readCommandInput('add-supply', supply))
  for (const thing of things) performOnCollection(bench, coordinator, 'add-thing', readCommandInput('add-thing', thing))
  for (const material of shelf) performOnCollection(bench, coordinator, 'add-material', readCommandInput('add-material', material))
  performOnCollection(bench, coordinator, 'set-practice', {
    version: practiceOf(db).version,
    name: 'Skerrow Head Signal Museum',
    school: 'caps-first',
    numbering: 'SH-{year}-{n:3}',
    zone: 'Europe/Dublin',
    currency: 'EUR',
    batterySchool: 'remote-holder',
    boardSchool: 'wash',
    plasticSchool: 'whiten',
    capacitorSchool: 'after-start',
  })
  // The stand-in of a meter, which the demo starts beside the application.
  performOnCollection(bench, coordinator, 'set-meter', { version: practiceOf(db).version, host: '127.0.0.1', port: Number(process.env.METER_PORT ?? 5025) })
  // The stand-in of a label printer, which the demo starts as well.
  performOnCollection(bench, coordinator, 'set-printer', { version: 0, uri: `ipp://127.0.0.1:${process.env.PRINTER_PORT ?? 8631}/ipp/print` })
  const modelIds = new Map(
    Object.entries(models).map(([key, model]) => [
      key as ModelKey,
      (performOnCollection(bench, coordinator, 'add-model', readCommandInput('add-model', model)) as { modelId: number }).modelId,
    ]),
  )

  for (const [key, issue] of [
    ['petrel-8', '3'],
    ['petrel-8s', '4'],
  ] as const) {
    const { boardId } = performOnCollection(
      bench,
      coordinator,
      'add-board',
      readCommandInput('add-board', {
        modelId: modelIds.get(key),
        name: 'Main board',
        issue,
        fileName: `petrel-issue-${issue}.csv`,
        format: 'table',
        rows: mainBoard.map(rowOf),
      }),
    ) as { boardId: number }
    performOnCollection(bench, coordinator, 'set-board-notes', readCommandInput('set-board-notes', { boardId, version: 1, ...boardNotes }))
  }

  for (const [key, code, says] of [
    ['spindrift', 'M 3', 'memory test failed in the bank that is named'],
    ['spindrift', '2 short', 'no keyboard answers'],
    ['sextant-16', '1 long', 'the supply is not in order'],
  ] as const)
    performOnCollection(bench, coordinator, 'note-code', readCommandInput('note-code', { modelId: modelIds.get(key), code, says }))

  for (const [key, map] of benchMaps)
    performOnCollection(bench, coordinator, 'keep-bench-map', readCommandInput('keep-bench-map', { modelId: modelIds.get(key), version: 0, map }))

  /** All that happened, oldest first, whichever machine it happened to. */
  const stories: Story[] = [...gannets, ...desks, ...small]
  const tags = new Map<Story, string>()
  const events = stories
    .flatMap(story => [
      { story, daysAgo: story.daysAgo, happen: async () => arrive(story) },
      ...stepsOf(story).map(step => ({ story, daysAgo: step.daysAgo, happen: () => takeStep(story, step) })),
    ])
    .map((event, order) => ({ ...event, order }))
    .sort((a, b) => b.daysAgo - a.daysAgo || a.order - b.order)

  function arrive(story: Story) {
    const model = story.model && models[story.model]
    const input = readCommandInput('book-in', { ...(model && { name: model.name, maker: model.maker, modelId: modelIds.get(story.model!) }), ...story.arrives })
    const { tag } = performOnCollection(bench, findBySignIn(db, story.who)!, 'book-in', input) as { tag: string }
    tags.set(story, tag)
  }

  /** Takes a photograph in, as somebody's camera took it that evening. @returns the hash of its file */
  async function take(picture: PictureName): Promise<string> {
    const file = await keepImage(folder, Readable.from([await photograph(picture, now)]))
    rememberFile(db, file, now)
    return file.hash
  }

  /** Measures corrosion on a photograph as the instrument does, from what the story says was touched. */
  async function measured(hash: string, { threshold, ...samples }: CorrosionInputs) {
    const { data, info } = await sharp((await copyOf(folder, hash, 'full'))!)
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
    const { areaPct, errorPct } = measureCorrosionNow({ width: info.width, height: info.height, data }, samples).areaAt(threshold)
    return { areaPct, errorPct }
  }

  interface Attended {
    atProbe: string
    atSwitch: string
    scenario: ScenarioName
    load: 'loaded' | 'unloaded'
    secondsEach: number
  }

  /** A start as it was attended that evening: the simulated machine is probed rail by rail, a few times a second, until all was read or it was called off. */
  function attendStart(tag: string, who: string, { atProbe, atSwitch, scenario, load, secondsEach }: Attended) {
    const person = findBySignIn(db, who)!
    const sheet = machineSheet(bench, tag, chapterNames)
    const checked = sheet.power.startChecks.filter(c => c.known === null).map(c => c.code)
    performOnMachine(bench, person, tag, 'begin-start', {
      atProbe: findBySignIn(db, atProbe)!.id,
      atSwitch: findBySignIn(db, atSwitch)!.id,
      byMeter: true,
      load,
      currentLimitA: null,
      warm: null,
      checked,
    })
    const row = openStart(db, machineByTag(db, tag).id)!
    const running = open(row, tag)
    const machine = simulatedMachine(row.id)
    let ms = now.getTime()
    happen(row.id, { do: 'meter', state: 'ready' }, ms)
    happen(row.id, { do: 'count-down' }, ms)
    const switchedAt = (ms += countdownSeconds * 1000)
    for (const { rail, nominalV } of row.plan.points) {
      happen(row.id, { do: 'probe', rail }, ms)
      for (const end = ms + secondsEach * 1000; ms < end && running.run.phase !== 'off-now'; ms += 250) {
        const seen = machine.see(scenario, { nominalV, onSeconds: (ms - switchedAt) / 1000, loaded: load === 'loaded' })
        const ac = ms % 2000 === switchedAt % 2000
        happen(row.id, { do: 'sample', kind: ac ? 'ac-volts' : 'dc-volts', value: Number((ac ? seen.acV : seen.dcV).toFixed(4)) }, ms)
      }
    }
    if (running.run.phase === 'on') happen(row.id, { do: 'done' }, ms)
    happen(row.id, { do: 'is-off' }, ms)
    now = new Date(ms)
    performOnMachine(bench, person, tag, 'end-start', {})
    close(row.id, ms)
  }

  interface Probed {
    title: string
    outline?: [number, number][]
    parts?: string[]
    answers: number
    parted: Record<string, number>
    bridge?: boolean
  }
  /** A sheet as it was probed that evening: as many checks as the story says, answered as the made-up board reads; then a wire, and what is asked after it. */
  function probe(tag: string, who: string, { answers, parted, bridge, ...sheet }: Probed) {
    const person = findBySignIn(db, who)!
    const [board] = machineSheet(bench, tag, chapterNames).continuity.boards
    const { result } = kernel.performOnMachine(bench, person, tag, 'begin-probe-sheet', readCommandInput('begin-probe-sheet', { boardId: board!.id, ...sheet }))
    const { sheetId } = result as { sheetId: number }
    const now = () => probeSheetOf(db, tag, sheetId, person.id)
    const answer = (most: number) => {
      for (let i = 0; i < most; i++) {
        const next = now().checks.find(c => c.contact === null)
        if (!next) break
        const ohm = readsBetween(next.a.name, next.b.name, parted)
        performOnMachine(
          bench,
          person,
          tag,
          'answer-probe',
          readCommandInput('answer-probe', { checkId: next.id, readingsOhm: [ohm === null ? null : ohm + 0.2], heard: null }),
        )
      }
    }
    answer(answers)
    const broken = now().nets.find(n => n.state === 'broken' && n.breaks[0])
    if (!bridge || !broken) return
    const { a, b } = broken.breaks[0]!
    const wire = { sheetId, net: broken.net, a, b, lengthMm: 46, awg: 30, afterOhm: 0.5 }
    performOnMachine(bench, person, tag, 'fit-patch', readCommandInput('fit-patch', wire))
    // Where it was soldered its neighbours are asked once more.
    answer(answers)
    performOnMachine(bench, person, tag, 'end-probe-sheet', { sheetId, note: '' })
  }

  async function takeStep(story: Story, { who, command, input }: Step) {
    const tag = tags.get(story)!
    const sheet = machineSheet(bench, tag, chapterNames)
    const named = (name: unknown, rows: { id: number; version?: number }[], by: string) => rows.find(row => (row as Record<string, unknown>)[by] === name)
    const assembly = named(input.assembly, sheet.assemblies, 'name')
    const fault = named(input.fault, sheet.faults, 'symptom')
    const part = named(input.part, sheet.parts, 'name')
    const claim = named(input.claim, sheet.claims, 'says')
    const shown = sheet.photographs.find(p => p.caption === input.photograph)
    const step = named(input.step, sheet.opening.steps, 'step')
    const battery = named(input.battery, sheet.power.batteries, 'where')
    const whitening = named(input.whitening, sheet.cleaning.whitenings, 'name')
    const drying = named(input.drying, sheet.cleaning.dryings, 'what')
    const capacitor = command.endsWith('-capacitor') ? named(input.place, sheet.recap.capacitors, 'place') : undefined
    const setting = named(input.setting, sheet.setup.settings, 'name')
    const contamination = named(input.contamination, sheet.cleaning.contaminations, 'where')
    const cleaningStep = named(input.cleaningStep, sheet.cleaning.steps, 'says')
    const supply = named(input.supply, sheet.power.supplies, 'name')
    const damage = input.damage ? sheet.damages.find(d => d.where === input.damage) : undefined
    const thing = input.thing ? named(input.thing, workshopNow(db, now.toISOString()).things, 'name') : undefined
    if (command === 'begin-probe-sheet') return probe(tag, who, input as unknown as Probed)
    if (command === 'begin-start') return attendStart(tag, who, input as unknown as Attended)
    // Rows that are there once a machine, or once a kind, start at version 0.
    const own =
      command === 'say-cleaning-part'
        ? { version: 0 }
        : command === 'settle-hazard'
          ? { version: sheet.hazards.find(h => h.kind === input.kind)?.version ?? 0 }
          : command === 'record-consent'
            ? (sheet.stewardship.consent ?? { version: 0 })
            : command === 'appraise'
              ? (sheet.appraisal ?? { version: 0 })
              : undefined
    const until = typeof input.hours === 'number' ? new Date(now.getTime() + input.hours * 60 * 60 * 1000).toISOString() : undefined
    const request = {
      ...input,
      assemblyId: assembly?.id ?? null,
      batteryId: battery?.id,
      supplyId: supply?.id,
      inspectedById: input.inspectedBy ? findBySignIn(db, String(input.inspectedBy))!.id : null,
      faultId: fault?.id,
      partId: part?.id ?? (command === 'say-cleaning-part' ? null : undefined),
      claimId: claim?.id,
      soakId: sheet.soaks.at(-1)?.id,
      buildUpId: sheet.buildUp?.id,
      sheetId: sheet.testSheet?.id,
      theoryId: sheet.faults.flatMap(f => f.theories).find(t => t.says === input.theory)?.id,
      photographId: shown?.id,
      stepId: (cleaningStep ?? step)?.id,
      whiteningId: whitening?.id,
      dryingId: drying?.id,
      contaminationId: contamination?.id,
      capacitorId: capacitor?.id,
      settingId: setting?.id,
      thingId: thing?.id,
      damageId: damage?.id,
      boardId: sheet.continuity.boards[0]?.id,
      from: new Date(now.getTime() + Number(input.inHours ?? 0) * 60 * 60 * 1000).toISOString(),
      ...(typeof input.inDays === 'number' ? { backBy: new Date(now.getTime() + input.inDays * 86_400_000).toISOString().slice(0, 10) } : {}),
      ...(input.picture ? { hash: await take(input.picture as PictureName), name: `${String(input.picture)}.jpg` } : {}),
      ...(command === 'keep-corrosion' && shown ? await measured(shown.hash, input.inputs as CorrosionInputs) : {}),
      version: (
        own ??
        (command === 'step-build-up' ? sheet.buildUp! : undefined) ??
        cleaningStep ??
        damage ??
        contamination ??
        capacitor ??
        setting ??
        battery ??
        step ??
        shown ??
        assembly ??
        fault ??
        part ??
        claim ??
        sheet.power
      ).version,
      until,
      answerBy: until,
    }
    performOnMachine(bench, findBySignIn(db, who)!, tag, command as MachineCommandName, commands[command].parse(request) as never)
  }

  for (const { story, daysAgo, happen } of events) {
    at(daysAgo)
    try {
      await happen()
    } catch (error) {
      throw new Error(`${story.arrives.nickname}, ${daysAgo} days ago`, { cause: error })
    }
  }
  at(9)
  performOnCollection(
    bench,
    coordinator,
    'accept-bulletin',
    readCommandInput('accept-bulletin', {
      modelId: modelIds.get('spindrift'),
      cause: 'Secondary filter capacitors dried out',
      happens: 'The secondary filter capacitors dry out',
      seeBy: 'Ripple on every rail, at its worst when warm',
      doThis: 'Measure ripple with the meter on AC under load before anything is swapped',
      evidence: 'Seen on one of ours',
    }),
  )
  const tagOf = (nickname: string) => [...tags].find(([story]) => story.arrives.nickname === nickname)![1]
  fillHeld(db, (name, input) => performOnCollection(bench, coordinator, name, readCommandInput(name, input as never)), tagOf, at)
  at(3)
  for (const list of priceLists) performOnCollection(bench, coordinator, 'set-prices', readCommandInput('set-prices', list))
  fillSought(bench, tagOf, at, {
    onMachine: (tag, name, input) => performOnMachine(bench, coordinator, tag, name, commands[name].parse(input) as never),
    onCollection: (who, name, input) => performOnCollection(bench, findBySignIn(db, who)!, name, readCommandInput(name, input as never)),
  })
  db.$client.close()
  writeFileSync(
    join(folder, 'demo-sign-ins.json'),
    JSON.stringify(people.map(({ name, signInName, password, role }) => ({ name, signInName, password, role }))),
  )
  return { machines: stories.length, people: people.length }
}
