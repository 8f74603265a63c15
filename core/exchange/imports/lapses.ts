import { failure, type Result, success } from '../../base'
import { LAPSE_WORDS, SET_LAPSES, type SetLapse } from '../../body/log'

/** Lapses as a file has them, `cut short; helped`; none where the cell is empty. Errors: the word that is none, with those that are. */
export function lapsesIn(cell: string): Result<readonly SetLapse[], string> {
  const said = cell
    .toLowerCase()
    .split(';')
    .map(word => word.trim())
    .filter(Boolean)
  const unknown = said.find(word => !SET_LAPSES.some(lapse => LAPSE_WORDS[lapse] === word))
  return unknown === undefined
    ? success(SET_LAPSES.filter(lapse => said.includes(LAPSE_WORDS[lapse])))
    : failure(
        `form “${unknown.slice(0, 20)}” is not one of ${SET_LAPSES.map(lapse => LAPSE_WORDS[lapse]).join(', ')}.`,
      )
}
