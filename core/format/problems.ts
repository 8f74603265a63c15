import type { EditProblem } from '../block'
import type { Catalogue } from '../catalogue'

/** Why an edit was refused, for the coach: what is wrong and what to do. */
export function editProblemSentence(problem: EditProblem, catalogue: Catalogue): string {
  switch (problem.kind) {
    case 'no_such_slot': return 'This exercise is no longer in the plan. Choose another one.'
    case 'no_such_day': return `The rotation has no day ${problem.day + 1}. Choose another day.`
    case 'rest_day': return `Day ${problem.day + 1} is rest. Choose a training day.`
    case 'too_many_sets': return `${catalogue.get(problem.exercise)?.name ?? problem.exercise} would pass ${problem.limit} sets in one session. Cut sets or use a second exercise.`
  }
}
