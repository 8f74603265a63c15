// What components say about pain comes from the core, which holds the wording; here it is handed on to them.
export {
  ALARM_SIGNS,
  EMERGENCY_WORDS,
  PAIN_PLACES,
  PAIN_WORDS,
  worseLevel,
} from '#core/follow/sheet'
