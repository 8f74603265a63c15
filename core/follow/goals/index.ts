export { daysToGo, goalCourse } from './goal'
export type { GoalAim, GoalCourse, GoalPoint, GoalState } from './goal'
export { armsThrough } from './through'
