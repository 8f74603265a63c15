export { LIMITS } from '#shared/contracts/limits'
