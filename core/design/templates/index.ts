export { SESSION_TEMPLATES } from './sessionTemplates'
export type { SessionTemplate } from './sessionTemplates'
export { fittedSession, templateSession } from './fittedSession'
export type { Fit, FittedSession } from './fittedSession'
