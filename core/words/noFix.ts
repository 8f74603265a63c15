import type { CheckId, Finding } from '../judge/checks'

/** Why the program makes no proposal of its own, where a check has none to make. */
const NO_FIX: Partial<Readonly<Record<CheckId, string>>> = {
  'pain-stop': 'What is done instead is for the coach and a professional to say.',
  'screening-open': 'Only the client’s answers, or a clearance, settle it: see the profile.',
  'session-many-sets':
    'Which sets can go or move is the coach’s choice; proposals show which cost least.',
  'many-exercises': 'Which exercise can go is the coach’s choice.',
  'arms-then-press': 'Days have to change places; proposals show which.',
  'joint-ramp': 'The rise is over the weeks: end the ramps lower under Terms.',
  'session-no-stretch':
    'Which exercise gives way is the coach’s choice; suggestions name some at long length.',
  'kept-exercise-missing': 'Where it belongs is the coach’s choice.',
  'many-new': 'Which of them can wait is the coach’s choice.',
  'head-below-floor':
    'Exercises or purposes have to change; suggestions put those first that fill the gap.',
  'odd-figures': 'Only who typed it knows what was meant.',
  'pieces-at-once': 'Which piece is free is known in the room only.',
  'warm-up-missing': 'Propose warm-up sets in the session puts them in.',
  'time-over': 'Only so many minutes, in the session, shows what can go.',
  'session-joint-ceiling': 'Sets have to go or move; the coach chooses which.',
  'above-ceiling': 'Sets have to go; proposals show which cost least.',
  'frequency-low': 'It needs another day, which is a change of the week.',
  'gap-long': 'Days have to move; proposals show which.',
  'rolling-peak': 'Days have to move further apart.',
  'head-uncovered':
    'Exercises or purposes have to change; suggestions put those first that fill the gap.',
  'arm-balance': 'More of one or less of the other: the coach’s choice.',
  'too-many-builds': 'Which muscle waits is the coach’s choice, under Targets.',
  'elbow-no-quiet-day': 'A day without elbow work is a change of the week.',
  'joint-ceiling': 'Sets have to go or exercises change; proposals show which.',
  'no-rest-day': 'A rest day is a change of the week.',
  'gap-rule-broken': 'Days have to move; the rule itself stands under the rotation.',
  'open-day': 'What the day is for is the coach’s choice.',
  'places-assumed': 'Say in the rotation where the days lie.',
  'deload-missing': 'The block has a button for it, under Terms.',
}

/** Why a finding comes without a fix; empty where it has one. */
export function noFixWords({ check, fix }: Finding): string {
  return (fix?.length ?? 0) > 0
    ? ''
    : (NO_FIX[check] ?? 'No single change settles it without touching what is held or wished for.')
}
