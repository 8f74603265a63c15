declare module '#auth-utils' {
  interface User {
    name: string
    studio: string
  }
  interface SecureSessionData {
    coachId: string
    signInId: string
  }
}
export {}
