import { failure, type Result, success } from '../../base'
import { isStop, type ShorthandProblem, stop } from './problem'

/** One piece of a text: a word, a quoted text, or a mark. */
export interface Token {
  readonly kind: 'word' | 'text' | 'mark'
  readonly value: string
  readonly at: number
  readonly end: number
}

const TOKEN = /\s*(?:("(?:[^"\\]|\\.)*")|([|,;:&()\n])|([^\s|,;:&()"]+))/y

function unquoted(raw: string, at: number): string {
  try {
    return JSON.parse(raw) as string
  } catch {
    return stop({
      kind: 'unexpected',
      at,
      end: at + raw.length,
      found: raw,
      expected: ['a text in double quotes'],
    })
  }
}

function tokensOf(text: string): readonly Token[] {
  const tokens: Token[] = []
  TOKEN.lastIndex = 0
  while (text.slice(TOKEN.lastIndex).trim() !== '') {
    const from = TOKEN.lastIndex
    const found = TOKEN.exec(text)
    if (!found)
      stop({
        kind: 'unexpected',
        at: from,
        end: text.length,
        found: text.slice(from).trim().slice(0, 1),
        expected: ['a closing quote'],
      })
    const [whole, quoted, mark, word] = found
    const raw = quoted ?? mark ?? word ?? ''
    const at = from + whole.length - raw.length
    tokens.push(
      quoted !== undefined
        ? { kind: 'text', value: unquoted(quoted, at), at, end: at + raw.length }
        : { kind: mark === undefined ? 'word' : 'mark', value: raw, at, end: at + raw.length },
    )
  }
  return tokens
}

/** Walks the tokens of a text. Every `take…` moves on only if it finds what it asks for. */
export interface Cursor {
  readonly peek: (ahead?: number) => Token | undefined
  readonly next: () => Token | undefined
  readonly isAtEnd: () => boolean
  readonly isMark: (value: string) => boolean
  readonly takeMark: (value: string) => boolean
  /** Takes several words in a row, all or none. */
  readonly takeWords: (...words: readonly string[]) => boolean
  readonly takeText: () => string | undefined
  /** Takes a word of a shape; gives the groups of the match. */
  readonly takeShape: (shape: RegExp) => readonly (string | undefined)[] | undefined
  /** Where a token about to be read stands; the end of the text where there is none. */
  readonly place: () => { readonly at: number; readonly end: number }
  readonly fail: (...expected: readonly string[]) => never
}

/** A cursor at the beginning of a text. */
export function cursorOver(text: string): Cursor {
  const tokens = tokensOf(text)
  let at = 0
  const peek = (ahead = 0) => tokens[at + ahead]
  const place = () => {
    const token = peek()
    return token ? { at: token.at, end: token.end } : { at: text.length, end: text.length }
  }
  return {
    peek,
    place,
    next: () => tokens[at++],
    isAtEnd: () => at >= tokens.length,
    isMark: value => peek()?.kind === 'mark' && peek()?.value === value,
    takeMark: value => {
      const isIt = peek()?.kind === 'mark' && peek()?.value === value
      if (isIt) at += 1
      return isIt
    },
    takeWords: (...words) => {
      const isIt = words.every(
        (word, ahead) => peek(ahead)?.kind === 'word' && peek(ahead)?.value === word,
      )
      if (isIt) at += words.length
      return isIt
    },
    takeText: () => (peek()?.kind === 'text' ? tokens[at++]?.value : undefined),
    takeShape: shape => {
      const token = peek()
      const found = token?.kind === 'word' ? shape.exec(token.value) : null
      if (found) at += 1
      return found ? [...found].slice(1) : undefined
    },
    fail: (...expected) =>
      stop({ kind: 'unexpected', ...place(), found: peek()?.value ?? 'the end', expected }),
  }
}

/** Parses a whole text; the first problem comes back as a value. */
export function attempt<T>(
  text: string,
  parse: (cursor: Cursor) => T,
): Result<T, ShorthandProblem> {
  try {
    const cursor = cursorOver(text)
    const value = parse(cursor)
    if (!cursor.isAtEnd()) cursor.fail('the end')
    return success(value)
  } catch (thrown) {
    if (isStop(thrown)) return failure(thrown.problem)
    throw thrown
  }
}
