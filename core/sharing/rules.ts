import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'

export interface SharingRecord {
  /** Bulletins of its model that nobody has read for this machine. */
  unreadBulletins: readonly { happens: string; seeBy: string }[]
}
export type SharingFacts = SharingRecord
const sharingFacts = ({ unreadBulletins }: SharingRecord): SharingFacts => ({ unreadBulletins })

declare module '../kernel/machine' {
  interface MachineRecord extends SharingRecord {}
  interface MachineKnown extends SharingFacts {}
}

/** What was learned on a sister is read before somebody learns it again. Common practice, no source. */
export const sharing = discipline({
  name: 'sharing',
  about: 'what others of its model had',
  facts: sharingFacts,
  unknown: { unreadBulletins: [] },
  moves: m =>
    m.unreadBulletins.map(b =>
      move('suspicion', 'bulletin', 'mend', {
        says: `Look for what others of this model had: ${b.happens}`,
        why: b.seeBy || 'A bulletin of its model tells of it.',
      }),
    ),
})
