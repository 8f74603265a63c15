export { draftsFrom } from './drafts'
export type { Draft, DraftOptions, Drafts } from './drafts'
export { rolesOf, STRUCTURES, structuresFor } from './structures'
export type { Structure } from './structures'
