import 'fake-indexeddb/auto'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import * as vue from 'vue'
import type { DemoClient } from '../../server/demo/studio'
import { TEST_DAY, unitStudio, useTestDatabase } from '../../server/testing/database'
import { isRef, portraitLines } from './portrait'
import { read } from './studioServer'

/* What every screen makes of the demo studio, and what each of its verbs does. A figure that changes on purpose: look at
   the difference, then `npm run unit -- scripts/portraits -u`. */

useTestDatabase()

type Room = Readonly<Record<string, never>> & Readonly<Record<string, unknown>>
/** Rooms are named by path, so that the framework's own names are there before they are read. */
const load = (path: string) => import(path) as Promise<Record<string, (...args: unknown[]) => Room>>

interface Screen {
  readonly name: string
  readonly of: string
  /** What the room is given, from the client on the screen and the rooms that it stands in. */
  readonly args?: (client: DemoClient, within: Room) => readonly unknown[]
  readonly within?: { readonly of: string; readonly args?: readonly unknown[] }
  /** What is done before one looks. */
  readonly first?: (room: Room, within: Room) => unknown
  readonly who?: readonly string[]
}

const COLOURS = vue.shallowRef({ of: (name: string) => `<${name}>`, ink: 'ink', page: 'page' })
const byId = ({ id }: DemoClient) => [id]
const inside = (_: DemoClient, within: Room) => [within]
const builder = (day: number) => ({
  of: 'session/useSessionBuilder',
  args: [() => day, () => 0],
})
const BLOCK = { of: 'block/useBlock' }
const BOARD = { of: 'split/useSplitBoard' }
const selectFirst = (_: Room, within: Room) =>
  (within as unknown as { select: (place: object) => void }).select?.({ day: 0, rail: 0 })

const SCREENS: readonly Screen[] = [
  { name: 'board', of: 'split/useSplitBoard' },
  {
    name: 'derivation',
    of: 'split/useDerivation',
    within: BOARD,
    args: inside,
    first: selectFirst,
  },
  { name: 'foot', of: 'split/useBoardFoot', within: BOARD, args: inside },
  { name: 'weeks', of: 'split/useCalendarWeeks' },
  { name: 'rotation', of: 'split/useRotationEditor' },
  { name: 'session', of: 'session/useSessionBuilder', args: () => [() => 0, () => 0] },
  { name: 'lines', of: 'session/useSessionLines', within: builder(0), args: inside },
  { name: 'figures', of: 'session/useSessionFigures', within: builder(0), args: inside },
  { name: 'coverage', of: 'session/useSessionCoverage', within: builder(0), args: inside },
  { name: 'text', of: 'session/useSessionText', within: builder(0), args: inside },
  { name: 'versions', of: 'session/useSessionVersions', within: builder(0), args: inside },
  { name: 'swap', of: 'session/useSwap', within: builder(0), args: inside },
  { name: 'templates', of: 'session/useSessionTemplates', within: builder(0), args: inside },
  { name: 'short', of: 'session/useShortSession', within: builder(0), args: inside },
  { name: 'block', of: 'block/useBlock' },
  { name: 'block loads', of: 'block/useBlockLoads' },
  { name: 'calendar', of: 'block/useBlockCalendar' },
  { name: 'charts', of: 'block/useBlockCharts', within: BLOCK, args: () => [COLOURS] },
  { name: 'terms', of: 'block/useBlockTerms' },
  { name: 'next block', of: 'block/useNextBlock' },
  { name: 'targets', of: 'client/useTargets', args: byId },
  { name: 'compare', of: 'compare/useComparison' },
  { name: 'print', of: 'print/usePrintedSessions', args: () => [() => PRINTED] },
  { name: 'trends', of: 'trends/useTrendCharts', args: ({ id }) => [id, COLOURS] },
  { name: 'history', of: 'history/useHistory', args: byId },
  { name: 'log', of: 'log/useLog', args: byId },
  { name: 'link', of: 'log/useSheetLink', args: byId },
  { name: 'log import', of: 'log/useLogImport', args: byId },
  { name: 'library', of: 'library/useExerciseLibrary' },
  { name: 'report', of: 'report/useReport', args: ({ id }) => [id, COLOURS] },
  { name: 'roster', of: 'roster/useRoster' },
  { name: 'review', of: 'review/useReview', args: byId },
  { name: 'proposals', of: 'proposals/useProposals' },
]
const PRINTED = { day: null, session: 0, on: null, isBlock: false }
const CLIENTS = ['Marit', 'Teo'] as const

const APP = join(process.cwd(), 'app')
const roomsIn = (folder: string): string[] =>
  readdirSync(join(APP, folder), { withFileTypes: true }).flatMap(entry =>
    entry.isDirectory()
      ? roomsIn(`${folder}/${entry.name}`)
      : /^use\w+\.ts$/.test(entry.name) || (folder === 'stores' && !/test/.test(entry.name))
        ? [`../../app/${folder}/${entry.name}`]
        : [],
  )

let mounted: (() => unknown)[] = []
let loading: Promise<unknown>[] = []
const asked: string[] = []

/** What the services say, asked once a path: nothing here writes. */
const answers = new Map<string, Promise<unknown>>()
function answerTo(path: string, of: Awaited<ReturnType<typeof unitStudio>>) {
  const known = answers.get(path) ?? read(of.coach, of.today, path)
  answers.set(path, known)
  return known
}

