/** Fills a fresh data folder with the demo collection, by the same commands that people use, at the dates of their stories. */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import sharp from 'sharp'
import { measureCorrosionNow } from '#core/condition/corrosion-area'
import { commands, type MachineCommandName } from '#shared/contracts/commands'
import type { CorrosionInputs } from '#shared/contracts/shapes'
import { desks } from '../demo/machines/desks'
import { gannets } from '../demo/machines/gannets'
import { small } from '../demo/machines/small'
import { models, type ModelKey } from '../demo/models'
import { people } from '../demo/people'
import type { PictureName } from '../demo/photographs/index'
import type { Step, Story } from '../demo/story'
import { openDatabase } from '../server/db/connection'
import { copyOf, keepImage } from '../server/files/image-file'
import { performOnCollection, performOnMachine } from '../server/services/commands'
import { findBySignIn, firstStart } from '../server/services/people'
import { practiceOf } from '../server/services/practice'
import { rememberFile } from '../server/services/photographs'
import { machineSheet } from '../server/services/queries'
import type { Bench } from '../server/services/work'
import { drawPhotographs } from './lib/photographs'

const folder = process.argv[2]
if (!folder) throw new Error('Say which folder to fill.')

const day = 24 * 60 * 60 * 1000
const today = Date.now()
const db = openDatabase(folder)
let now = new Date(today - 400 * day)
const bench: Bench = { db, now: () => now, announce: () => {} }
const at = (daysAgo: number) => { now = new Date(today - daysAgo * day) }

const photograph = drawPhotographs()
const hash = new Hash(new Scrypt({}))
const [first, ...others] = people
const coordinator = firstStart(bench, { collection: 'Skerrow Head Signal Museum', name: first.name, signInName: first.signInName, passwordHash: await hash.make(first.password) })
for (const { password, ...person } of others) performOnCollection(bench, coordinator, 'add-person', { ...person, passwordHash: await hash.make(password) })
performOnCollection(bench, coordinator, 'set-practice', { version: practiceOf(db).version, name: 'Skerrow Head Signal Museum', school: 'caps-first', numbering: 'SH-{year}-{n:3}', zone: 'Europe/Dublin', currency: 'EUR', batterySchool: 'remote-holder' })
const modelIds = new Map(Object.entries(models).map(([key, model]) => [key as ModelKey, (performOnCollection(bench, coordinator, 'add-model', commands['add-model'].parse(model)) as { modelId: number }).modelId]))

/** All that happened, oldest first, whichever machine it happened to. */
const stories: Story[] = [...gannets, ...desks, ...small]
const tags = new Map<Story, string>()
const events = stories.flatMap(story => [
  { story, daysAgo: story.daysAgo, happen: async () => arrive(story) },
  ...story.steps.map(step => ({ story, daysAgo: step.daysAgo, happen: () => takeStep(story, step) })),
]).map((event, order) => ({ ...event, order })).sort((a, b) => b.daysAgo - a.daysAgo || a.order - b.order)

function arrive(story: Story) {
  const model = story.model && models[story.model]
  const input = commands['book-in'].parse({ ...(model && { name: model.name, maker: model.maker, modelId: modelIds.get(story.model!) }), ...story.arrives })
  const { tag } = performOnCollection(bench, findBySignIn(db, story.who)!, 'book-in', input) as { tag: string }
  tags.set(story, tag)
}

/** Takes a photograph in, as somebody's camera took it that evening. @returns the hash of its file */
async function take(picture: PictureName): Promise<string> {
  const file = await keepImage(folder!, Readable.from([await photograph(picture, now)]))
  rememberFile(db, file, now)
  return file.hash
}

/** Measures corrosion on a photograph as the instrument does, from what the story says was touched. */
async function measured(hash: string, { threshold, ...samples }: CorrosionInputs) {
  const { data, info } = await sharp(copyOf(folder!, hash, 'full')!).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  const { areaPct, errorPct } = measureCorrosionNow({ width: info.width, height: info.height, data }, samples).areaAt(threshold)
  return { areaPct, errorPct }
}

async function takeStep(story: Story, { who, command, input }: Step) {
  const tag = tags.get(story)!
  const sheet = machineSheet(db, now, tag)
  const named = (name: unknown, rows: { id: number, version?: number }[], by: string) => rows.find(row => (row as Record<string, unknown>)[by] === name)
  const assembly = named(input.assembly, sheet.assemblies, 'name')
  const fault = named(input.fault, sheet.faults, 'symptom')
  const part = named(input.part, sheet.parts, 'name')
  const claim = named(input.claim, sheet.claims, 'says')
  const shown = sheet.photographs.find(p => p.caption === input.photograph)
  const step = named(input.step, sheet.opening.steps, 'step')
  // Rows that are there once a machine, or once a kind, start at version 0.
  const own = command === 'settle-hazard' ? { version: sheet.hazards.find(h => h.kind === input.kind)?.version ?? 0 } : command === 'record-consent' ? sheet.stewardship.consent ?? { version: 0 } : command === 'appraise' ? sheet.appraisal ?? { version: 0 } : undefined
  const until = typeof input.hours === 'number' ? new Date(now.getTime() + input.hours * 60 * 60 * 1000).toISOString() : undefined
  const request = {
    ...input,
    assemblyId: assembly?.id ?? null, faultId: fault?.id, partId: part?.id, claimId: claim?.id, photographId: shown?.id, stepId: step?.id,
    ...(input.picture ? { hash: await take(input.picture as PictureName), name: `${String(input.picture)}.jpg` } : {}),
    ...(command === 'keep-corrosion' && shown ? await measured(shown.hash, input.inputs as CorrosionInputs) : {}),
    version: (own ?? step ?? shown ?? assembly ?? fault ?? part ?? claim ?? sheet.power).version,
    until, answerBy: until,
  }
  performOnMachine(bench, findBySignIn(db, who)!, tag, command as MachineCommandName, commands[command].parse(request) as never)
}

for (const { story, daysAgo, happen } of events) {
  at(daysAgo)
  try {
    await happen()
  }
  catch (error) {
    throw new Error(`${story.arrives.nickname}, ${daysAgo} days ago`, { cause: error })
  }
}
db.$client.close()
writeFileSync(join(folder, 'demo-sign-ins.json'), JSON.stringify(people.map(({ name, signInName, password, role }) => ({ name, signInName, password, role }))))
console.log(`${stories.length} machines, ${people.length} people.`)
