import { ARM_GROUPS } from '#core/plan/catalogue'
import { ANSWERED, answeredTo, type SeasonBlock, usualWeek } from '#core/follow/season'
import { answeredWords } from '#core/words'
import type { BlockReports } from './useBlockReports'

/** More blocks than this lie too far back to say anything of the client as she is. */
const LATEST = 8

/** What the muscles answered to, as the blocks behind say; fetched once the page is there. */
export function useAnswers({ told, load }: BlockReports, blocks: () => readonly SeasonBlock[]) {
  const behind = computed(() =>
    blocks()
      .filter(({ state }) => state === 'behind')
      .slice(-LATEST),
  )
  async function loadAll(): Promise<void> {
    if (behind.value.length < ANSWERED.blocks) return
    // One after the other: nobody waits for them, and other pages go before.
    for (const { id } of behind.value) await load(id)
  }
  onMounted(loadAll)
  /** Sentences, most often none: said once all of the blocks are known. */
  return computed(() => {
    const reports = behind.value.flatMap(({ id }) => told.value.get(id) ?? [])
    if (reports.length < behind.value.length) return []
    return ARM_GROUPS.flatMap(group => {
      const found = answeredTo(
        group,
        reports.flatMap(({ title, volume, muscles }) => {
          const own = muscles.find(one => one.group === group)
          return own
            ? [
                {
                  title,
                  sets: usualWeek(volume, group).done,
                  slope: own.slope,
                  error: own.error ?? Infinity,
                  count: own.count,
                },
              ]
            : []
        }),
      )
      return found ? [answeredWords(found)] : []
    })
  })
}
