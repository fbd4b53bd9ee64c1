import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { type SQL, eq, inArray, isNull } from 'drizzle-orm'
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import { letterText } from '#core/stewardship/letter'
import type { Db } from '../kernel/db'
import { photographs } from '../chapters/look/index'
import { eveningLetters } from '../chapters/plan/index'
import { letters } from '../chapters/stewardship/index'
import { machines } from '../kernel/trunk'
import { writeDurably } from '../files/durable'
import { copyOf } from '../files/image-copies'
import { practiceOf } from '../chapters/practice/index'

/**
 * The outbox: a folder of mail messages, one file a letter, that a mail program or a person takes from there.
 * A stand-in for a mail server, which a collection may not have.
 */
export const outboxFile = (dataFolder: string, uid: string) => join(dataFolder, 'outbox', `${uid}.eml`)

/** The sender's address; nothing is ever sent from here by itself. */
const senderAddress = () => process.env.JOLLY_MAIL_FROM ?? 'bench@collection.invalid'

interface Message {
  /** The machine that it is about. */
  tag?: string
  uid: string
  by: string
  to?: { name: string; address: string }
  subject: string
  at: string
  text: string
  attachments: { filename: string; path: string }[]
  sent: (at: string) => void
}

/** Whether a letter waits to be laid into the outbox, whatever it is about and however it was written. */
export const anyLetterWaits = (db: Db): boolean =>
  [letters, eveningLetters].some(table => db.select({ id: table.id }).from(table).where(isNull(table.sentAt)).limit(1).get() !== undefined)

/** Lays every letter into the outbox that does not lie there yet. @returns the tags of the machines they are about, and whether any is about an evening */
export async function fillOutbox(db: Db, dataFolder: string, now: () => Date): Promise<{ tags: string[]; collection: boolean }> {
  const about = { tags: [] as string[], collection: false }
  for (const one of [...(await toOwners(db, dataFolder)), ...ofEvenings(db)]) {
    const { tag, uid, sent } = one
    const message = await composed(db, one)
    const file = outboxFile(dataFolder, uid)
    mkdirSync(join(dataFolder, 'outbox'), { recursive: true })
    await writeDurably(file, message)
    sent(now().toISOString())
    if (tag) about.tags.push(tag)
    else about.collection = true
  }
  return about
}

const composed = (db: Db, { uid, by, to, subject, at, text, attachments }: Message): Promise<Buffer> =>
  new MailComposer({
    from: { name: `${by}, ${practiceOf(db).name}`, address: senderAddress() },
    to,
    subject,
    date: new Date(at),
    messageId: `<${uid}@collection.invalid>`,
    text,
    attachments,
  })
    .compile()
    .build()

const lettersToOwners = (db: Db, which: SQL) => db.select().from(letters).innerJoin(machines, eq(machines.id, letters.machineId)).where(which).all()
type ToOwner = ReturnType<typeof lettersToOwners>[number]

async function messageTo(db: Db, dataFolder: string, { letters: row, machines: machine }: ToOwner): Promise<Message> {
  const enclosed = row.photographIds.length ? db.select().from(photographs).where(inArray(photographs.id, row.photographIds)).all() : []
  const attachments: Message['attachments'] = []
  for (const [i, p] of enclosed.entries()) {
    const path = await copyOf(dataFolder, p.hash, 'working')
    if (path) attachments.push({ filename: `${i + 1} ${plainName(p.caption || p.name)}.jpg`, path })
  }
  return {
    tag: machine.tag,
    uid: row.uid,
    by: row.byWhom,
    to: row.to ? { name: machine.owner, address: row.to } : undefined,
    subject: row.letter.subject,
    at: row.at,
    text: letterText(row.letter),
    attachments,
    sent: sentAt => db.update(letters).set({ sentAt }).where(eq(letters.id, row.id)).run(),
  }
}

const toOwners = (db: Db, dataFolder: string): Promise<Message[]> =>
  Promise.all(lettersToOwners(db, isNull(letters.sentAt)).map(one => messageTo(db, dataFolder, one)))

/** A letter as a mail message, made anew: whoever sends them takes the files out of the outbox. Nothing where there is no such letter. */
export async function messageOfLetter(db: Db, dataFolder: string, letterId: number): Promise<Buffer | null> {
  const [one] = lettersToOwners(db, eq(letters.id, letterId))
  return one ? composed(db, await messageTo(db, dataFolder, one)) : null
}

const ofEvenings = (db: Db): Message[] =>
  db
    .select()
    .from(eveningLetters)
    .where(isNull(eveningLetters.sentAt))
    .all()
    .map(row => ({
      uid: row.uid,
      by: row.byWhom,
      to: row.to ? { name: '', address: row.to } : undefined,
      subject: row.subject,
      at: row.at,
      text: [...row.lines, row.byWhom].join('\n\n'),
      attachments: [],
      sent: sentAt => db.update(eveningLetters).set({ sentAt }).where(eq(eveningLetters.id, row.id)).run(),
    }))

const plainName = (text: string) =>
  text
    .replace(/[^\p{L}\p{N}.-]+/gu, ' ')
    .trim()
    .slice(0, 60)
