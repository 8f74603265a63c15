import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import { provideGlobally } from '~/testing/framework'
import { type Action, actionFor, type ActionTable, capsOf, type Pressed } from './actions'
import { BLOCK_ACTIONS, BLOCK_VIEWS, CALENDAR_ACTIONS } from '../screens/block/blockActions'
import { LOG_ACTIONS } from '../screens/log/logActions'
import { PROPOSALS_ACTIONS } from '../screens/proposals/proposalsActions'
import { REHEARSAL_ACTIONS } from '../screens/rehearsal/rehearsalActions'
import { REVIEW_ACTIONS } from '../screens/review/reviewActions'
import { ROSTER_ACTIONS } from '../screens/roster/rosterActions'
import { SESSION_ACTIONS } from '../screens/session/sessionActions'
import { CLIENT_ACTIONS } from './clientActions'
import { STUDIO_WAYS, wayAt, WAYS } from './places'
import { SCREEN_HELP } from './screenHelp'
import { TOUR } from './tour'
import { BOARD_ACTIONS } from '../screens/split/boardActions'

/** Every table, with the folder of the screen it is for. */
const TABLES: readonly (readonly [folder: string, tables: readonly ActionTable<never>[]])[] = [
  ['split', [BOARD_ACTIONS]],
  ['session', [SESSION_ACTIONS]],
  ['block', [BLOCK_ACTIONS, CALENDAR_ACTIONS]],
  ['proposals', [PROPOSALS_ACTIONS]],
  ['log', [LOG_ACTIONS]],
  ['review', [REVIEW_ACTIONS]],
  ['rehearsal', [REHEARSAL_ACTIONS]],
  ['roster', [ROSTER_ACTIONS]],
]
const pressed = (key: string, held: Partial<Pressed> = {}): Pressed => ({
  key,
  shiftKey: false,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  ...held,
})

/** A screen that writes down what it is asked to do. */
function listening() {
  const heard: string[] = []
  const listen = (path: string): unknown =>
    new Proxy(() => {}, {
      get: (_, name) =>
        name === 'value' ? null : listen(path === '' ? String(name) : `${path}.${String(name)}`),
      apply: (_, __, args: unknown[]) => {
        heard.push(`${path}(${args.map(arg => JSON.stringify(arg)).join(', ')})`)
      },
    })
  return { heard, screen: listen('') as never }
}
/** What a key does, as the screen hears it; null where the table leaves it alone. */
function does(table: ActionTable<never>, press: Pressed, when = {}): string | null {
  const { heard, screen } = listening()
  const always = { ...table, actions: table.actions.map(one => ({ ...one, when: () => true })) }
  const action = actionFor(always, press, Object.assign(screen, when))
  action?.do(screen, press)
  return heard.at(-1) ?? null
}

describe.each(TABLES)('the actions of %s', (folder, tables) => {
  const actions = tables.flatMap(table => table.actions as readonly Action<unknown>[])

  test('have ids and keys of their own, and a label each', () => {
    for (const table of tables) {
      const keys = table.actions.flatMap(({ keys: own }) => own)
      expect(new Set(keys).size).toBe(keys.length)
    }
    expect(new Set(actions.map(({ id }) => id)).size).toBe(actions.length)
    for (const { id, label } of actions)
      expect([id, label]).toEqual([id, expect.stringMatching(/^\S.{2,}/)])
  })

  test('no key takes what the bar or the browser has', () => {
    for (const { keys } of actions) {
      expect(keys).not.toContain('/')
      expect(keys).not.toContain('?')
      expect(keys).not.toContain('G')
      expect(keys).not.toContain('Tab')
      for (const taken of CLIENT_ACTIONS.actions.flatMap(({ keys: own }) => own))
        expect(keys).not.toContain(taken)
    }
  })

  test('every key cap drawn on the screen is the key of an action, or of the dialog it stands in', () => {
    const caps = new Set([
      ...actions.flatMap(action => capsOf(action)),
      // What dialogs, fields and the bar answer to by themselves.
      ...['Esc', 'Enter', '↵', 'Ctrl ↵', '?', '/', '↑', '↓'],
    ])
    const drawn = filesBelow(join('app/screens', folder)).flatMap(file =>
      [...readFileSync(file, 'utf8').matchAll(/<KeyCap label="([^"]+)"/g)].map(found => found[1]!),
    )
    expect(drawn.filter(cap => !caps.has(cap))).toEqual([])
  })
})

