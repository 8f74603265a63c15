import { isSore } from '#core/body/joints'
import {
  Done,
  type HistoryView as View,
  HistoryView,
  MeasurementBody,
  PainBody,
  ClearanceBody,
} from '#shared/contracts/history'
import type { z } from 'zod'

/** What a client has done, where it is going and what hurts; and the records a coach adds to it. */
export async function useHistory(id: string) {
  const { ask } = useApi()
  const pain = useSubmission({
    path: () => `/api/clients/${id}/pain`,
    body: PainBody,
    answer: Done,
  })
  const clearance = useSubmission({
    path: () => `/api/clients/${id}/clearances`,
    body: ClearanceBody,
    answer: Done,
  })
  const measurement = useSubmission({
    path: () => `/api/clients/${id}/measurements`,
    body: MeasurementBody,
    answer: Done,
  })
  const { data, refresh } = await useAsyncData(
    `history-${id}`,
    async () => {
      const result = await ask(`/api/clients/${id}/history`, { answer: HistoryView })
      if (result.ok) return result.value
      throw createError({
        statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
        fatal: true,
      })
    },
    { deep: false },
  )

  /** A form that posts one record and shows it at once. */
  function shown<Body extends z.ZodType>(
    submission: ReturnType<typeof useSubmission<Body, typeof Done>>,
  ) {
    async function send(entered: unknown): Promise<boolean> {
      const done = await submission.send(entered)
      if (done) await refresh()
      return done !== undefined
    }
    return { ...submission, send }
  }
  async function decide(session: string): Promise<void> {
    await ask(`/api/clients/${id}/sessions/${session}/decision`, {
      method: 'PUT',
      body: { decision: 'drop' },
      answer: Done,
    })
    await refresh()
  }
  async function removeMeasurement(measurement: string): Promise<void> {
    await ask(`/api/clients/${id}/measurements/${measurement}`, { method: 'DELETE', answer: Done })
    await refresh()
  }
  return {
    history: computed((): View | null => data.value ?? null),
    /** Joints whose reports keep them from getting more. */
    sore: computed(() =>
      (data.value?.joints ?? []).filter(({ level }) => isSore(level)).map(({ joint }) => joint),
    ),
    decide,
    removeMeasurement,
    pain: shown(pain),
    clearance: shown(clearance),
    measurement: shown(measurement),
  }
}
