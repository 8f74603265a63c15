import type { LinearAnswer, LinearSolver } from '#core/design/allocation'
import loadHighs from 'highs'

/**
 * Options that proved themselves here: the annealed plan is better than what the solver's own heuristics find early, and a limit of
 * nodes, unlike one of time, gives the same answer on a slow machine as on a fast one.
 */
const OPTIONS = {
  output_flag: false,
  mip_abs_gap: 0.999,
  random_seed: 1,
  mip_max_nodes: 400,
  mip_heuristic_run_rins: false,
  mip_heuristic_run_rens: false,
  mip_heuristic_run_root_reduced_cost: false,
  mip_heuristic_run_feasibility_jump: false,
} as const

/**
 * The solver behind the core's port: HiGHS, compiled to WebAssembly.
 *
 * Edge: a model that fails to load or to solve answers `failed`, it does not throw; a solve that runs out of time still gives its bound.
 */
export async function linearSolver(locateFile?: (file: string) => string): Promise<LinearSolver> {
  const highs = await loadHighs(locateFile ? { locateFile } : undefined)
  return ({ text }, seconds): LinearAnswer => {
    try {
      return highs.withModel({ format: 'lp', data: text }, model => {
        model.options.set({ ...OPTIONS, time_limit: seconds })
        model.run()
        const { optimal, infeasible, unboundedOrInfeasible } = highs.constants.modelStatus
        const status = model.getModelStatus()
        // Nothing here costs less than nothing, so that no model is unbounded.
        if (status === infeasible || status === unboundedOrInfeasible)
          return { status: 'impossible' as const, bound: null, values: null }
        const bound = Number(model.info.get('mip_dual_bound'))
        const { colValue } = model.getSolution()
        const values = new Map(
          Array.from(colValue, (value, at) => [String(model.getColName(at)), Number(value)]),
        )
        return {
          status: status === optimal ? ('optimal' as const) : ('stopped' as const),
          bound: Number.isFinite(bound) ? bound : null,
          values: values.size > 0 ? values : null,
        }
      })
    } catch {
      return { status: 'failed', bound: null, values: null }
    }
  }
}
