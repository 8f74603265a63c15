import type { EditProblem } from '../plan/block'
import type { ShorthandProblem } from '../plan/shorthand'
import type { Catalogue } from '../plan/catalogue'

/** Why an edit was refused, for the coach: what is wrong and what to do. */
export function editProblemSentence(problem: EditProblem, catalogue: Catalogue): string {
  switch (problem.kind) {
    case 'no_such_slot':
      return 'This exercise is no longer in the plan. Choose another one.'
    case 'no_such_day':
      return `The rotation has no day ${problem.day + 1}. Choose another day.`
    case 'rest_day':
      return `Day ${problem.day + 1} is rest. Choose a training day.`
    case 'day_not_empty':
      return `Day ${problem.day + 1} holds ${problem.sets} sets. Move or remove them first, then make it a rest day.`
    case 'day_full':
      return `Day ${problem.day + 1} already has two sessions. Choose another day, or swap the two days.`
    case 'too_short':
      return `The sessions need at least ${problem.least} days. Remove one, or put two on a day, then shorten.`
    case 'cannot_hold_weekdays':
      return `A rotation of ${problem.days} days cannot stay on weekdays. Make it 7 or 14 days, or let it float.`
    case 'no_such_session':
      return 'This session is no longer in the plan. Choose another one.'
    case 'one_rotation':
      return 'This is one rotation by itself: its days stay as the block has them. Dates are moved on the calendar; for the rest go back to the whole block.'
    case 'with_itself':
      return 'An exercise cannot be paired with itself. Choose another one, or add sets.'
    case 'needs_partner':
      return 'Only one exercise stands here. Pair it with another first.'
    case 'other_session':
      return 'Only exercises of one session can be done together. Move one of them first.'
    case 'session_full':
      return `A session holds ${problem.limit} exercises or groups at most. Pair some, or use a second session.`
    case 'too_many_sets':
      return `${catalogue.get(problem.exercise)?.name ?? problem.exercise} would pass ${problem.limit} sets in one session. Cut sets or use a second exercise.`
  }
}

function listed(words: readonly string[]): string {
  return words.length < 2
    ? words.join('')
    : `${words.slice(0, -1).join(', ')} or ${words.at(-1) ?? ''}`
}

/** Why a text is no shorthand, for the coach: where it stopped and what was expected there. Places count from 1. */
export function shorthandProblemSentence(problem: ShorthandProblem): string {
  const place = `At character ${problem.at + 1}`
  switch (problem.kind) {
    case 'unexpected':
      return `${place}: ${problem.found === 'the end' ? 'the text ends here' : `${JSON.stringify(problem.found)} cannot be read`}. Expected ${listed(problem.expected)}.`
    case 'row_length':
      return `${place}: ${problem.sets} sets, but a row of ${problem.values} values. Write one value for each set.`
    case 'open_count':
      return `${place}: rows and "last" need a fixed number of sets. Write the number, or leave the row out.`
    case 'repeated':
      return `${place}: ${JSON.stringify(problem.found)} says something that was said already. Leave one of the two out.`
    case 'too_few_sets':
      return `${place}: there are only ${problem.sets} sets. Write a smaller number behind "last".`
  }
}
