import { STATION_KINDS, STATIONS } from '#core/follow/floor'
import { GROUPS, PATTERNS } from '#core/plan/catalogue'
import { type Method, METHOD_SETTINGS, settingOf } from '#core/plan/method'
import type { WhatIfTyped } from './useWhatIf'

/* What the fields of What if offer. */

export const STATION_CHOICES = STATION_KINDS.map(kind => ({ kind, name: STATIONS[kind].name }))
export const PATTERN_CHOICES = PATTERNS
export const GROUP_CHOICES = GROUPS
export const SETTING_CHOICES = METHOD_SETTINGS.map(setting => ({
  id: setting.path.join('.'),
  label: `${setting.part}: ${setting.label}`,
  setting,
}))
export const patternName = (pattern: string): string => pattern.replaceAll('_', ' ')

/** The setting that was chosen; its field begins with what the method has. */
export function useChosenSetting(typed: Ref<WhatIfTyped>, methods: Ref<readonly Method[]>) {
  const setting = computed(
    () => SETTING_CHOICES.find(({ id }) => id === typed.value.setting)?.setting,
  )
  const method = computed(() => methods.value.find(({ id }) => id === typed.value.method))
  watch([setting, method], ([chosen, of]) => {
    if (chosen && of) typed.value.value = settingOf(of, chosen)
  })
  return setting
}
