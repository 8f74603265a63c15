declare module '#auth-utils' {
  interface User {
    name: string
    studio: string
    /** How dates and figures are written; what is left out, as usual. */
    writing?: {
      dates?: 'day_month' | 'month_day' | 'year_first'
      decimals?: 'point' | 'comma'
      language?: 'en' | 'de' | 'es' | 'fr' | 'it' | 'nl' | 'nb' | 'sv'
    }
    /** A studio to look around in, that goes after a day. */
    isDemo?: boolean
  }
  interface SecureSessionData {
    coachId: string
    signInId: string
  }
}
export {}
