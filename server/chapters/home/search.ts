import type { Searched } from '../../kernel/chapter'
import type { MachineFile } from '../../kernel/file'

export const search = ({ questions }: MachineFile): Searched => ({ notes: questions.flatMap(q => [q.question, q.answer]) })
