import { expect, test } from '@jest/globals'
import { clientId } from '#core/base'
import type { FloorView } from '#shared/contracts/floor'
import { clockOf, dayOf, rowClocks } from './floorClock'

const view = (stations: FloorView['stations']): FloorView => ({
  stations,
  sessions: ['marit', 'joren', 'pia'].map(id => ({
    id: clientId(id),
    parts: [
      { before: 300, seconds: 900, needs: ['cable'] },
      { before: 60, seconds: 600, needs: id === 'pia' ? ['rack'] : [] },
    ],
  })),
})
const STARTS = [
  { id: 'marit', name: 'Marit Solheim-Okafor', start: '17:20' },
  { id: 'joren', name: 'Joren Haakestad', start: '17:25' },
  { id: 'pia', name: 'Pia Holm-Castellan', start: null },
]

test('each row says when it ends, what it waits for and who has it; who comes at any time is on no clock', () => {
  const rows = rowClocks(STARTS, dayOf(STARTS, view({ cable: 1 })))
  expect(rows.get('marit')).toEqual({ ends: '17:51', waits: [], lacks: [] })
  expect(rows.get('joren')).toEqual({
    ends: '18:06',
    waits: ['at 17:30 waits about 10 min for the cable tower; Marit has it'],
    lacks: [],
  })
  expect(rows.get('pia')).toEqual({ ends: null, waits: [], lacks: [] })
})

test('with two towers nobody waits; without a rack it is said', () => {
  const all = STARTS.map(one => ({ ...one, start: one.start ?? '17:20' }))
  const rows = rowClocks(all, dayOf(all, view({ cable: 3, rack: 0 })))
  expect([...rows.values()].flatMap(({ waits }) => waits)).toEqual([])
  expect(rows.get('pia')?.lacks).toEqual(['needs the rack, and there is none'])
})

test('a clock is told to the minute and begins anew at midnight', () => {
  expect(clockOf(18 * 3600 + 15 * 60 + 31)).toBe('18:16')
  expect(clockOf(24 * 3600 + 120)).toBe('00:02')
})
