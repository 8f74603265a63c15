export const PERMITS = ['restricted_flow', 'thumbless', 'past_failure'] as const
/** A way to train that is off until the coach allows it for a client. */
export type Permit = (typeof PERMITS)[number]

/** What each permit is called, and what stands beside it when it is given. Source: docs/methods.md#cautions. */
export const PERMIT_TABLE: Readonly<
  Record<Permit, { readonly name: string; readonly caution: string }>
> = {
  restricted_flow: {
    name: 'restricted flow',
    caution:
      'Arms and legs only, cuffs wide and never tight to pain or numbness, off between exercises, somebody trained beside it. Not with heart, vessel or clotting trouble.',
  },
  thumbless: {
    name: 'thumbless grip',
    caution: 'Never with a bar over the body: it rolls off the hand. Pulling and cables only.',
  },
  past_failure: {
    name: 'sets past failure',
    caution:
      'Partial, helped or slow reps after the last whole one: one set at the end, on machines or cables, not in the first half year, days of soreness to be expected.',
  },
}
