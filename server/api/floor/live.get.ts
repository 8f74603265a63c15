import { hearFloors, onFloorNews } from '../../live/floorNews'
import { coachSignedIn } from '../../services/signIn'
import { defineLiveRoute, signInOf } from '../../utils/defineRoute'

/** A connection says that it is there so often, and looks whether the sign-in still is. Units: ms. */
const BEAT_MS = 20_000

/** Server-sent events: one whenever there is news of the studio. What it is the page asks for. */
export default defineLiveRoute(async (event, coach) => {
  setHeader(event, 'x-accel-buffering', 'no')
  const signIn = await signInOf(event)
  const stream = createEventStream(event)
  const end = onFloorNews(coach.id, () => void stream.push({ event: 'news', data: '1' }))
  const beat = setInterval(() => {
    hearFloors()
    void stream.push({ event: 'beat', data: '1' })
    // Who has signed out elsewhere is told nothing more; a database that is away ends nothing.
    void Promise.resolve(signIn && coachSignedIn(signIn)).then(
      still => (still ? undefined : stream.close()),
      () => {},
    )
  }, BEAT_MS)
  stream.onClosed(async () => {
    clearInterval(beat)
    end()
    await stream.close()
  })
  void stream.push({ event: 'news', data: '1' })
  return stream.send()
})
