/**
 * What tests import as `@jest/globals`: under the light runner Jest's functions stand on the global object, and the package
 * of that name only tells types.
 */
type Globals = typeof import('@jest/globals')

export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, jest, test } =
  globalThis as unknown as Globals
