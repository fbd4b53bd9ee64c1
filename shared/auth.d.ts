/** What the sealed session cookie holds: who, and nothing else. */
declare module '#auth-utils' {
  interface User { id: number }
}

export {}
