declare const brand: unique symbol

/** A string that names one kind of thing; ids of two kinds do not mix. */
export type Id<Kind extends string> = string & { readonly [brand]: Kind }

export type CoachId = Id<'coach'>
export type ClientId = Id<'client'>
export type BlockId = Id<'block'>
export type SessionId = Id<'session'>
export type GroupingId = Id<'grouping'>
export type SlotId = Id<'slot'>
/** A built-in exercise (see `CATALOGUE_IDS`) or one a coach has added. */
export type ExerciseId = Id<'exercise'>

// One function per kind, so that a search for it finds every place where an id is born.
export const coachId = (text: string): CoachId => text as CoachId
export const clientId = (text: string): ClientId => text as ClientId
export const blockId = (text: string): BlockId => text as BlockId
export const sessionId = (text: string): SessionId => text as SessionId
export const groupingId = (text: string): GroupingId => text as GroupingId
export const slotId = (text: string): SlotId => text as SlotId
export const exerciseId = (text: string): ExerciseId => text as ExerciseId
