import { parsedStations, stationsText } from '#core/follow/floor'
import { houseText, readHouse } from '#core/words'
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
    if (!(await send({ stations: stations.value.value, house: read.value.house }))) return
    message.value = 'Saved.'
    onSaved()
  }
  return { typed, complaints, complaint, isBusy, message, save }
}
