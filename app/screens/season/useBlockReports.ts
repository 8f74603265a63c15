import { ReportAnswer, type ReportView } from '#shared/contracts/report'

/** Reports of a client's blocks, each asked for once. */
export function useBlockReports(clientId: string) {
  const { ask } = useApi()
  const told = shallowRef<ReadonlyMap<string, ReportView>>(new Map())

  /** True where it is there. */
  async function load(block: string): Promise<boolean> {
    if (told.value.has(block)) return true
    const result = await ask(`/api/clients/${clientId}/report?block=${block}`, {
      answer: ReportAnswer,
    })
    if (result.ok) told.value = new Map(told.value).set(block, result.value)
    return result.ok
  }
  return { told, load }
}
export type BlockReports = ReturnType<typeof useBlockReports>
