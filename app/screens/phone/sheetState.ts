/** Where the sheet stands: asking for it, asking for a PIN, in hand, or no longer to be had. */
export type SheetState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'pin'; readonly complaint: string }
  | { readonly kind: 'ready' }
  | { readonly kind: 'unknown'; readonly words: string }
  /** The link is over: what was sent is with the coach, the rest stays on the phone. */
  | { readonly kind: 'over'; readonly words: string }
