import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'

/* The compiler drops a line break between two elements: where words stand side by side, the space is written out. */
test.each([
  ['phone/PhoneRest.vue', 2],
  ['history/MeasurementList.vue', 1],
  ['split/SplitBoardReadout.vue', 1],
  ['split/MoveMenu.vue', 1],
  ['split/SplitScreen.vue', 1],
  ['split/panels/CalendarDialog.vue', 1],
  ['split/panels/FindingRow.vue', 2],
  ['split/panels/TemplateList.vue', 1],
  ['proposals/ColumnStacks.vue', 1],
  ['session/RowControls.vue', 2],
  ['session/SessionChecks.vue', 1],
  ['block/BlockTerms.vue', 1],
  ['account/ArchiveScreen.vue', 1],
  ['log/LogScreen.vue', 1],
  ['review/ReviewScreen.vue', 1],
])('%s keeps the space between words', (file, count) => {
  const template = readFileSync(`app/screens/${file}`, 'utf8')
  expect(template.match(/\{\{\s*' '\s*\}\}/g) ?? []).toHaveLength(count)
})
