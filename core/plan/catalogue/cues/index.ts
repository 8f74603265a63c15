export { CUE_KEYS, cueLines } from './cues'
