/** What a key press asks of the Session builder. */
export type SessionIntent =
  | { readonly kind: 'go' | 'move'; readonly groupings: number; readonly slots: number }
  | { readonly kind: 'sets' | 'rest'; readonly step: 1 | -1 }
  | {
      readonly kind:
        | 'write'
        | 'add'
        | 'short'
        | 'pair'
        | 'swap'
        | 'straight'
        | 'remove'
        | 'undo'
        | 'redo'
        | 'next_notice'
        | 'fix'
        | 'dismiss'
        | 'templates'
        | 'text'
        | 'versions'
        | 'warm_up'
        | 'keys'
        | 'cancel'
    }
  | { readonly kind: 'day'; readonly digit: number }

interface Pressed {
  readonly key: string
  readonly shiftKey: boolean
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly altKey: boolean
}

const ARROWS: Readonly<Record<string, { groupings: number; slots: number }>> = {
  ArrowLeft: { groupings: -1, slots: 0 },
  ArrowRight: { groupings: 1, slots: 0 },
  ArrowUp: { groupings: 0, slots: -1 },
  ArrowDown: { groupings: 0, slots: 1 },
}
const PLAIN: Readonly<Record<string, SessionIntent>> = {
  '+': { kind: 'sets', step: 1 },
  '=': { kind: 'sets', step: 1 },
  '-': { kind: 'sets', step: -1 },
  '−': { kind: 'sets', step: -1 },
  '[': { kind: 'rest', step: -1 },
  ']': { kind: 'rest', step: 1 },
  Enter: { kind: 'write' },
  Escape: { kind: 'cancel' },
  Delete: { kind: 'remove' },
  Backspace: { kind: 'remove' },
  e: { kind: 'add' },
  l: { kind: 'short' },
  s: { kind: 'pair' },
  v: { kind: 'swap' },
  t: { kind: 'straight' },
  z: { kind: 'undo' },
  Z: { kind: 'redo' },
  n: { kind: 'next_notice' },
  f: { kind: 'fix' },
  d: { kind: 'dismiss' },
  b: { kind: 'templates' },
  x: { kind: 'text' },
  o: { kind: 'versions' },
  w: { kind: 'warm_up' },
  '?': { kind: 'keys' },
}

/** The intent behind a key press; undefined where the builder has none, so that the browser keeps its own. */
export function sessionIntent({
  key,
  shiftKey,
  ctrlKey,
  metaKey,
  altKey,
}: Pressed): SessionIntent | undefined {
  if (ctrlKey || metaKey)
    return key.toLowerCase() === 'z' ? { kind: shiftKey ? 'redo' : 'undo' } : undefined
  if (altKey) return undefined
  const arrow = ARROWS[key]
  if (arrow) return { kind: shiftKey ? 'move' : 'go', ...arrow }
  if (/^[0-9]$/.test(key)) return { kind: 'day', digit: Number(key) }
  return PLAIN[key]
}
