export { formatFigure, formatOneDecimal, formatSetCount, formatSets, NBSP, splitOnScreen } from './figures'
export { BUNDLE_NAMES, creditWords, dayName, EQUIPMENT_NAMES, GROUP_NAMES, MODE_NAMES, MUSCLE_NAMES, POSITION_NAMES, ROLE_NAMES, SCHOOL_NAMES, TRAINING_AGE_NAMES } from './names'
export { editProblemSentence } from './problems'
export { formatDay } from './dates'
