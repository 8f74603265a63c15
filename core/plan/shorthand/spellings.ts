/** Other spellings that coaches type, and what each is written as here. Tried in this order, outside of quoted notes. */
const SPELLINGS: readonly (readonly [
  spelling: RegExp,
  written: string | ((...parts: string[]) => string),
])[] = [
  [/[×✕]/g, 'x'],
  [/(^|[\s@])(\d+),(\d+)(?=\s*(?:kg|lb))/gi, '$1$2.$3'],
  [/^\s*(?:(\d+)\s*x\s*)?21s\b/gi, (_, sets = '1') => `${sets} x 7 lower half | 7 upper half | 7`],
  [/\bamrap\b|\bmax(?:imum)? reps\b|\bas many as possible\b/gi, 'to failure'],
  [/^\s*to failure/i, '1 x to failure'],
  [/\b(\d+(?:-\d+)?)\s*sets?\s*(?:of|x|à)\s*/gi, '$1 x '],
  [/^\s*(\d+(?:-\d+)?)\s*x\s*(?=\d|to )/i, '$1 x '],
  [/^(\d+(?:,\d+)+)(?=\s|$)/, (_, reps = '') => reps.replaceAll(',', '/')],
  [/\s+x\s+(?=\d+(?:\.\d+)?\s*(?:kg|lb))/gi, ', '],
  [/\s*@\s*(?=\d+(?:\.\d+)?\s*(?:kg|lb))/gi, ', '],
  [/\s*@\s*(?:rpe\s*)?(\d+(?:\.5)?)\b/gi, (_, rpe = '') => `, ${reserveOf(rpe)}`],
  [/,?\s*\brpe\s*(\d+(?:\.5)?)\b/gi, (_, rpe = '') => `, ${reserveOf(rpe)}`],
  [/\brir\s*(?=\d)/gi, 'rir '],
  [/\brest\s*(\d+)\s*min(?:utes?)?\b/gi, (_, minutes = '') => `rest ${Number(minutes) * 60}s`],
  [/\brest\s*(\d+)(?=\s*(?:,|$))/gi, 'rest $1s'],
  [/\s*(?:\/\s*side|\b(?:each|per) (?:side|arm))\b/gi, ', left then right'],
  [/,?\s*\+\s*drop(?:\s*sets?)?\b/gi, ', last: drop 20% to failure'],
  [/(\d)\s+(kg|lb)\b/gi, '$1$2'],
  [/([^\s,|:;])\s+(?=\d+(?:\.\d+)?(?:kg|lb)\b|rir \d|rest \d|tempo \d)/gi, '$1, '],
]

/** Reps in reserve behind an effort from 1 to 10. */
const reserveOf = (rpe: string): string => {
  const left = Math.max(0, 10 - Number(rpe))
  return left === 0 ? 'at failure' : `rir ${left}`
}

/**
 * A text in the spelling that schemes are printed in: `3×10-12`, `3 sets of 12`, `2x10@20kg`, `3x12 20kg rpe8`,
 * `4x8-12 + drop`, `21s`, `amrap`. What it does not know stays as it is; it reads nothing and guesses no number.
 */
export function inOneSpelling(text: string): string {
  return text
    .split(/("[^"]*")/)
    .map((part, at) =>
      at % 2 === 1
        ? part
        : SPELLINGS.reduce(
            (spelt, [spelling, written]) =>
              typeof written === 'string'
                ? spelt.replace(spelling, written)
                : spelt.replace(spelling, written),
            part,
          ),
    )
    .join('')
    .trim()
}
