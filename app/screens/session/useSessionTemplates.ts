import { formatClock, JOINT_NAMES, sessionLines } from '#core/words'
import type { WeightUnit } from '#core/plan/scheme'
import {
  type FittedSession,
  bearingAt,
  fittedSession,
  forAny,
  SESSION_TEMPLATES,
  templateSession,
} from '#core/design/templates'
import { StrengthsView } from '#shared/contracts/history'
import {
  KeepSessionBody,
  KeptSession,
  SessionTemplatesView,
} from '#shared/contracts/sessionTemplate'
import { newId } from '~/shell/newId'
import type { SessionBuilder } from './useSessionBuilder'

/** A session that can be put on this day, as it would stand there. */
export interface OfferedTemplate {
  readonly key: string
  readonly name: string
  readonly suits: string
  readonly reasons: readonly string[]
  readonly ownId: string | null
  readonly fitted: FittedSession
  readonly lines: readonly string[]
  readonly words: readonly string[]
}

/** Templates that come with the program and the coach's own, each fitted to the client, and keeping a session as one. */
export function useSessionTemplates(builder: SessionBuilder) {
  const store = usePlanStore()
  const { ask } = useApi()
  const own = ref<
    readonly { id: string; name: string; reason: string; content: KeepSessionBody['content'] }[]
  >([])
  const strengths = shallowRef<ReadonlyMap<string, { load: number; unit: WeightUnit }>>(new Map())
  const isLoading = ref(true)
  const keeping = useSubmission({
    path: () => '/api/session-templates',
    body: KeepSessionBody,
    answer: KeptSession,
  })

  async function load(): Promise<void> {
    const client = store.client
    const [mine, strong] = await Promise.all([
      ask('/api/session-templates', { answer: SessionTemplatesView }),
      client ? ask(`/api/clients/${client.id}/strengths`, { answer: StrengthsView }) : null,
    ])
    if (mine.ok) own.value = mine.value.templates
    if (strong?.ok)
      strengths.value = new Map(
        strong.value.strengths.map(({ exercise, kg }) => [
          exercise,
          { load: kg, unit: 'kg' as const },
        ]),
      )
    isLoading.value = false
  }
  onMounted(load)

  function nameOf(id: string): string {
    return store.context?.catalogue.get(id)?.name ?? id
  }
  function fittingNotes({
    swapped,
    eased,
    leftOut,
    seconds,
    unfitted,
  }: FittedSession): readonly string[] {
    return [
      ...swapped.map(({ wanted, given }) => `${nameOf(given)} for ${nameOf(wanted)}`),
      ...leftOut.map(id => `${nameOf(id)} left out: nothing there can stand in`),
      ...eased.map(joint => `fewer sets: no more for the ${JOINT_NAMES[joint]}, which is sore`),
      ...(seconds < unfitted ? [`shortened from ${formatClock(unfitted)}`] : []),
    ]
  }
  const offered = computed((): readonly OfferedTemplate[] => {
    const [context, input] = [store.context, store.input]
    if (!context || !input) return []
    const fit = {
      context,
      ledger: input.ledger,
      oneReps: strengths.value,
      bearing: store.plan
        ? bearingAt(store.plan.rotation, builder.session.value, context)
        : undefined,
      newId,
      ...(builder.limit.value !== null && { minutes: builder.limit.value }),
    }
    const offer = (
      key: string,
      head: Pick<OfferedTemplate, 'name' | 'suits' | 'reasons' | 'ownId'>,
      fitted: FittedSession,
    ): OfferedTemplate => ({
      key,
      ...head,
      fitted,
      lines: sessionLines(fitted.session, context.catalogue),
      words: fittingNotes(fitted),
    })
    return [
      ...own.value.map(template =>
        offer(
          template.id,
          {
            name: template.name,
            suits: 'your own',
            reasons: template.reason ? [template.reason] : [],
            ownId: template.id,
          },
          fittedSession(template.content, fit),
        ),
      ),
      ...SESSION_TEMPLATES.map(template =>
        offer(
          template.id,
          { name: template.name, suits: template.suits, reasons: template.reasons, ownId: null },
          fittedSession(templateSession(template, newId), fit, forAny(template.scales)),
        ),
      ),
    ]
  })

  /** In place of what stands there, or at the end of it. */
  function put({ name, fitted }: OfferedTemplate, isAppended: boolean): void {
    const now = builder.session.value
    const content =
      now && isAppended
        ? { ...now, groupings: [...now.groupings, ...fitted.session.groupings] }
        : fitted.session
    if (
      !builder.edit({
        kind: 'put_session',
        day: builder.dayAt(),
        session: now?.id ?? null,
        content,
      })
    )
      return
    builder.close()
    builder.say(`${name} put in. Z undoes it.`)
  }
  async function keep(name: string, reason: string): Promise<boolean> {
    const content = builder.session.value
    if (!content) return false
    const kept = await keeping.send({ name, reason, content })
    if (kept) await load()
    return kept !== undefined
  }
  async function remove(id: string): Promise<void> {
    const result = await ask(`/api/session-templates/${id}`, {
      method: 'DELETE',
      answer: KeptSession,
    })
    if (result.ok) await load()
  }
  return { offered, isLoading, keeping, put, keep, remove }
}
