import { type House, type Outage, parsedStations, stationsText } from '#core/follow/floor'
import { houseText, outageWords, readHouse } from '#core/words'
import { type FloorView, StudioBody } from '#shared/contracts/floor'

/** The studio's stations and hours as they are typed, saved where all of it can be read. */
export function useStudioFloor(
  saved: () => Pick<FloorView, 'stations' | 'house'>,
  onSaved: () => void,
) {
  const today = useToday()
  const written = () => ({
    stations: stationsText(saved().stations),
    ...houseText(saved().house),
  })
  const typed = reactive(written())
  // What was taken back stands in the fields again.
  watch(saved, () => Object.assign(typed, written()))
  const message = ref('')
  const stations = computed(() => parsedStations(typed.stations))
  const read = computed(() => readHouse(typed, today.value))
  /** What is wrong with each field; empty where nothing is. */
  const complaints = computed(() => {
    const { opens = '', closes = '', coaches = '', closed = '' } = read.value.complaints
    return {
      stations: stations.value.ok ? '' : stations.value.error,
      opens,
      closes,
      coaches,
      closed,
    }
  })
  const { send, complaint, isBusy } = useSubmission({
    path: () => '/api/account/studio',
    method: 'PUT',
    body: StudioBody,
    answer: StudioBody,
  })
  async function save(): Promise<void> {
    message.value = ''
    if (!stations.value.ok || Object.values(complaints.value).some(Boolean)) return
    await put({ ...read.value.house, ...outOf(saved().house.out ?? []) })
  }
  const outOf = (out: readonly Outage[]) => (out.length > 0 ? { out } : {})
  async function put(house: House): Promise<void> {
    if (!stations.value.ok) return
    if (!(await send({ stations: stations.value.value, house }))) return
    message.value = 'Saved.'
    onSaved()
  }
  /** What is out of use, and puts it in use again. */
  const outages = computed(() =>
    (saved().house.out ?? [])
      .filter(({ to }) => to >= today.value)
      .map(one => ({
        words: outageWords(one.station, one.left, one.from, one.to),
        end: () => {
          const { out = [], ...house } = saved().house
          return put({ ...house, ...outOf(out.filter(other => other !== one)) })
        },
      })),
  )
  return {
    outages,
    typed,
    complaints,
    complaint,
    isBusy,
    message,
    save,
  }
}
