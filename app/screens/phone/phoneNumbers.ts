// Reading numbers is the core's; components get it from here.
export { numberSentence, parsedNumber, recoverySaid } from '#core/follow/sheet'
