import type { ChartColours } from '~/screens/block/useBlockCharts'

/** Colours of the theme for charts, read when the page is drawn and again when the theme changes. */
export function useChartColours(): Readonly<Ref<ChartColours | null>> {
  const colours = shallowRef<ChartColours | null>(null)
  function read(): void {
    const style = getComputedStyle(document.documentElement)
    const of = (name: string) => style.getPropertyValue(`--${name}`).trim()
    colours.value = {
      ink: of('ink'),
      ink2: of('ink2'),
      line: of('line'),
      sunk: of('sunk'),
      of: family => of(`${family}-peg`) || of(family),
    }
  }
  onMounted(read)
  const { choice } = useTheme()
  watch(choice, () => nextTick(read))
  return colours
}
