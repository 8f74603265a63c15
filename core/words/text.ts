/** The same words with a capital first, for the beginning of a sentence. */
export const capitalised = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`

/** `a`, `a and b`, `a, b and c`. */
export const listed = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
