import type { SharingRecord } from '#core/sharing/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ model, bulletinReads }: MachineFile): SharingRecord => ({
  unreadBulletins: (model?.bulletins ?? []).filter(b => !bulletinReads.some(r => r.uid === b.uid)),
})
