import { createPinia, setActivePinia } from 'pinia'
import * as vue from 'vue'

/** A request as a store makes it. */
export interface Asked {
  readonly path: string
  readonly method: string
  readonly body: unknown
}

/** What the server is made to answer, in the order it is asked. */
export type Answering = (asked: Asked) => unknown

/** Puts in place what the framework imports by itself, with a server that answers as the test says. */
export function frameworkWith(answering: Answering): readonly Asked[] {
  const asked: Asked[] = []
  const ask = async (
    path: string,
    { method = 'GET', body = null }: { method?: string; body?: unknown } = {},
  ) => {
    asked.push({ path, method, body })
    return answering({ path, method, body })
  }
  Object.assign(globalThis, vue, { useApi: () => ({ ask, arrived: async () => {} }) })
  setActivePinia(createPinia())
  return asked
}

/** A store or composable for the framework's own imports to find. */
export function provideGlobally(names: Readonly<Record<string, unknown>>): void {
  Object.assign(globalThis, names)
}
