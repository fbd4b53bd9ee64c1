import { carryOut } from '../kernel/carry-out'
import { noteHistory } from '../kernel/history/noting'

/** Begins a backup; how far it is, is asked for again. What was written until now is noted in the history first. */
export default defineAnswer(async event => {
  const { id, name } = await requireLeave(event, 'set-practice')
  carryOut(useBench(), { id, name }, noteHistory)
  void useBackups().make()
  return useBackups().view()
})
