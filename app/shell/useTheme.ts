export const THEMES = ['system', 'light', 'dark'] as const
export type Theme = (typeof THEMES)[number]

const YEAR_SECONDS = 60 * 60 * 24 * 365

/** The colour theme a coach has chosen; kept in a cookie, so that the server draws the right one at once. */
export function useTheme() {
  const choice = useCookie<Theme>('tholepin-theme', {
    default: () => 'system',
    maxAge: YEAR_SECONDS,
    sameSite: 'lax',
  })
  function next(): void {
    choice.value = THEMES[(THEMES.indexOf(choice.value) + 1) % THEMES.length] ?? 'system'
  }
  return { choice: readonly(choice), next }
}
