export { secondMethod, underMethod } from './secondMethod'
export type { SecondMethod, SeenMuscle, TwiceSeen } from './secondMethod'
