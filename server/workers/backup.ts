import { parentPort, workerData } from 'node:worker_threads'
import { giveWay } from '../kernel/turns/give-way'
import { type BackupOrder, makeBackup } from '../backup/make'

giveWay()

/** Makes one backup in a thread of its own, and tells how far it is. */
try {
  const { name } = await makeBackup(workerData as BackupOrder, progress => parentPort!.postMessage({ progress }))
  parentPort!.postMessage({ done: name })
} catch (error) {
  parentPort!.postMessage({ trouble: (error as Error).message })
}
