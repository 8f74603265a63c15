import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { clientTable, type NotedClient, readClients } from '.'

const read = (...rows: readonly (readonly string[])[]) => readClients(rows, clientTable(rows))
const one = (headings: string, row: string): NotedClient =>
  read(headings.split('|'), row.split('|'))[0]!

describe('a table of clients', () => {
  test('is read by its headings, under a title, in the order of its rows', () => {
    const found = read(
      ['Studio list', '', ''],
      ['Client name', 'Years of training', 'Days', 'Min', 'From', 'Goal', 'Notes'],
      ['Ines  Cardozo', '2,5', 'Mon, Wed & Fri', '60 min', '17:30', 'Fuller arms', 'Boat builder'],
      ['', '3', '', '', '', '', ''],
      ['Teo Brandvold', '4', 'Di/Do', '1h15', '5:30 pm', '', ''],
    )
    expect(found).toEqual([
      {
        row: 3,
        name: 'Ines Cardozo',
        trainingAgeMonths: 30,
        weekdays: [1, 3, 5],
        minutes: 60,
        start: '17:30',
        goal: 'Fuller arms',
        about: 'Boat builder',
        unread: [],
      },
      {
        row: 5,
        name: 'Teo Brandvold',
        trainingAgeMonths: 48,
        weekdays: [2, 4],
        minutes: 75,
        start: '17:30',
        goal: '',
        about: '',
        unread: [],
      },
    ])
  })

  test.each<readonly [string, string, Partial<NotedClient>]>([
    ['Name|Training', 'A|18 months', { trainingAgeMonths: 18 }],
    ['Name|Training', 'A|2 J', { trainingAgeMonths: 24 }],
    ['Name|Training', 'A|2', { bareTraining: 2 }],
    ['Name|Erfahrung (Monate)', 'A|2', { trainingAgeMonths: 2 }],
    [
      'Nom|Expérience (ans)|Jours',
      'A|2|lun mer ven',
      { trainingAgeMonths: 24, weekdays: [1, 3, 5] },
    ],
    ['Navn|Dager|Tid', 'A|man og tor|6 pm', { weekdays: [1, 4], start: '18:00' }],
    ['Name|Time', 'A|12 am', { start: '00:00' }],
    ['Name|Time', 'A|17.05', { start: '17:05' }],
    ['Name|Time', 'A|12 pm', { start: '12:00' }],
    ['Name|Time', 'A|11:59 pm', { start: '23:59' }],
    ['Name|Time', 'A|11 am', { start: '11:00' }],
  ])('%s: %s', (headings, row, told) => {
    expect(one(headings, row)).toMatchObject({ ...told, unread: [] })
  })

  test.each<readonly [string, string, string]>([
    ['Training', 'long', 'training'],
    ['Training', '200 years', 'training'],
    ['Training', '3 boats', 'training'],
    ['Days', 'Mon and sometimes', 'days'],
    ['Minutes', '5', 'minutes'],
    ['Start', '25:00', 'start'],
    ['Start', 'evening', 'start'],
  ])('what cannot be read is told and nothing is made of it: %s %s', (heading, cell, column) => {
    const { unread, ...client } = one(`Name|${heading}`, `A|${cell}`)
    expect(unread).toEqual([{ column, cell }])
    expect(client).toEqual({ row: 2, name: 'A', goal: '', about: '' })
  })

  test('without a column of names holds nobody', () => {
    expect(clientTable([['Exercise', 'Sets']]).headingRow).toBe(-1)
    expect(read(['Exercise', 'Sets'], ['Curl', '3'])).toEqual([])
  })

  test('keeps every row with a name, whatever its cells hold', () => {
    const cell = fc.string({ maxLength: 12 })
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell, cell, cell)), rows => {
        const all = [['Name', 'Training', 'Days', 'Minutes', 'Start'], ...rows]
        const named = rows.filter(([name]) => name.trim() !== '')
        expect(read(...all).map(({ name }) => name)).toEqual(
          named.map(([name]) => name.trim().replace(/\s+/g, ' ')),
        )
      }),
    )
  })
})
