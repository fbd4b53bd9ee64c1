/** What the sealed session cookie holds. */
declare module '#auth-utils' {
  interface User {
    id: number
    /** What the session is known by, so that it can be ended from elsewhere. */
    session: string
  }
}

export {}
