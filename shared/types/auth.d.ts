declare module '#auth-utils' {
  interface User {
    id: string
    name: string
    email: string
  }
  interface SecureSessionData {
    /** The session's row, which ends it when it goes. */
    session: string
  }
}

export {}
