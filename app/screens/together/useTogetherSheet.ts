import { success } from '#core/base'
import { EntriesAnswer, SheetAnswer } from '#shared/contracts/sheet'
import { defineStore } from 'pinia'
import { sheetInHand } from '~/stores/sheet'
import type { ApiFailure } from '~/shell/useApi'
import type { SheetFailure, useSheetApi } from '../phone/useSheetApi'

/** The store of the browser that a group's sheets are kept in. */
export const TOGETHER_BASE = 'tholepin-together'

const asSheetFailure = (error: ApiFailure): SheetFailure =>
  error.kind === 'unreachable'
    ? error
    : {
        kind: 'refused',
        problem: error.problem.type.replace('/problems/', ''),
        detail: error.problem.detail,
      }

const isGone = (error: ApiFailure) =>
  error.kind === 'refused' && error.problem.type === '/problems/not-found'

/** A client's sheet as the coach asks for it: the same words, by her own sign-in. */
function useCoachSheetApi(client: string): ReturnType<typeof useSheetApi> {
  const { ask } = useApi()
  const path = `/api/clients/${client}`
  return {
    open: async () => success({ key: 'coach', needsPin: false }),
    sheet: async () => {
      const got = await ask(`${path}/sheet`, { answer: SheetAnswer })
      return got.ok ? got : { ok: false, error: asSheetFailure(got.error) }
    },
    send: async (_key, entries) => {
      const results: EntriesAnswer['results'][number][] = []
      let now = ''
      // Each session has an address of its own; what one of them cannot take keeps nothing of the others.
      for (const session of new Set(entries.map(entry => entry.session))) {
        const own = entries.filter(entry => entry.session === session)
        const got = await ask(`${path}/sessions/${session}/entries`, {
          method: 'POST',
          body: { sentAt: new Date().toISOString(), entries: own },
          answer: EntriesAnswer,
        })
        if (!got.ok && isGone(got.error)) {
          // A session that was taken off holds up nothing else: what was said of it is laid aside and told.
          results.push(
            ...own.map(({ id }) => ({ id, outcome: 'unknown_session' as const, theirs: null })),
          )
          continue
        }
        if (!got.ok) return { ok: false, error: asSheetFailure(got.error) }
        results.push(...got.value.results)
        now = got.value.now
      }
      return success({ now, results })
    },
    // What the coach's own tablet cannot send it shows to her: there is nobody else to tell.
    tellRefused: async () => success({ isDone: true as const }),
  }
}

/** One client's sheet on the coach's tablet. */
export const useTogetherSheet = (client: string) =>
  defineStore(`together-${client}`, () =>
    sheetInHand({
      api: useCoachSheetApi(client),
      base: TOGETHER_BASE,
      overWords: 'You are signed out. Sign in again: what was logged here is kept, and sent then.',
      isRemembered: false,
    }),
  )()
export type TogetherSheet = ReturnType<typeof useTogetherSheet>
