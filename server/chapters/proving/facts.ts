import type { RetestRecord } from '#core/retest/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ machine, signOffs, soaks, buildUps, testSheets }: MachineFile): RetestRecord => ({
  signOff: signOffs.at(-1),
  soaks,
  buildUp: buildUps.findLast(b => b.endedAt === null) ?? null,
  testSheet: testSheets.at(-1) ?? null,
  lifeSince: machine.lifeSince,
})

/** What was seen where something failed: smoke or a smell said there is heard like any that was noticed. */
export const noticedWhileProving = ({ buildUps, testSheets, demonstrations }: MachineFile): { says: string; at: string }[] => [
  ...buildUps.flatMap(b => b.looks.filter(l => l.outcome === 'failed').map(({ seen, at }) => ({ says: seen, at }))),
  ...testSheets.flatMap(t => t.looks.filter(l => l.outcome === 'failed' && l.note).map(({ note, at }) => ({ says: note, at }))),
  ...demonstrations.filter(d => d.trouble).map(({ says, at }) => ({ says, at })),
]
