export { blockCoverage, groupOf, missedCoverage } from './blockCoverage'
export type { CoverageCell, CoverageLine, CoverageRow, CoverageState } from './blockCoverage'
export { proposedTurns } from './proposedTurns'
export type { ProposedTurns } from './proposedTurns'
