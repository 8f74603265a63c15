/** True only when two types are the same, optional keys and readonly marks included. */
export type Equal<A, B> =
  (<T>() => T extends A ? 1 : 2) extends <T>() => T extends B ? 1 : 2 ? true : false

/** Fails to compile unless the contract and the core say the same: `type _ = Proven<Equal<…>>`. */
export type Proven<T extends true> = T
