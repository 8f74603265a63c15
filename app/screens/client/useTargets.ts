import {
  ARM_GROUPS,
  type Group,
  GROUP_MUSCLES,
  GROUPS,
  type Joint,
  JOINTS,
  type Muscle,
} from '#core/plan/catalogue'
import { jointCeiling, rotationJoints } from '#core/body/joints'
import {
  COUNTING_SCHOOLS,
  type Band,
  bandOf,
  type ClientFacts,
  leastFrequency,
  type Mode,
  modeOf,
  type PlanContext,
  ratioWishOf,
  sessionMaxOf,
  ownBand,
} from '#core/plan/method'
import { rotationLedger } from '#core/count/ledger'
import { SavedClient } from '#shared/contracts/profile'
import { type Targets, TargetsContract } from '#shared/contracts/targets'

/** Text of each field; an empty one means the usual value. */
interface Entered {
  modes: Partial<Record<Group, Mode>>
  bands: Record<string, { floor: string; target: string; ceiling: string }>
  frequencyMin: Record<string, string>
  sessionMax: Record<string, string>
  headFloors: Record<string, string>
  jointCeilings: Record<string, { week: string; session: string }>
  ratioWish: string
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value))

function entered({
  modes,
  bands,
  frequencyMin,
  sessionMax,
  headFloors,
  jointCeilings,
  ratioWish,
}: ClientFacts): Entered {
  return {
    modes: { ...modes },
    ratioWish: text(ratioWish),
    bands: Object.fromEntries(
      GROUPS.map(group => [
        group,
        {
          floor: text(bands[group]?.floor),
          target: text(bands[group]?.target),
          ceiling: text(bands[group]?.ceiling),
        },
      ]),
    ),
    frequencyMin: Object.fromEntries(GROUPS.map(group => [group, text(frequencyMin?.[group])])),
    sessionMax: Object.fromEntries(GROUPS.map(group => [group, text(sessionMax?.[group])])),
    headFloors: Object.fromEntries(
      Object.values(GROUP_MUSCLES)
        .flat()
        .map(muscle => [muscle, text(headFloors?.[muscle])]),
    ),
    jointCeilings: Object.fromEntries(
      JOINTS.map(joint => [
        joint,
        {
          week: text(jointCeilings?.[joint]?.week),
          session: text(jointCeilings?.[joint]?.session),
        },
      ]),
    ),
  }
}

/** Only what was entered, as numbers. */
function numbers(fields: Record<string, string>): Record<string, number> {
  return Object.fromEntries(
    Object.entries(fields)
      .filter(([, typed]) => typed.trim() !== '')
      .map(([key, typed]) => [key, Number(typed.replace(',', '.'))]),
  )
}

