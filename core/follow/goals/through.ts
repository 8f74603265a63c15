import { ARM_GROUPS, type Exercise, type Group } from '../../plan/catalogue'

/**
 * Arm muscles a lift goes through without being about them: a press through the triceps, a row through the biceps.
 *
 * Units:  credit of a set, between 0 and 1.
 * Source: docs/methods.md#goals.
 */
export const armsThrough = ({
  intents: [{ credits }],
}: Pick<Exercise, 'intents'>): readonly { readonly group: Group; readonly credit: number }[] =>
  ARM_GROUPS.flatMap(group => {
    const credit = credits[group] ?? 0
    return credit > 0 && credit < 1 ? [{ group, credit }] : []
  })
