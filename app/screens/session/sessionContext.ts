import type { SessionBuilder } from './useSessionBuilder'

const key = Symbol('session builder') as InjectionKey<SessionBuilder>

/** Lends the builder's state to its parts. */
export function provideSession(builder: SessionBuilder): void {
  provide(key, builder)
}

/** The state of the builder this part belongs to. Errors: throws outside the Session page. */
export function useSession(): SessionBuilder {
  const builder = inject(key)
  if (!builder) throw new Error('useSession is called outside the Session page')
  return builder
}
