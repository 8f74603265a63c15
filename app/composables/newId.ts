/** A random id; works without TLS too, where `crypto.randomUUID` is missing. */
export function newId(): string {
  return [...crypto.getRandomValues(new Uint8Array(12))].map(byte => byte.toString(16).padStart(2, '0')).join('')
}
