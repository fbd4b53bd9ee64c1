import { mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { eq, inArray, isNull } from 'drizzle-orm'
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import { letterText } from '#core/stewardship/letter'
import type { Db } from '../db/connection'
import { letters, machines, photographs } from '../chapters/schema'
import { copyOf } from '../files/image-file'
import { practiceOf } from '../chapters/practice/index'

/**
 * The outbox: a folder of mail messages, one file a letter, that a mail program or a person takes from there.
 * A stand-in for a mail server, which a collection may not have.
 */
export const outboxFile = (dataFolder: string, uid: string) => join(dataFolder, 'outbox', `${uid}.eml`)

/** The sender's address; nothing is ever sent from here by itself. */
const senderAddress = () => process.env.JOLLY_MAIL_FROM ?? 'bench@collection.invalid'

/** Lays every letter into the outbox that does not lie there yet. */
export async function fillOutbox(db: Db, dataFolder: string, now: () => Date): Promise<void> {
  const waiting = db.select().from(letters).innerJoin(machines, eq(machines.id, letters.machineId)).where(isNull(letters.sentAt)).all()
  for (const { letters: row, machines: machine } of waiting) {
    const enclosed = row.photographIds.length ? db.select().from(photographs).where(inArray(photographs.id, row.photographIds)).all() : []
    const message = await new MailComposer({
      from: { name: `${row.byWhom}, ${practiceOf(db).name}`, address: senderAddress() },
      to: row.to ? { name: machine.owner, address: row.to } : undefined,
      subject: row.letter.subject,
      date: new Date(row.at),
      messageId: `<${row.uid}@collection.invalid>`,
      text: letterText(row.letter),
      attachments: enclosed.flatMap((p, i) => {
        const path = copyOf(dataFolder, p.hash, 'working')
        return path
          ? [
              {
                filename: `${i + 1} ${(p.caption || p.name)
                  .replace(/[^\p{L}\p{N}.-]+/gu, ' ')
                  .trim()
                  .slice(0, 60)}.jpg`,
                path,
              },
            ]
          : []
      }),
    })
      .compile()
      .build()
    const file = outboxFile(dataFolder, row.uid)
    mkdirSync(join(dataFolder, 'outbox'), { recursive: true })
    writeFileSync(`${file}.part`, message)
    renameSync(`${file}.part`, file)
    db.update(letters).set({ sentAt: now().toISOString() }).where(eq(letters.id, row.id)).run()
  }
}