/** What the framework gives by itself, with the services of the studio behind `ask`. */
async function framework(studio: Awaited<ReturnType<typeof unitStudio>>, who: DemoClient) {
  const [{ createPinia, setActivePinia }, uses] = await Promise.all([
    import('pinia'),
    import('@vueuse/core'),
  ])
  const states = new Map<string, unknown>()
  const state = (key: string, made: () => unknown) => {
    if (!states.has(key)) states.set(key, vue.ref(made()))
    return states.get(key)
  }
  mounted = []
  loading = []
  asked.length = 0
  Object.assign(globalThis, vue, uses)
  for (const path of ['stores', 'shell', 'ui', 'screens'].flatMap(roomsIn))
    Object.assign(globalThis, await load(path).catch(() => ({})))
  Object.assign(globalThis, {
    useApi: () => ({
      arrived: async () => {},
      ask: async (
        path: string,
        { method = 'GET', body = null }: { method?: string; body?: unknown },
      ) => {
        if (method === 'GET') return answerTo(path, studio)
        asked.push(`${method} ${path} ${JSON.stringify(body)?.slice(0, 80)}`)
        return { ok: true, value: { version: 1, savedAt: '2026-04-02T08:00:00.000Z' } }
      },
    }),
    useToday: () => vue.ref(TEST_DAY),
    useState: state,
    useCookie: () => vue.ref(null),
    useRoute: () => ({ params: { clientId: who.id }, query: {}, path: '' }),
    useRouter: () => ({ push: async () => {}, replace: async () => {} }),
    navigateTo: async (path: unknown) => void asked.push(`goes to ${JSON.stringify(path)}`),
    useAsyncData: (
      _: string,
      ask: () => Promise<unknown>,
      { default: first }: { readonly default?: () => unknown } = {},
    ) => {
      const data = vue.shallowRef<unknown>(first?.() ?? null)
      const refresh = async () => void (data.value = await ask())
      const held = { data, refresh }
      const begun = refresh().then(() => held)
      loading.push(begun)
      return Object.assign(begun, held)
    },
    onMounted: (work: () => unknown) => mounted.push(work),
    onScopeDispose: () => {},
    onBeforeUnmount: () => {},
    useAfterPaint: (of: () => unknown) => vue.computed(of),
    useElementSize: (_: unknown, size: object) => vue.toRefs(vue.reactive({ ...size })),
  })
  setActivePinia(createPinia())
}

/** A screen with everything around it, as it stands once it is loaded. */
async function opened(
  screen: Screen,
  studio: Awaited<ReturnType<typeof unitStudio>>,
  who: DemoClient,
) {
  await framework(studio, who)
  const { usePlanStore } = await load('../../app/stores/plan.ts')
  const { useIssuedStore } = await load('../../app/stores/issued.ts')
  const store = usePlanStore!() as unknown as { load: (id: string) => Promise<void>; plan: unknown }
  await store.load(who.id)
  await (useIssuedStore!() as unknown as { load: () => Promise<void> }).load()
  const { useLoadsStore } = await load('../../app/stores/loads.ts')
  await (useLoadsStore!() as unknown as { load: () => Promise<boolean> }).load()
  const made = async (of: string, args: readonly unknown[]) => {
    const path = `../../app/screens/${of}.ts`
    return (await load(path))[of.split('/').at(-1)!]!(...args)
  }
  const within = screen.within
    ? await made(screen.within.of, screen.within.args ?? [])
    : ({} as Room)
  Object.assign(globalThis, { inject: () => within })
  const room = await made(screen.of, screen.args?.(who, within) ?? [])
  for (const work of mounted) await work()
  await Promise.all(loading)
  await screen.first?.(room, within)
  await vue.nextTick()
  return { room, store }
}

/** Verbs that ask nothing: each can be said to a screen as it stands. */
const verbsOf = (room: Room) =>
  (isRef(room) ? [] : Object.keys(room)).filter(name => {
    const verb = room[name] as unknown
    return typeof verb === 'function' && verb.length === 0
  })

/** The clock stands; timers run. */
const NOW = Date.parse('2026-04-02T09:00:00Z')
const RunningDate = Date
class StandingDate extends RunningDate {
  constructor(...given: [] | [number | string | Date]) {
    super(...((given.length === 0 ? [NOW] : given) as [number]))
  }
  static override now() {
    return NOW
  }
}
beforeAll(() => void (globalThis.Date = StandingDate as DateConstructor))
afterAll(() => void (globalThis.Date = RunningDate))

let studio: Awaited<ReturnType<typeof unitStudio>>
test.each(SCREENS)('$name', async screen => {
  studio ??= await unitStudio({ logsOf: CLIENTS })
  const said: string[] = []
  for (const name of CLIENTS) {
    const who = studio.client(name)
    const { room } = await opened(screen, studio, who)
    const before = portraitLines(room, '2026-05-01')
    said.push(...before.map(line => `${name} ${line}`))
    for (const verb of verbsOf(room)) {
      const again = await opened(screen, studio, who)
      const plan = again.store.plan
      let answer: unknown
      try {
        answer = await (again.room[verb] as unknown as () => unknown)()
      } catch (error) {
        answer = `refuses: ${String(error).slice(0, 100)}`
      }
      await vue.nextTick()
      const changed = portraitLines(again.room, '2026-05-01').filter(line => !before.includes(line))
      const lines = [
        ...portraitLines({ answer }).filter(line => !/undefined/.test(line)),
        ...(again.store.plan === plan ? [] : portraitLines({ plan: again.store.plan })),
        ...asked.map(one => `asks ${one}`),
        ...changed,
      ]
      said.push(...lines.map(line => `${name} ${verb}() ${line}`))
    }
  }
  expect(said.join('\n')).toMatchSnapshot()
})
