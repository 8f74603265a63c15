import { marked } from 'marked'
import guide from '../../../docs/guide.md?raw'
import methods from '../../../docs/methods.md?raw'
import shorthand from '../../../docs/shorthand.md?raw'

/** A chapter of the guide, ready to be shown and searched. */
export interface Chapter {
  readonly id: string
  readonly book: string
  readonly title: string
  readonly html: string
  /** Its words in small letters, for searching. */
  readonly words: string
}

const BOOKS = [
  { id: 'guide', name: 'Guide', text: guide },
  { id: 'shorthand', name: 'Shorthand', text: shorthand },
  { id: 'methods', name: 'How figures come about', text: methods },
] as const

const slug = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

/** Pictures stay with the printed guide; links between the books lead to their chapters here. */
function shown(text: string): string {
  return text
    .replace(/!\[[^\]]*\]\([^)]*\)/g, '')
    .replace(
      /\]\((?:guide|methods|shorthand)\.md(?:#([a-z0-9-]+))?\)/g,
      (_, anchor: string | undefined) => `](#${anchor ?? ''})`,
    )
}

/** All books, chapter by chapter; they ship with the application and need no network. */
export const CHAPTERS: readonly Chapter[] = BOOKS.flatMap(({ id: book, name, text }) =>
  text
    .split(/^## /m)
    .slice(1)
    .map(part => {
      const [title = '', ...body] = part.split('\n')
      const markdown = shown(body.join('\n'))
      const html = marked.parse(markdown, { async: false })
      return {
        id: book === 'methods' ? slug(title) : `${book}-${slug(title)}`,
        book: name,
        title: title.replace(/^\d+\.\s*/, ''),
        html,
        words: `${title} ${markdown}`.toLowerCase(),
      }
    }),
)

/** Chapters that hold every word typed; those with a word in the title come first. */
export function foundChapters(typed: string): readonly Chapter[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return CHAPTERS
  const inTitle = ({ title }: Chapter) =>
    Number(words.some(word => title.toLowerCase().includes(word)))
  return CHAPTERS.filter(({ words: own }) => words.every(word => own.includes(word))).sort(
    (a, b) => inTitle(b) - inTitle(a),
  )
}
