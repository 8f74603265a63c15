/**
 * A value of the plan that may follow the screen by a frame: what takes long to work out is not waited for between a key and the paint
 * that answers it. On the server, and at first, it is up to date.
 */
export function useAfterPaint<Value>(source: () => Value): Readonly<Ref<Value>> {
  const shown = shallowRef(source()) as Ref<Value>
  let isDue = false
  const store = usePlanStore()
  watch(
    () => store.plan,
    () => {
      if (isDue || import.meta.server) return
      isDue = true
      requestAnimationFrame(() =>
        setTimeout(() => {
          isDue = false
          shown.value = source()
        }),
      )
    },
  )
  return shown
}
