/**
 * Input with what could be made of it without looking at the collection. A thread prepares what would hold up the request loop, and leaves out
 * what is no longer needed; whoever carries the command out prepares it themselves where nobody has.
 */
export type Prepared<I, P> = I & { prepared: P }
export type MaybePrepared<I, P> = I & { prepared?: P }

/** @param make from the input: what is kept of it, and what was made of it */
export const preparation =
  <I extends object, P>(make: (input: I) => Prepared<I, P>) =>
  (asked: MaybePrepared<I, P>): Prepared<I, P> =>
    asked.prepared === undefined ? make(asked) : (asked as Prepared<I, P>)
