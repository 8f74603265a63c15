import { FoundNotes } from '#shared/contracts/notes'
import { searchedNotes } from '../services/notes'
import { defineRoute } from '../utils/defineRoute'

const LONGEST = 100

export default defineRoute({
  answer: FoundNotes,
  handle: ({ coach, event }) =>
    searchedNotes(coach, String(getQuery(event).q ?? '').slice(0, LONGEST)),
})
