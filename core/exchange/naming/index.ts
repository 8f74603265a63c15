export { nameReader } from './reader'
export { MOVEMENT_WORDS } from './spellings'
export type { NameReader, NameReading } from './reader'
