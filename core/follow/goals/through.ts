import { ARM_GROUPS, type Exercise, type Group, indirectGroups } from '../../plan/catalogue'

/**
 * Arm muscles a lift goes through without being about them: a press through the triceps, a row through the biceps.
 *
 * Units:  credit of a set, between 0 and 1.
 * Source: docs/methods.md#goals.
 */
export const armsThrough = ({
  intents: [{ credits }],
}: Pick<Exercise, 'intents'>): readonly { readonly group: Group; readonly credit: number }[] =>
  ARM_GROUPS.filter(group => indirectGroups(credits).includes(group)).map(group => ({
    group,
    credit: credits[group]!,
  }))
