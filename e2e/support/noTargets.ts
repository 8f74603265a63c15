/** A client without targets of the coach's own. */
export const NO_TARGETS = {
  modes: {},
  bands: {},
  headFloors: {},
  frequencyMin: {},
  sessionMax: {},
  jointCeilings: {},
  ratioWish: null,
}
