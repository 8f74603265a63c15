import { rankedTemplates, rotationEdit } from '#core/design/templates'
import { capitalised, fitChangeWords, fitReasons, ROLE_NAMES } from '#core/words'
import { newId } from '~/shell/newId'

/** Rotations to start from, fitted to the client, those first that fit best. */
export function useTemplates() {
  const store = usePlanStore()
  // Fitted once, when the list opens: the plan on the board is what it is laid against.
  const [plan, context] = [store.plan, store.context]
  const ranked = plan && context ? rankedTemplates(toRaw(plan), toRaw(context), newId) : []
  const offered = ranked.map(offer => ({
    id: offer.wanted.id,
    name: offer.wanted.name,
    about: offer.wanted.reasons,
    reasons: capitalised(fitReasons(offer).join(' · ')),
    changes: context ? fitChangeWords(offer.fitted, context.catalogue) : [],
    flexors: offer.strip.flexorsPer7Days,
    triceps: offer.strip.tricepsPer7Days,
    days: offer.strip.days.map((day, at) => {
      const { role, label, sessions } = offer.fitted.days[at]!
      return {
        ...day,
        name: label ?? ROLE_NAMES[role],
        isRest: sessions.length === 0,
        state: 'planned' as const,
      }
    }),
    fitted: offer.fitted,
  }))
  const use = ({ fitted }: (typeof offered)[number]) => store.edit(rotationEdit(fitted))
  return { offered, use }
}
