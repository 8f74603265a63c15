import { forOneReader } from '../utils/writing'

/** Whatever is answered is written as whoever asks has it written: what routes say, and pages drawn here. */
export default defineNitroPlugin(({ h3App }) => {
  const { handler } = h3App
  h3App.handler = event => forOneReader(() => handler(event))
})
