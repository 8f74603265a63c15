import type { Story } from './logWriter'
import type { DemoClient } from './studio'

/** What a test wants a client's past to be instead, by the beginning of the name. */
export type ToldOtherwise = Readonly<Record<string, Partial<Story> & { readonly weeks?: number }>>

/** A client with the past that a test wants, and for how many weeks back; as the demo has it where it wants none. */
export function toldOtherwise(
  client: DemoClient,
  stories: ToldOtherwise,
): readonly [client: DemoClient, weeks: number | undefined] {
  const found = Object.entries(stories).find(([name]) => client.name.startsWith(name))
  if (!found) return [client, undefined]
  const { weeks, ...story } = found[1]
  return [{ ...client, story: { ...client.story, ...story } }, weeks]
}