/** The targets form of one client: her own figures, the usual ones beside them, and what the rotation gives. */
export function useTargets(id: string) {
  const store = usePlanStore()
  const form = reactive(
    entered(
      store.client?.facts ?? {
        trainingAgeMonths: 0,
        modes: {},
        bands: {},
        equipment: [],
        credits: {},
      },
    ),
  )
  /** A context in which nothing is the coach's own: what follows by itself. */
  const usual = computed(
    (): PlanContext | null =>
      store.context && { ...store.context, client: withoutOwn(store.context.client, form.modes) },
  )
  const targets = computed(() => toTargets(form, usual.value))
  const submission = useSubmission({
    path: () => `/api/clients/${id}/targets`,
    method: 'PUT',
    body: TargetsContract,
    answer: SavedClient,
    was: targets.value,
  })
  watch(form, submission.forget)

  const mine = computed((): PlanContext | null => {
    const parsed = TargetsContract.safeParse(targets.value)
    if (!usual.value || !parsed.success) return usual.value
    const { ratioWish, ...others } = parsed.data
    return {
      ...usual.value,
      client: { ...usual.value.client, ...others, ...(ratioWish !== null && { ratioWish }) },
    }
  })
  const ledger = computed(() =>
    store.plan && mine.value ? rotationLedger(store.plan.rotation, mine.value) : null,
  )
  const joints = computed(() =>
    store.plan && mine.value ? rotationJoints(store.plan.rotation, mine.value) : null,
  )

  const rows = computed(() =>
    GROUPS.map(group => {
      const [before, now] = [usual.value, mine.value]
      const week = ledger.value?.groups[group]
      return {
        group,
        isArm: (ARM_GROUPS as readonly Group[]).includes(group),
        mode: form.modes[group] ?? (before ? modeOf(before, group) : ('keep' as const)),
        usual: before ? bandOf(before, group) : NO_BAND,
        band: now ? bandOf(now, group) : NO_BAND,
        isOwn: Object.values(form.bands[group] ?? {}).some(typed => typed !== ''),
        sets: week?.week.counted.value ?? 0,
        position: week?.position ?? ('below' as const),
        frequency: week?.spread.frequencyPer7Days ?? 0,
        usualFrequency: before ? leastFrequency(before, group) : 0,
        usualMax: before ? sessionMaxOf(before, group) : undefined,
        most: mostInADay(group),
        heads:
          GROUP_MUSCLES[group].length > 1
            ? GROUP_MUSCLES[group].map((muscle: Muscle) => ({
                muscle,
                sets: ledger.value?.muscles[muscle].counted.value ?? 0,
              }))
            : [],
      }
    }),
  )
  const jointRows = computed(() =>
    JOINTS.map((joint: Joint) => ({
      joint,
      usual: usual.value ? jointCeiling(joint, usual.value) : NO_CEILING,
      week: joints.value?.[joint].weekLoad ?? 0,
      session: Math.max(0, ...(joints.value?.[joint].sessions.map(({ load }) => load) ?? [])),
    })),
  )

  function mostInADay(group: Group): number {
    return Math.max(
      0,
      ...(ledger.value?.days.map(({ groups }) => groups[group].counted.value) ?? []),
    )
  }

  async function save(): Promise<boolean> {
    const saved = await submission.send(targets.value)
    if (saved && store.client) await store.load(store.client.id)
    return saved !== undefined
  }
  return {
    form,
    rows,
    jointRows,
    ...submission,
    save,
    setMode: (group: Group, mode: Mode) => (form.modes = { ...form.modes, [group]: mode }),
    ratio: computed(() => ({
      usual: usual.value ? ratioWishOf(usual.value) : 1.1,
      now: store.balance?.ratio ?? null,
    })),
    school: computed(() => mine.value?.method.school ?? COUNTING_SCHOOLS.fractional),
  }
}

const NO_BAND: Band = { floor: 0, target: 0, ceiling: 0 }
const NO_CEILING = { week: 0, session: 0 }

function withoutOwn(facts: ClientFacts, modes: Partial<Record<Group, Mode>>): ClientFacts {
  const {
    ratioWish: _ratio,
    frequencyMin: _frequency,
    sessionMax: _most,
    headFloors: _heads,
    jointCeilings: _joints,
    ...others
  } = facts
  return { ...others, modes, bands: {} }
}

function toTargets(form: Entered, usual: PlanContext | null): Targets {
  const bands = Object.entries(form.bands).flatMap(([group, fields]) => {
    const own = numbers(fields)
    return Object.keys(own).length === 0 || !usual
      ? []
      : [[group, ownBand(own, bandOf(usual, group as Group))]]
  })
  const ceilings = Object.entries(form.jointCeilings).flatMap(([joint, fields]) => {
    const own = numbers(fields)
    return Object.keys(own).length === 0 || !usual
      ? []
      : [[joint, { ...jointCeiling(joint as Joint, usual), ...own }]]
  })
  return {
    modes: form.modes,
    bands: Object.fromEntries(bands),
    frequencyMin: numbers(form.frequencyMin),
    sessionMax: numbers(form.sessionMax),
    headFloors: numbers(form.headFloors),
    jointCeilings: Object.fromEntries(ceilings),
    ratioWish: form.ratioWish.trim() === '' ? null : Number(form.ratioWish.replace(',', '.')),
  }
}