function filesBelow(folder: string): readonly string[] {
  return readdirSync(folder).flatMap(name => {
    const path = join(folder, name)
    return statSync(path).isDirectory() ? filesBelow(path) : name.endsWith('.vue') ? [path] : []
  })
}

describe('a key press', () => {
  const left = pressed('ArrowLeft')
  test.each([
    ['an arrow walks', BOARD_ACTIONS, pressed('ArrowDown'), 'board.go({"days":0,"rails":1})'],
    [
      'Shift and arrow carry',
      BOARD_ACTIONS,
      pressed('ArrowRight', { shiftKey: true }),
      'board.carryBy(1)',
    ],
    [
      'up has nothing to carry, so it walks',
      BOARD_ACTIONS,
      pressed('ArrowUp', { shiftKey: true }),
      'board.go({"days":0,"rails":-1})',
    ],
    ['plus without Shift is plus', BOARD_ACTIONS, pressed('='), 'board.changeSets(1)'],
    ['minus', BOARD_ACTIONS, pressed('-'), 'board.changeSets(-1)'],
    ['z undoes', CLIENT_ACTIONS, pressed('z'), 'turn("undo")'],
    ['Shift z redoes', CLIENT_ACTIONS, pressed('Z', { shiftKey: true }), 'turn("redo")'],
    ['Ctrl z undoes too', CLIENT_ACTIONS, pressed('z', { ctrlKey: true }), 'turn("undo")'],
    [
      'Ctrl Shift z redoes too',
      CLIENT_ACTIONS,
      pressed('Z', { ctrlKey: true, shiftKey: true }),
      'turn("redo")',
    ],
    ['a digit names a day', BOARD_ACTIONS, pressed('4'), 'toDigit(4)'],
    ['with caps lock on it is the same key', BOARD_ACTIONS, pressed('X'), 'board.open("checks")'],
    ['other shortcuts stay with the browser', BOARD_ACTIONS, pressed('r', { ctrlKey: true }), null],
    ['so do those with Alt', BOARD_ACTIONS, pressed('x', { altKey: true }), null],
    ['and keys nobody has', BOARD_ACTIONS, pressed('F5'), null],
    [
      'across goes from group to group',
      SESSION_ACTIONS,
      left,
      'builder.go({"groupings":-1,"slots":0})',
    ],
    [
      'with Shift what is chosen moves',
      SESSION_ACTIONS,
      pressed('ArrowDown', { shiftKey: true }),
      'builder.move({"groupings":0,"slots":1})',
    ],
    ['rests in steps', SESSION_ACTIONS, pressed('['), 'builder.changeRest(-1)'],
    [
      'Backspace takes out, as Delete does',
      SESSION_ACTIONS,
      pressed('Backspace'),
      'builder.remove()',
    ],
    ['a day by its digit', SESSION_ACTIONS, pressed('7'), 'toDay(6)'],
    ['Shift Enter sends', BLOCK_ACTIONS, pressed('Enter', { shiftKey: true }), 'block.send()'],
    ['Enter goes back to the board', BLOCK_ACTIONS, pressed('Enter'), 'toSplit()'],
    ['a number shows a view', BLOCK_ACTIONS, pressed('5'), `show("${BLOCK_VIEWS[4][0]}")`],
    ['down is a week later', CALENDAR_ACTIONS, pressed('ArrowDown'), 'carryBy(7)'],
    ['the row before', ROSTER_ACTIONS, pressed('ArrowUp'), 'walk(-1)'],
    ['an answer by its number', ROSTER_ACTIONS, pressed('2'), 'answer("[data-answer=\\"2\\"]")'],
    ['a missed session’s way by its number', REVIEW_ACTIONS, pressed('3'), 'replan(2)'],
    ['the rotation after', REVIEW_ACTIONS, pressed('.'), 'turn(1)'],
    ['the session before', LOG_ACTIONS, pressed(','), 'step(-1)'],
    ['a proposal by its letter', PROPOSALS_ACTIONS, pressed('B'), 'useLetter("B")'],
  ] as const)('%s', (_, table, press, heard) => expect(does(table as never, press)).toBe(heard))

  test('an action that cannot be done leaves its key alone', () => {
    const screen = { view: () => 'terms' as const }
    expect(actionFor(BLOCK_ACTIONS, pressed('+'), screen as never)).toBeUndefined()
    expect(actionFor(BLOCK_ACTIONS, pressed('3'), screen as never)?.id).toBe('view')
    const rotations = { view: () => 'rotations' as const }
    expect(actionFor(BLOCK_ACTIONS, pressed('+'), rotations as never)?.id).toBe('more_sets')
  })
})

