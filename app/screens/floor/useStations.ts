import { parsedStations, type Stations, stationsText } from '#core/follow/floor'
import { StationsBody } from '#shared/contracts/floor'

/** The studio's stations as a line to type, saved where it can be read. */
export function useStations(saved: () => Stations, onSaved: () => void) {
  const typed = ref(stationsText(saved()))
  const message = ref('')
  const read = computed(() => parsedStations(typed.value))
  const { send, complaint, isBusy } = useSubmission({
    path: () => '/api/account/stations',
    method: 'PUT',
    body: StationsBody,
    answer: StationsBody,
  })
  async function save(): Promise<void> {
    message.value = ''
    if (!read.value.ok || !(await send({ stations: read.value.value }))) return
    message.value = 'Saved.'
    onSaved()
  }
  return {
    typed,
    isBusy,
    message,
    save,
    complaint: computed(() => (read.value.ok ? complaint.value : read.value.error)),
  }
}
