import { blockId } from '#core/base'
import type { LogWord } from '#core/follow/sheet'
import type { ClientDocument } from '../contracts/clientDocument'

/** Ids given anew, each once: what pointed at the old one points at the new one. */
function renewer(newId: () => string): (id: string) => string {
  const known = new Map<string, string>()
  return id => {
    const before = known.get(id)
    if (before !== undefined) return before
    const fresh = newId()
    known.set(id, fresh)
    return fresh
  }
}

function wordWith(word: LogWord, fresh: (id: string) => string): LogWord {
  return word.kind === 'set' || word.kind === 'clear'
    ? { ...word, replaces: word.replaces === null ? null : fresh(word.replaces) }
    : word
}

/**
 * A client's document with ids of its own, so that it can be taken in beside the client it was made from.
 *
 * Edge: ids inside plans and prescribed sessions stay: a log names its slots by them. Everything else is as it was.
 */
export function renewedDocument(document: ClientDocument, newId: () => string): ClientDocument {
  const fresh = renewer(newId)
  return {
    ...document,
    blocks: document.blocks.map(block => ({ ...block, id: blockId(fresh(block.id)) })),
    decisions: document.decisions.map(decision => ({
      ...decision,
      blockId: blockId(fresh(decision.blockId)),
    })),
    sessions: document.sessions.map(session => ({
      ...session,
      id: fresh(session.id),
      blockId: blockId(fresh(session.blockId)),
      sets: session.sets.map(set => ({
        ...set,
        entryId: set.entryId === null ? null : fresh(set.entryId),
      })),
      entries: session.entries.map(entry => ({
        ...entry,
        id: fresh(entry.id),
        word: wordWith(entry.word, fresh),
      })),
    })),
  }
}
