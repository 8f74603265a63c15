import type { DateLanguage } from './writing'

interface DateNames {
  /** What the language calls itself. */
  readonly name: string
  /** Monday first. */
  readonly weekdays: readonly string[]
  readonly months: readonly string[]
}
const of = (name: string, weekdays: string, months: string): DateNames => ({
  name,
  weekdays: weekdays.split(' '),
  months: months.split(' '),
})

/** Names of days and months as their speakers shorten them. */
export const DATE_NAMES: Readonly<Record<DateLanguage, DateNames>> = {
  en: of(
    'English',
    'Mon Tue Wed Thu Fri Sat Sun',
    'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec',
  ),
  de: of('Deutsch', 'Mo Di Mi Do Fr Sa So', 'Jan Feb März Apr Mai Juni Juli Aug Sept Okt Nov Dez'),
  es: of(
    'español',
    'lun mar mié jue vie sáb dom',
    'ene feb mar abr may jun jul ago sept oct nov dic',
  ),
  fr: of(
    'français',
    'lun mar mer jeu ven sam dim',
    'janv févr mars avr mai juin juil août sept oct nov déc',
  ),
  it: of(
    'italiano',
    'lun mar mer gio ven sab dom',
    'gen feb mar apr mag giu lug ago set ott nov dic',
  ),
  nl: of('Nederlands', 'ma di wo do vr za zo', 'jan feb mrt apr mei jun jul aug sep okt nov dec'),
  nb: of(
    'norsk',
    'man tir ons tor fre lør søn',
    'jan feb mars apr mai juni juli aug sep okt nov des',
  ),
  sv: of(
    'svenska',
    'mån tis ons tors fre lör sön',
    'jan feb mars apr maj juni juli aug sep okt nov dec',
  ),
}
