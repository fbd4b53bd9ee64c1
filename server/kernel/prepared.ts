import type { Db } from './db'

const kept = new WeakMap<object, Map<string, unknown>>()

/** A statement that is run for every machine, built once for each database: building one takes longer than running it. */
export function prepared<S>(db: Db, name: string, build: (db: Db) => S): S {
  let statements = kept.get(db.$client)
  if (!statements) kept.set(db.$client, (statements = new Map()))
  if (!statements.has(name)) statements.set(name, build(db))
  return statements.get(name) as S
}
