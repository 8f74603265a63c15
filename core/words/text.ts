/** The same words with a capital first, for the beginning of a sentence. */
export const capitalised = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`
