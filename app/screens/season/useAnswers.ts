import { ARM_GROUPS } from '#core/plan/catalogue'
import { ANSWERED, answeredTo, type SeasonBlock, usualWeek } from '#core/follow/season'
import { answeredWords } from '#core/words'
import { ReportAnswer, type ReportView } from '#shared/contracts/report'

/** More blocks than this lie too far back to say anything of the client as she is. */
const LATEST = 8

/** What the muscles answered to, as the blocks behind say; fetched once the page is there. */
export function useAnswers(clientId: string, blocks: () => readonly SeasonBlock[]) {
  const { ask } = useApi()
  const reports = shallowRef<ReadonlyMap<string, ReportView>>(new Map())
  const behind = computed(() =>
    blocks()
      .filter(({ state }) => state === 'behind')
      .slice(-LATEST),
  )
  async function fetchOne({ id }: SeasonBlock) {
    const result = await ask(`/api/clients/${clientId}/report?block=${id}`, {
      answer: ReportAnswer,
    })
    return result.ok ? [[id, result.value] as const] : []
  }
  async function load(): Promise<void> {
    if (behind.value.length < ANSWERED.blocks) return
    // One after the other: nobody waits for them, and other pages go before.
    for (const block of behind.value)
      reports.value = new Map([...reports.value, ...(await fetchOne(block))])
  }
  onMounted(load)
  /** Sentences, most often none: said once all of the blocks are known. */
  return computed(() => {
    const told = behind.value.flatMap(({ id }) => reports.value.get(id) ?? [])
    if (told.length < behind.value.length) return []
    return ARM_GROUPS.flatMap(group => {
      const found = answeredTo(
        group,
        told.flatMap(({ title, volume, muscles }) => {
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
