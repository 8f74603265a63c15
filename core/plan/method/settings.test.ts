import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { METHOD_SETTINGS, METHODS, settingOf, withSetting } from '.'

test('every preset has every setting, within its bounds and among its choices', () => {
  for (const method of METHODS) {
    for (const setting of METHOD_SETTINGS) {
      const value = settingOf(method, setting)
      if (setting.kind === 'choice')
        expect(setting.options.map(option => option.value)).toContain(value)
      else expect(Number(value) >= setting.low && Number(value) <= setting.high).toBe(true)
    }
  }
})

const change = fc
  .constantFrom(...METHOD_SETTINGS)
  .chain(setting =>
    (setting.kind === 'choice'
      ? fc.constantFrom(...setting.options.map(({ value }) => value))
      : fc
          .integer({ min: 0, max: Math.round((setting.high - setting.low) / setting.step) })
          .map(steps => String(setting.low + steps * setting.step))
    ).map(text => ({ setting, text })),
  )

test('a changed setting reads back, and setting what stands changes nothing', () => {
  fc.assert(
    fc.property(fc.constantFrom(...METHODS), change, (method, { setting, text }) => {
      const changed = withSetting(method, setting, text)
      expect(settingOf(changed, setting)).toBe(text)
      expect(withSetting(changed, setting, settingOf(method, setting))).toEqual(method)
      for (const other of METHOD_SETTINGS)
        if (other !== setting) expect(settingOf(changed, other)).toBe(settingOf(method, other))
    }),
  )
})
