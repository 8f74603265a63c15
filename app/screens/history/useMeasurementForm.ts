import { isGirth, type MeasurementKind, readMeasurement } from '#core/body/measurements'

/** A measurement as it is typed: in the unit of its kind, or in inches and pounds. */
export function useMeasurementForm(today: string, send: (measurement: object) => Promise<boolean>) {
  const entered = reactive({
    kind: 'upper_arm_left' as MeasurementKind,
    value: '',
    on: today,
    isPumped: false,
  })
  const canBePumped = computed(() => isGirth(entered.kind))
  async function submit(): Promise<void> {
    const read = readMeasurement(entered.value, entered.kind)
    const isPumped = entered.isPumped && canBePumped.value
    if (await send({ ...entered, isPumped, value: read.ok ? read.value : Number.NaN }))
      Object.assign(entered, { value: '', isPumped: false })
  }
  return { entered, canBePumped, submit }
}
