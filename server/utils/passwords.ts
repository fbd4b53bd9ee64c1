import { fewAtOnce } from '../kernel/turns/few-at-once'

/** A password is worth what hashing it costs, so few are hashed at once, and a flood of tries leaves the bench to those who work. */
const hashing = fewAtOnce({ running: 2, waiting: 12, retryAfterSeconds: 5 })
/**
 * Whoever knocks at a browser where nobody has signed in yet waits among themselves, whether their name is known here or not: the wait tells
 * nobody which names are.
 */
const hashingForStrangers = fewAtOnce({ running: 1, waiting: 12, retryAfterSeconds: 5 })

/** The same letters however a keyboard composes them: Unicode's compatibility form (UAX 15, NFKC). */
const composed = (password: string) => password.normalize('NFKC')

export const hashOf = (password: string): Promise<string> => hashing(() => hashPassword(composed(password)))
export const hashForFirst = (password: string): Promise<string> => hashingForStrangers(() => hashPassword(composed(password)))

/** Whether a password belongs to a hash; one that was hashed as it came, in former days, still does. */
const fits = async (hash: string, password: string): Promise<boolean> =>
  (await verifyPassword(hash, composed(password))) || (composed(password) !== password && (await verifyPassword(hash, password)))

export const belongs = (hash: string, password: string): Promise<boolean> => hashing(() => fits(hash, password))

let nobodys: Promise<string> | undefined
/**
 * Whether whoever knocks is who they say. A name that nobody has, or whose person may not sign in, takes the same way and as long as a wrong password.
 * @param hash of the person of that name; nothing where nobody has it
 * @param known somebody has signed in under this name at this browser before
 */
export const knocksRightly = (hash: string | undefined, password: string, known: boolean): Promise<boolean> =>
  (known ? hashing : hashingForStrangers)(async () => {
    const right = await fits(hash ?? (await (nobodys ??= hashPassword('nobody has this password'))), password)
    return right && hash !== undefined
  })