describe('key caps', () => {
  const caps = (keys: readonly [string, ...string[]]) =>
    capsOf({ id: 'x', keys, label: 'x', do: () => {} })
  test.each([
    [['e'], ['E']],
    [
      ['ArrowLeft', 'ArrowRight'],
      ['←', '→'],
    ],
    [
      ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      ['⇧', '←', '→'],
    ],
    [['Z'], ['⇧', 'Z']],
    [['Shift+Enter'], ['⇧', 'Enter']],
    [[' '], ['Space']],
    [['Delete'], ['Del']],
  ] as const)('of %j are %j', (keys, drawn) => expect(caps(keys as never)).toEqual(drawn))
})

describe('the actions of the open screen', () => {
  test('are known to help and command box while it is open, and run by their name', async () => {
    const mounted: (() => void)[] = []
    const left: (() => void)[] = []
    const vue = await import('vue')
    Object.assign(globalThis, vue)
    provideGlobally({
      onMounted: (work: () => void) => mounted.push(work),
      onBeforeUnmount: (work: () => void) => left.push(work),
      useChangesStore: () => ({ isBusy: false }),
    })
    const { useActions, useShownActions } = await import('./useActions')
    const { heard, screen } = listening()
    useActions(LOG_ACTIONS, screen)
    const shown = useShownActions()
    shown.openHelp()
    // Help is there also where a screen has no keys of its own.
    expect([shown.sections.value, shown.isHelpOpen.value]).toEqual([[], true])
    mounted.forEach(work => work())
    const [section] = shown.sections.value
    expect(section).toMatchObject({ title: LOG_ACTIONS.title })
    expect(section!.actions.map(({ id, caps, isByKeyOnly }) => [id, caps, isByKeyOnly])).toEqual([
      ['step', [',', '.'], true],
      ['link', ['K'], false],
      ['import', ['I'], false],
    ])
    section!.actions[1]!.run()
    expect(heard).toEqual(['open("link")'])
    shown.openHelp()
    expect(shown.isHelpOpen.value).toBe(true)
    left.forEach(work => work())
    expect(shown.sections.value).toEqual([])
  })
})

test('every screen has a letter of its own to go there by', () => {
  const letters = [...WAYS, ...STUDIO_WAYS].map(({ letter }) => letter)
  expect(new Set(letters).size).toBe(letters.length)
})

test.each([
  ['/clients/a/split', 'split'],
  ['/clients/a/session/4-2', 'session'],
  ['/clients/a', 'profile'],
  ['/clients/a/', 'profile'],
  ['/clients/a/plateau/biceps', 'split'],
  ['/roster', 'split'],
])('%s is shown as %s', (path, id) => expect(wayAt(path).id).toBe(id))

describe('help', () => {
  const books = ['guide', 'methods', 'shorthand']
    .map(book => readFileSync(join('docs', `${book}.md`), 'utf8').toLowerCase())
    .join('\n')
  test.each(Object.entries(SCREEN_HELP))(
    'of %s has signs and ways, and the guide answers to its word',
    (_, { signs, ways, guide }) => {
      expect(signs.length).toBeGreaterThanOrEqual(3)
      for (const text of [...signs.flat(), ...ways]) expect(text.trim()).not.toBe('')
      for (const word of guide.split(' ')) expect(books).toContain(word)
    },
  )

  test('the tour stops at pages there are, whoever is on the roster', () => {
    const client = { id: 'a', needs: [], block: {} } as never
    for (const { to } of TOUR) {
      expect(to([])).toBe('/roster')
      const path = to([client])
      expect(
        path === '/roster' ||
          WAYS.some(way => path === `/clients/a${way.path.replace('/1', '/2')}`),
      ).toBe(true)
    }
  })
})
