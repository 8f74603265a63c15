export { nameReader } from './reader'
export type { NameReader, NameReading } from './reader'
