declare module '#auth-utils' {
  interface User {
    id: string
  }
  interface SecureSessionData {
    /** The session's row, which ends it when it goes. */
    session: string
  }
}

export {}
