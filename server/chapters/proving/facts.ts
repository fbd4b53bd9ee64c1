import type { RetestRecord } from '#core/retest/rules'
import type { SafetyRecord } from '#core/safety/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = (file: MachineFile): RetestRecord & Pick<SafetyRecord, 'noticedWhileProving'> => ({
  signOff: file.signOffs.at(-1),
  soaks: file.soaks,
  buildUp: file.buildUps.findLast(b => b.endedAt === null) ?? null,
  testSheet: file.testSheets.at(-1) ?? null,
  lifeSince: file.machine.lifeSince,
  noticedWhileProving: noticed(file),
})

/** What was seen where something failed: smoke or a smell said there is heard like any that was noticed. */
const noticed = ({ buildUps, testSheets, demonstrations }: MachineFile): SafetyRecord['noticedWhileProving'] => [
  ...buildUps.flatMap(b => b.looks.filter(l => l.outcome === 'failed').map(({ seen, at }) => ({ says: seen, at }))),
  ...testSheets.flatMap(t => t.looks.filter(l => l.outcome === 'failed' && l.note).map(({ note, at }) => ({ says: note, at }))),
  ...demonstrations.filter(d => d.trouble).map(({ says, at }) => ({ says, at })),
]
