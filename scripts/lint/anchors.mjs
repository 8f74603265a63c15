import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Where code names a place in the documentation: `docs/methods.md#bands`. */
const NAMED = /\bdocs\/([a-z-]+\.md)#([a-z0-9-]+)/g

/** What a heading is called in an address, as documents are shown on the web. */
export function anchorOf(heading) {
  return heading
    .toLowerCase()
    .trim()
    .replace(/[^\p{L}\p{N}\s-]/gu, '')
    .replace(/\s+/g, '-')
}

/** Anchors that the headings of a document make. */
export function anchorsIn(text) {
  return new Set([...text.matchAll(/^#+\s+(.+)$/gm)].map(([, heading]) => anchorOf(heading)))
}

/**
 * Places named in some files that do not exist, each with the file, the anchor and the remedy.
 * `files` are pairs of name and text; documents are read from `root`/docs.
 */
export function missingAnchors(files, root, read = file => readFileSync(file, 'utf8')) {
  const known = new Map()
  const anchorsOf = document => {
    if (!known.has(document)) {
      try {
        known.set(document, anchorsIn(read(join(root, 'docs', document))))
      } catch {
        known.set(document, null)
      }
    }
    return known.get(document)
  }
  return files.flatMap(([file, text]) =>
    [...text.matchAll(NAMED)].flatMap(([, document, anchor]) => {
      const anchors = anchorsOf(document)
      if (anchors === null) return [`${file} names docs/${document}, which does not exist.`]
      return anchors.has(anchor)
        ? []
        : [
            `${file} names docs/${document}#${anchor}: write that heading, or name one that is there.`,
          ]
    }),
  )
}
