import type { ViewOf } from '#shared/chapters/index'
import type { ViewInput } from '../../kernel/file'

/** Whether it may be signed off, and the sign-off that stands. */
export function provingView({ file, assessment }: ViewInput): ViewOf<'proving'> {
  const { signOff, signedOff } = assessment.known
  const standing = signedOff ? file.signOffs.at(-1) : undefined
  return {
    soaks: file.soaks.map(({ id, what, seenFailures, seenPasses, confidence, secondsAPass, passes, failures, startedAt, lastAt, endedAt, note }) => ({
      id,
      what,
      seenFailures,
      seenPasses,
      confidence,
      secondsAPass,
      passes,
      failures,
      startedAt,
      lastAt,
      endedAt,
      note,
    })),
    signOff: { ...signOff, standing: standing ? { statement: standing.statement, by: standing.byWhom, at: standing.at } : null },
  }
}
