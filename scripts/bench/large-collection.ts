import { v7 as uuidv7 } from 'uuid'
import { seeded } from '#core/kernel/random'
import { stages } from '#core/kernel/stages'
import { models } from '../../demo/models'
import { firstStart } from '../../server/chapters/people/index'
import { openDatabase } from '../../server/db/connection'
import { settleMissing, workOff } from '../../server/kernel/settling/caretaker'
import { hashOf } from '../../server/kernel/history/chains'

const day = 24 * 60 * 60 * 1000

/**
 * Fills a folder with a large made-up collection, the same for the same seed: rows and history straight into the tables, hash
 * chains and all, then every machine settled by the product's own rules.
 * @returns the sign-in hash that was given, and what was made
 */
export function fillLarge(folder: string, { machines, entries, passwordHash }: { machines: number; entries: number; passwordHash: string }) {
  const db = openDatabase(folder)
  const sqlite = db.$client
  const random = seeded(1983)
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
  const now = Date.now()
  const bench = { db, now: () => new Date(now), announce: () => {} }
  const { id: personId, name: by } = firstStart(bench, { collection: 'Skerrow Head Signal Museum', name: 'Ilka Brandvold', signInName: 'ilka', passwordHash })
  const known = Object.values(models)
  const insert = (table: string, columns: string) =>
    sqlite.prepare(
      `INSERT INTO ${table} (${columns}) VALUES (${columns
        .split(',')
        .map(() => '?')
        .join(',')})`,
    )
  const put = {
    model: insert('models', 'uid,maker,name,assemblies,known_faults,rails'),
    machine: insert('machines', 'uid,tag,model_id,name,maker,nickname,place,acquired,from_whom,booked_in_at,stage,on_bench'),
    power: insert('power_assessments', 'machine_id,facts,inspected_by,battery_has_leaked'),
    assembly: insert('assemblies', 'machine_id,name,presence,grade,note'),
    claim: insert('claims', 'machine_id,says,by_whom'),
    fault: insert('faults', 'machine_id,symptom,stops_machine,open'),
    observation: insert('observations', 'fault_id,says,at'),
    reading: insert('readings', 'machine_id,rail,value_v,load,configuration,at'),
    wait: insert('waits', 'machine_id,what,started_at,until'),
    part: insert('part_needs', 'machine_id,name,quantity,stops,wanted_at'),
    entry: insert('journal', 'chain,seq,machine_id,kind,at,person_id,by,data,subject,subject_id,strikes,previous_hash,hash'),
    head: insert('journal_heads', 'chain,seq,hash'),
  }
  const words = ['lamp', 'ferry', 'harbour', 'pilot', 'buoy', 'signal', 'tide', 'storm', 'radio', 'chart', 'anchor', 'cable', 'mast', 'quay', 'light', 'fog']
  const facts = {
    battery: ['out', 'in', 'leaking', 'none-fitted'],
    smoke: ['no', 'no', 'no', 'yes'],
    liquidOrDirt: ['no', 'no', 'yes'],
    wiring: ['known'],
    filterCapacitors: ['replaced', 'sound'],
  }
  sqlite.pragma('synchronous = OFF')
  sqlite.exec('BEGIN')
  known.forEach(m => put.model.run(uuidv7(), m.maker, m.name, JSON.stringify(m.assemblies ?? []), JSON.stringify(m.knownFaults ?? []), JSON.stringify(m.rails)))
  for (let n = 1; n <= machines; n++) {
    const which = Math.floor(random() * known.length)
    const model = known[which]!
    const booked = now - Math.floor(random() * 3000) * day
    const at = (share: number) => new Date(booked + share * (now - booked)).toISOString()
    const uid = uuidv7()
    put.machine.run(
      uid,
      `M-${new Date(now).getUTCFullYear()}-${String(n).padStart(3, '0')}`,
      which + 1,
      model.name,
      model.maker,
      `${pick(words)} ${pick(words)} ${n}`,
      `Rack ${n % 200}`,
      'given',
      `giver ${n % 400}`,
      at(0),
      pick(stages),
      n % 50 === 0 ? 1 : 0,
    )
    const said = Object.fromEntries(Object.entries(facts).flatMap(([fact, values]) => (random() < 0.6 ? [[fact, pick(values)]] : [])))
    put.power.run(n, JSON.stringify(said), '', said.battery === 'leaking' && random() < 0.2 ? 1 : 0)
    for (const name of ['Case', 'Supply', 'Main board', 'Keyboard', 'Drive']) put.assembly.run(n, name, 'present', Math.floor(random() * 4), '')
    put.claim.run(n, `worked in the ${pick(words)} house`, 'the giver')
    for (let f = 0; f < 2; f++) {
      const { lastInsertRowid } = put.fault.run(n, `no ${pick(words)} on the ${pick(words)}`, f, f)
      put.observation.run(lastInsertRowid, `seen at the ${pick(words)}`, at(0.6))
    }
    for (const rail of model.rails) put.reading.run(n, rail.name, rail.nominalV * (0.98 + random() * 0.04), 'loaded', 'whole', at(0.7))
    if (n % 20 === 0) put.wait.run(n, 'drying', at(0.9), new Date(now + day * (1 + random() * 30)).toISOString())
    if (n % 10 === 0) put.part.run(n, 'Fuse', 1, 'start', at(0.8))
    const own = Math.round(entries / machines)
    let previousHash = '0'.repeat(64)
    for (let seq = 1; seq <= own; seq++) {
      const [kind, data] =
        seq === 1
          ? ['machine.booked-in', { tag: `M-${n}`, name: model.name, maker: model.maker }]
          : seq % 2
            ? ['reading.taken', { rail: '+5 V', valueV: 5 + random() / 10, load: 'loaded', verdict: 'good' }]
            : ['question.asked', { question: `Who wrote ${pick(words)} on the ${pick(words)}?` }]
      const row = {
        chain: uid,
        seq,
        kind: kind as string,
        at: at(seq / own),
        by,
        data: JSON.stringify(data),
        subject: null,
        subjectId: null,
        strikes: null,
        previousHash,
      }
      const hash = hashOf(row)
      put.entry.run(row.chain, seq, n, row.kind, row.at, personId, by, row.data, null, null, null, previousHash, hash)
      previousHash = hash
    }
    put.head.run(uid, own, previousHash)
  }
  sqlite.exec('COMMIT')
  const began = performance.now()
  const settled = settleMissing(bench)
  const settledMs = performance.now() - began
  // A leak is heard by the sisters; nobody measures while that is worked off.
  workOff(bench)
  sqlite.exec('ANALYZE')
  sqlite.close()
  return { settled, settledMs }
}
