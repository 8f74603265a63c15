import type { Ref } from 'vue'
import type { Group } from '#core/plan/catalogue'
import type { PassVerdict } from '#core/design/progress'

/** The place that changes are for. */
export interface BlockPlace {
  readonly at: Ref<number>
  readonly group: Ref<Group>
  readonly current: Ref<PassVerdict | undefined>
  readonly passes: Ref<readonly PassVerdict[]>
  readonly message: Ref<string>
}
