/** A key as it was pressed. */
export interface Pressed {
  readonly key: string
  readonly shiftKey: boolean
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly altKey: boolean
}

/** Something that can be done on a screen. Keys, help, the command box and key caps all come from here. */
export interface Action<Screen> {
  readonly id: string
  /** As the browser names them, with `Shift+` before where it is held; further ones do the same. */
  readonly keys: readonly [string, ...string[]]
  /** As they are drawn, where that does not follow from the keys. */
  readonly caps?: readonly string[]
  /** What it does, as the help says it; small first letter. */
  readonly label: string
  /** When it can be done; left out, always. Where it cannot, the key is the browser's. */
  readonly when?: (screen: Screen) => boolean
  readonly do: (screen: Screen, pressed: Pressed) => unknown
  /** Walking, stepping and the like: of no use by name, so the command box leaves it out. */
  readonly isByKeyOnly?: true
}

/** Everything that can be done on a screen, in the order the help lists it. */
export interface ActionTable<Screen> {
  /** As in “Keys of the Split board”. */
  readonly title: string
  /** What the mouse can do beside. */
  readonly mouse?: string
  readonly actions: readonly Action<Screen>[]
}

const CAPS: Readonly<Record<string, string>> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  Delete: 'Del',
  Escape: 'Esc',
  ' ': 'Space',
  '-': '−',
}
export const ARROWS = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'] as const
export const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const

/** −1, 1 or 0 for an arrow: how far it goes across, and how far down. */
export function arrowStep({ key }: Pick<Pressed, 'key'>): {
  readonly across: -1 | 0 | 1
  readonly down: -1 | 0 | 1
} {
  return {
    across: key === 'ArrowLeft' ? -1 : key === 'ArrowRight' ? 1 : 0,
    down: key === 'ArrowUp' ? -1 : key === 'ArrowDown' ? 1 : 0,
  }
}

function capOf(key: string): string {
  const bare = key.replace(/^Shift\+/, '')
  return CAPS[bare] ?? (bare.length === 1 ? bare.toUpperCase() : bare)
}

/** The keys of an action as they are drawn: `⇧ ← →`, `1 … 9`, `E`. */
export function capsOf<Screen>({ keys, caps }: Action<Screen>): readonly string[] {
  if (caps) return caps
  const isShifted = keys.every(key => key.startsWith('Shift+') || /^[A-Z]$/.test(key))
  return [...(isShifted ? ['⇧'] : []), ...keys.map(capOf)]
}

/** Names a press may go by, the most exact first; none where the browser keeps it. */
function namesOf({ key, shiftKey, ctrlKey, metaKey, altKey }: Pressed): readonly string[] {
  if (ctrlKey || metaKey) return key.toLowerCase() === 'z' ? [shiftKey ? 'Z' : 'z'] : []
  if (altKey) return []
  return [...(shiftKey && key.length > 1 ? [`Shift+${key}`] : []), key, key.toLowerCase()]
}

/** The action behind a key press; undefined where the screen has none, or none just now. */
export function actionFor<Screen>(
  { actions }: ActionTable<Screen>,
  pressed: Pressed,
  screen: Screen,
): Action<Screen> | undefined {
  for (const name of namesOf(pressed)) {
    const found = actions.find(({ keys }) => keys.includes(name))
    if (found) return found.when?.(screen) === false ? undefined : found
  }
  return undefined
}
