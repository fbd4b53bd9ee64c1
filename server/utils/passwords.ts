import { fewAtOnce } from '../kernel/few-at-once'

/** A password is worth what hashing it costs, so few are hashed at once, and a flood of tries leaves the bench to those who work. */
const hashing = fewAtOnce({ running: 2, waiting: 12, retryAfterSeconds: 5 })
/** Names that nobody has wait among themselves: a flood of them keeps nobody out who is known here. */
const hashingForNobody = fewAtOnce({ running: 1, waiting: 4, retryAfterSeconds: 5 })

/** The same letters however a keyboard composes them: Unicode's compatibility form (UAX 15, NFKC). */
const composed = (password: string) => password.normalize('NFKC')

export const hashOf = (password: string): Promise<string> => hashing(() => hashPassword(composed(password)))

/** Whether a password belongs to a hash; one that was hashed as it came, in former days, still does. */
export const belongs = (hash: string, password: string): Promise<boolean> =>
  hashing(async () => (await verifyPassword(hash, composed(password))) || (composed(password) !== password && (await verifyPassword(hash, password))))

let nobodys: Promise<string> | undefined
/** Takes as long over a name that nobody has as over a wrong password. */
export const belongsToNobody = (password: string): Promise<false> =>
  hashingForNobody(async () => {
    await verifyPassword(await (nobodys ??= hashPassword('nobody has this password')), composed(password))
    return false as const
  })
