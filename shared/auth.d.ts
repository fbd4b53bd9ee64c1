/** What the sealed session cookie holds: who, and the end of the hash of the password they came in with. */
declare module '#auth-utils' {
  interface User {
    id: number
    seal: string
    /** What the session is known by, so that it can be ended from elsewhere. */
    session: string
  }
}

export {}
