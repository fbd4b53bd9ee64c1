import { gzipSync } from 'node:zlib'
import { InputError } from '#core/kernel/input-error'
import { toolById } from '#shared/tools/index'
import { readToolInput } from '#shared/tools/tool'
import { type MaybePrepared, type Prepared, preparation } from '../../kernel/turns/preparation'

/** What an instrument said of an input, as it goes into the history of a machine. */
export interface Judged {
  tool: string
  title: string
  /** Up to three sentences. */
  says: string
  /** The trace that was read, packed, where one was. */
  trace: Uint8Array | null
}

/** Runs an instrument on an input that came from outside. @throws InputError */
function judgedBy(toolId: string, input: Record<string, unknown>): Judged {
  const tool = toolById(toolId)
  if (!tool) throw new InputError('tool', toolId, `There is no instrument ${toolId}.`)
  if ('work' in tool) throw new InputError('tool', toolId, 'Keep this measurement with its photograph, on the sheet of the machine.')
  const parsed = tool.input.safeParse(input)
  if (!parsed.success)
    throw new InputError(`input.${parsed.error.issues[0]?.path.join('.')}`, input, parsed.error.issues[0]?.message ?? 'The input does not fit the instrument.')
  const findings = tool.findings(tool.run(readToolInput(tool.input, input)))
  return {
    tool: tool.id,
    title: tool.title,
    says: findings
      .map(f => f.says)
      .slice(0, 3)
      .join(' '),
    trace: tool.id === 'signals/capture' && input.text ? gzipSync(String(input.text)) : null,
  }
}

interface AsksInstrument {
  tool: string
  input: Record<string, unknown>
}
/** Whatever the page had the instrument say, it says it again before it is kept. @throws InputError */
export const prepareJudgement = <I extends AsksInstrument>(asked: MaybePrepared<I, Judged>): Prepared<I, Judged> =>
  preparation<I, Judged>(input => ({ ...input, input: {}, prepared: judgedBy(input.tool, input.input) }))(asked)
