import type { LogEntry } from '#core/follow/sheet'
import type { SheetView } from '#shared/contracts/sheet'
import { createStore, entries, get, set, update } from 'idb-keyval'
import type { SessionEntry } from './useSheetApi'

/** An entry that found another value in its place, with that value. */
export interface Clash {
  readonly mine: SessionEntry
  readonly theirs: LogEntry | null
}

/** An entry the server cannot take, with its reason. */
export interface Aside {
  readonly entry: SessionEntry
  readonly why: string
  /** It stands in the coach's notes. */
  readonly isTold?: boolean
}

/** What a phone keeps of one link. */
export interface KeptSheet {
  readonly key: string | null
  readonly view: SheetView | null
}

const EMPTY: KeptSheet = { key: null, view: null }
const LAST = 'tholepin-sheet-last'

/**
 * What is kept on the phone (IndexedDB): the sheet as it was last fetched, entries not sent yet, and clashes to settle.
 * Waiting entries are added and taken out one by one in transactions, so that two windows on one phone never lose each other's.
 */
export function sheetKeeping(token: string, base = 'tholepin-sheet') {
  const store = createStore(base, 'kept')
  const name = (what: string) => `${what} ${token}`
  const read = <Kept>(what: string, empty: Kept) =>
    get<Kept>(name(what), store).then(kept => kept ?? empty)
  return {
    sheet: () => read<KeptSheet>('sheet', EMPTY),
    keepSheet: (kept: KeptSheet) => set(name('sheet'), kept, store),
    waiting: () => read<readonly SessionEntry[]>('waiting', []),
    addWaiting: (entry: SessionEntry) =>
      update<readonly SessionEntry[]>(name('waiting'), (before = []) => [...before, entry], store),
    removeWaiting: (ids: ReadonlySet<string>) =>
      update<readonly SessionEntry[]>(
        name('waiting'),
        (before = []) => before.filter(({ id }) => !ids.has(id)),
        store,
      ),
    clashes: () => read<readonly Clash[]>('clashes', []),
    changeClashes: (change: (before: readonly Clash[]) => readonly Clash[]) =>
      update<readonly Clash[]>(name('clashes'), (before = []) => change(before), store),
    aside: () => read<readonly Aside[]>('aside', []),
    addAside: (one: Aside) =>
      update<readonly Aside[]>(name('aside'), (before = []) => [...before, one], store),
    markTold: (id: string) =>
      update<readonly Aside[]>(
        name('aside'),
        (before = []) => before.map(one => (one.entry.id === id ? { ...one, isTold: true } : one)),
        store,
      ),
    removeAside: (id: string) =>
      update<readonly Aside[]>(
        name('aside'),
        (before = []) => before.filter(({ entry }) => entry.id !== id),
        store,
      ),
    /** Takes over what waits under an earlier link of the same client: a new link sends what the old one could not. */
    adopt: async (client: string) => {
      for (const [kept, value] of await entries<string, KeptSheet>(store)) {
        const [what, other] = String(kept).split(' ')
        if (
          what !== 'sheet' ||
          other === undefined ||
          other === token ||
          value.view?.client.id !== client
        )
          continue
        const left = (await get<readonly SessionEntry[]>(`waiting ${other}`, store)) ?? []
        if (left.length === 0) continue
        await update<readonly SessionEntry[]>(
          name('waiting'),
          (before = []) => [...left, ...before],
          store,
        )
        await set(`waiting ${other}`, [], store)
      }
    },
    /** The link opened last, for the icon on the home screen. */
    rememberLast: () => localStorage.setItem(LAST, token),
  }
}

/** The link that was opened last on this phone; null if there was none. */
export function lastSheet(): string | null {
  return localStorage.getItem(LAST)
}
