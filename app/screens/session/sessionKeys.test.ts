import { describe, expect, test } from '@jest/globals'
import { sessionIntent } from './sessionKeys'

const press = (key: string, more: Partial<Parameters<typeof sessionIntent>[0]> = {}) =>
  sessionIntent({ key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, ...more })

describe('keys of the Session builder', () => {
  test.each([
    ['ArrowRight', { kind: 'go', groupings: 1, slots: 0 }],
    ['ArrowUp', { kind: 'go', groupings: 0, slots: -1 }],
    ['+', { kind: 'sets', step: 1 }],
    ['[', { kind: 'rest', step: -1 }],
    ['s', { kind: 'pair' }],
    ['l', { kind: 'short' }],
    ['v', { kind: 'swap' }],
    ['Enter', { kind: 'write' }],
    ['Delete', { kind: 'remove' }],
    ['7', { kind: 'day', digit: 7 }],
  ])('%s', (key, intent) => expect(press(key)).toEqual(intent))
  test('with Shift the arrows move what is chosen', () => {
    expect(press('ArrowLeft', { shiftKey: true })).toEqual({
      kind: 'move',
      groupings: -1,
      slots: 0,
    })
    expect(press('ArrowDown', { shiftKey: true })).toEqual({ kind: 'move', groupings: 0, slots: 1 })
  })
  test('Ctrl Z undoes, other browser keys are left alone', () => {
    expect(press('z', { ctrlKey: true })).toEqual({ kind: 'undo' })
    expect(press('Z', { ctrlKey: true, shiftKey: true })).toEqual({ kind: 'redo' })
    expect(press('s', { ctrlKey: true })).toBeUndefined()
    expect(press('l', { altKey: true })).toBeUndefined()
    expect(press('q')).toBeUndefined()
  })
})
