import type { IdentifyRecord } from '#core/identify/rules'
import type { MachineFile } from '../../kernel/file'

/** What was said at the back door. */
export const facts = ({ machine, model, accessories }: MachineFile): IdentifyRecord => ({ machine, modelKnown: model !== null, accessories })
