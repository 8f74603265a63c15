import { LinkView } from '#shared/contracts/sheet'

/** After something was sent: whether the client has a sheet to find it on, and if not, a link and a code to hand over. */
export function useHandOver(clientId: string) {
  const { ask } = useApi()
  const isHandingOver = ref(false)
  async function handOver(): Promise<void> {
    const result = await ask(`/api/clients/${clientId}/link`, { answer: LinkView })
    isHandingOver.value = result.ok && (result.value.link === null || result.value.link.isOver)
  }
  return { isHandingOver, handOver }
}
