import { millisecondsInHour } from 'date-fns/constants'
import { Worker } from 'node:worker_threads'
import type { BackupsView } from '#shared/chapters/practice/index'
import type { BackupOrder, BackupProgress } from './make'
import { backupsIn, unreadableIn } from './manifest'
import { type BackupSchedule, backupDue, judgeBackups, lastMade } from './schedule'

/** Whoever sees to the backups of a collection in use: one at a time, in a thread, by itself and when asked. */
export class BackupKeeper {
  private running: BackupProgress | undefined
  private trouble: { at: string; says: string } | undefined
  private thread: Worker | undefined

  /** @param program the bundled program of the thread */
  constructor(
    private readonly where: { dataFolder: string; backups: string },
    private readonly schedule: BackupSchedule,
    private readonly program: string,
    private readonly now: () => Date,
  ) {}

  private lastMade(): string | undefined {
    return lastMade(
      backupsIn(this.where.backups).map(b => b.manifest.made),
      this.now(),
    )
  }

  view(): BackupsView {
    return {
      stands: judgeBackups(this.schedule, this.lastMade(), this.now()),
      folder: this.where.backups,
      ...this.schedule,
      running: this.running ?? null,
      trouble: this.trouble ?? null,
      unreadable: unreadableIn(this.where.backups),
      backups: backupsIn(this.where.backups).map(({ name, manifest: { made, verified, entries, photographs, bytes } }) => ({
        name,
        made,
        verified,
        entries,
        photographs: photographs.length,
        bytes,
      })),
    }
  }

  /** Makes one if it is time; after trouble the next try is an hour later. */
  async look(): Promise<void> {
    const now = this.now()
    const lately = this.trouble && now.getTime() - Date.parse(this.trouble.at) < millisecondsInHour
    if (!lately && backupDue(this.schedule, this.lastMade(), now)) await this.make()
  }

  /** Gives up the one that is being made; what was begun of it is swept when the next one begins. */
  async cancel(): Promise<void> {
    await this.thread?.terminate()
  }

  /** Makes one now; whoever asks while one is being made waits for that. */
  make(): Promise<void> {
    if (this.running) return Promise.resolve()
    this.running = { what: 'database', done: 0, of: 0 }
    const order: BackupOrder = { ...this.where, kept: this.schedule.kept, at: this.now() }
    return new Promise(ended => {
      const failed = (says: string) => (this.trouble = { at: this.now().toISOString(), says })
      const thread = (this.thread = new Worker(this.program, { workerData: order }))
      thread.on('message', (told: { progress?: BackupProgress; done?: string; trouble?: string }) => {
        if (told.progress) this.running = told.progress
        if (told.done) this.trouble = undefined
        if (told.trouble) failed(told.trouble)
      })
      thread.on('error', error => failed(error.message))
      thread.on('exit', () => {
        this.running = undefined
        this.thread = undefined
        ended()
      })
    })
  }
}
