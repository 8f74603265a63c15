import { formatDay, GROUP_NAMES, paceDifferenceWords, paceWords } from '#core/words'
import type { Group } from '#core/plan/catalogue'
import { Done } from '#shared/contracts/history'
import type { Review } from './useReview'

/** How fast each muscle recovers: what the log says, what is reckoned with, and the coach's last word. */
export function usePaces(clientId: string, { view, change }: Review) {
  const all = computed(() =>
    (view.value?.paces ?? []).map(({ group, learned, inForce, by, since }) => ({
      group,
      name: GROUP_NAMES[group],
      learned: learned ? paceWords(learned) : 'Nothing to learn from yet',
      inForce: inForce === 1 ? 'the usual hours' : `${inForce} times the usual hours`,
      by: by === 'coach' ? 'set by you' : by === 'log' && inForce !== 1 ? 'from the log' : '',
      since: since ? `learning again since ${formatDay(since)}` : '',
      offered: learned?.kind === 'pace' ? Math.round(learned.pace * 100) / 100 : null,
      isUsual: inForce === 1,
      isByCoach: by === 'coach',
    })),
  )
  const decide = (group: Group, decision: object, words: string) =>
    change('pace', { group, decision }, words, {
      answer: Done,
      at: `/api/clients/${clientId}/pace`,
    })
  return {
    difference: computed(() => paceDifferenceWords(view.value?.paces ?? [])),
    /** Muscles the log says something about, or somebody has decided about; the others only say why not. */
    rows: computed(() =>
      all.value.filter(
        ({ offered, isUsual, by, since }) =>
          offered !== null || !isUsual || by !== '' || since !== '',
      ),
    ),
    silent: computed(() =>
      all.value.filter(
        ({ offered, isUsual, by, since }) =>
          offered === null && isUsual && by === '' && since === '',
      ),
    ),
    set: (group: Group, pace: number) =>
      decide(
        group,
        { kind: 'set', pace },
        `${GROUP_NAMES[group]}: board, block and proposals use ${pace} times the usual hours from now on.`,
      ),
    usual: (group: Group) =>
      decide(
        group,
        { kind: 'usual' },
        `${GROUP_NAMES[group]}: the usual hours, until you say otherwise.`,
      ),
    anew: (group: Group) =>
      decide(
        group,
        { kind: 'anew' },
        `${GROUP_NAMES[group]}: what was learned is put away; learning starts again today.`,
      ),
  }
}
