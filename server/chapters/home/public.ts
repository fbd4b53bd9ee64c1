import { lifeNames, stageNames } from '#core/kernel/stages'
import { gateWords } from '#core/safety/gate-words'
import { type PrivateWord, withoutPrivate } from '#core/sharing/private-words'
import { corrects, namesIn, publicSentenceOf, replacementsOf } from '#shared/chapters/index'
import { and, asc, eq, isNotNull } from 'drizzle-orm'
import type { MachineFile } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { journal } from '../../kernel/trunk'
import { assembled } from '../../kernel/assembled'
import { namesOfPeople } from '../people/index'

/** Shorter words stand in sentences that have nothing to do with what was put right. */
const shortestQuoted = 4
/** The words as they are, and not within others. */
const wholly = (words: string) => new RegExp(`(?<![\\p{L}\\p{N}])${words.replace(/[.*+?^${'$'}{}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\p{N}])`, 'gu')

/** An entry as anybody may read it. */
export interface PublicLine {
  seq: number
  at: string
  kind: string
  says: string
}
export interface PublicRecord {
  /** Oldest first; without what was struck, what was put right later, and what is private. */
  lines: PublicLine[]
  /** Takes private names out of what people typed. */
  clean: (text: string) => string
}

/** Words that the program itself uses: a place of that name is no secret. */
const everyday = [...Object.values(stageNames), ...Object.values(lifeNames).map(l => l.title), ...Object.values(gateWords).map(g => g.title)]

/**
 * What anybody may read of the history of a machine: each kind of entry says what of it, corrections stand in the place of what they correct, and no
 * name that is marked private where it is kept stands anywhere in it.
 * @param diary with losses and mishaps of the bench
 */
export function publicRecord(tx: Tx, file: MachineFile, diary: boolean): PublicRecord {
  const entries = tx
    .select({
      id: journal.id,
      seq: journal.seq,
      at: journal.at,
      kind: journal.kind,
      data: journal.data,
      subject: journal.subject,
      subjectId: journal.subjectId,
    })
    .from(journal)
    .where(eq(journal.machineId, file.machine.id))
    .orderBy(asc(journal.seq))
    .all()
    .map(entry => ({ ...entry, data: JSON.parse(entry.data) as unknown }))
  const struck = new Set(
    tx
      .select({ id: journal.strikes })
      .from(journal)
      .where(and(eq(journal.machineId, file.machine.id), isNotNull(journal.strikes)))
      .all()
      .map(s => s.id),
  )
  const names: PrivateWord[] = [
    ...assembled().chapters.flatMap(c => c.privateWords?.(file) ?? []),
    ...entries.flatMap(({ kind, data }) => namesIn(kind, data)),
    ...namesOfPeople(tx, file.machine.id).map(word => ({ word, kind: 'person' as const })),
  ]
  const clean = withoutPrivate(names, everyday)

  const lines: PublicLine[] = []
  const putRight = new Set<string>()
  const replaced: { found: RegExp; to: string }[] = []
  for (const { id, seq, at, kind, data, subject, subjectId } of entries.reverse()) {
    if (struck.has(id)) continue
    const about = subject && subjectId !== null ? `${subject} ${subjectId}` : ''
    const says = about && putRight.has(about) ? null : publicSentenceOf(kind, data, diary)
    // What was put right since is quoted rightly in what was written before.
    if (says !== null) lines.push({ seq, at, kind, says: clean(replaced.reduce((text, { found, to }) => text.replace(found, () => to), says)) })
    if (about && corrects(kind)) putRight.add(about)
    replaced.push(...replacementsOf(kind, data).flatMap(({ from, to }) => (from.length < shortestQuoted ? [] : [{ found: wholly(from), to }])))
  }
  return { lines: lines.reverse(), clean }
}
