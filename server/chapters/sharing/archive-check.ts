import { createHash } from 'node:crypto'
import { strFromU8 } from 'fflate'
import { z } from 'zod'
import { beginning, digestOf, linkOf } from '../../kernel/history/chains'

/** The archive of a machine, by itself: whoever checks one needs nothing else of the product. */
export const archiveFormat = 'jolly-bench-machine/1'
export const sha256Of = (bytes: Uint8Array | string) => createHash('sha256').update(bytes).digest('hex')

export const Manifest = z.object({
  format: z.literal(archiveFormat),
  tag: z.string(),
  made: z.string(),
  /** Whether names, places, prices and private entries are in it. */
  whole: z.boolean(),
  journal: z.object({ entries: z.number(), hash: z.string() }),
  /** SHA-256 of each file. */
  files: z.record(z.string(), z.string()),
})
export type Manifest = z.infer<typeof Manifest>

const Line = z.object({
  seq: z.number(),
  digest: z.string(),
  hash: z.string(),
  entry: z
    .object({
      chain: z.string(),
      kind: z.string(),
      at: z.string(),
      by: z.string(),
      data: z.string(),
      subject: z.string().nullable(),
      subjectId: z.number().nullable(),
      strikes: z.number().nullable(),
    })
    .optional(),
})

/**
 * Checks an archive that was unpacked: every file by its hash, nothing beside them, and the journal link by link to the hash that the manifest names.
 * It shows that nothing was changed since the manifest was made; compare its last hash with the passport, for a manifest can be made anew.
 * @param files content by name @returns what is wrong, in a sentence each; nothing where all is as it was
 */
export function checkArchive(files: Record<string, Uint8Array>): { manifest: Manifest | null; wrong: string[] } {
  const nothing = (why: string) => ({ manifest: null, wrong: [why] })
  const raw = files['manifest.json']
  if (!raw) return nothing('There is no manifest.json: this is no archive of a machine.')
  if (!files['manifest.sha256'] || strFromU8(files['manifest.sha256']).trim() !== sha256Of(raw))
    return nothing('manifest.json is not what manifest.sha256 says.')
  let manifest: Manifest
  try {
    manifest = Manifest.parse(JSON.parse(strFromU8(raw)))
  } catch {
    return nothing('manifest.json cannot be read.')
  }
  const names = Object.keys(files).filter(n => n !== 'manifest.json' && n !== 'manifest.sha256' && !n.endsWith('/'))
  const wrong = [
    ...Object.entries(manifest.files).flatMap(([name, hash]) =>
      files[name] === undefined ? [`${name} is missing.`] : sha256Of(files[name]) === hash ? [] : [`${name} has been changed.`],
    ),
    ...names.filter(n => !(n in manifest.files)).map(n => `${n} does not belong to it.`),
  ]
  return { manifest, wrong: [...wrong, ...checkJournal(files['journal.jsonl'], manifest.journal)] }
}

function checkJournal(bytes: Uint8Array | undefined, head: Manifest['journal']): string[] {
  if (!bytes) return ['journal.jsonl is missing.']
  let last = beginning
  let count = 0
  for (const text of strFromU8(bytes).split('\n').filter(Boolean)) {
    let line: z.infer<typeof Line>
    try {
      line = Line.parse(JSON.parse(text))
    } catch {
      return [`Entry ${count + 1} of the journal cannot be read.`]
    }
    if (line.seq !== count + 1) return [`Entry ${count + 1} of the journal is missing.`]
    if (linkOf(last, line.digest) !== line.hash) return [`Entry ${line.seq} of the journal does not follow from the one before it.`]
    if (line.entry && digestOf({ ...line.entry, seq: line.seq }) !== line.digest)
      return [`Entry ${line.seq} of the journal says something else than was hashed.`]
    last = line.hash
    count++
  }
  return count === head.entries && last === head.hash ? [] : ['The end of the journal has been cut off.']
}
